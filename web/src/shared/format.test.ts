import { spanWords } from './span-words'
import { amount, bytes, count, dayInWords, decimal, money, percent, plural, signed, figureText } from './format'

test('money has the digits of its currency, a sign where it is earned or lost, a dash where it is unknown', () => {
  expect([
    amount(124_800, 'EUR'),
    amount(12_345_670_000, 'EUR'),
    amount(29_800_000, 'JPY'),
    amount(null, 'EUR'),
  ]).toEqual(['12.48', '1,234,567.00', '2,980', '–'])
  expect([signed(46_100, 'EUR'), signed(-500, 'EUR'), signed(0, 'EUR')]).toEqual(['+4.61', '−0.05', '0.00'])
  expect(money(50_000, 'GBP')).toBe('£ 5.00')
})
test('counts, percents and days', () => {
  expect([count(48_210), count(null), percent(0.714), percent(-0.05, 1), percent(null)]).toEqual([
    '48,210',
    '–',
    '71\u00a0%',
    '−5.0\u00a0%',
    '–',
  ])
  expect([decimal(-0.13), decimal(1234.5, 1), decimal(null)]).toEqual(['−0.13', '1,234.5', '–'])
  expect([plural(1, 'unit'), plural(2, 'unit'), plural(0, 'unit')]).toEqual(['1 unit', '2 units', '0 units'])
  expect(dayInWords(20604)).toBe('31 May 2026')
  expect([bytes(900), bytes(81_000), bytes(2_500_000)]).toEqual(['900 B', '81 kB', '2.5 MB'])
})

test.each([
  ['percent', [0.2, null], '≥ 20\u00a0%'],
  ['count', [10_000, null], '≥ 10,000'],
  ['money', [20, 100], '20–100'],
  ['signed money', [null, 2], '≤ 2.00'],
  ['rating', [4, null], '≥ 4.0'],
  ['percent', [-0.25, 0], '−25\u00a0%–0\u00a0%'],
  ['count', [null, null], 'any'],
] as const)('a limit of a %s, %j, in words', (format, span, words) =>
  expect(spanWords({ format }, [...span])).toBe(words),
)

test.each([
  [12.3456e4, 'money', '12.35'],
  [3e4, 'signed money', '+3.00'],
  [0.756, 'percent', '76\u00a0%'],
  [4.25, 'rating', '4.3'],
  [12_345.6, 'count', '12,346'],
  [NaN, 'count', '–'],
  [null, 'money', '–'],
] as const)('%p as %s is %s', (v, format, words) => expect(figureText(v, format, 'EUR')).toBe(words))

test('what is nothing, or rounds to it, has no minus', () => {
  expect([amount(-0, 'EUR'), money(-10, 'EUR'), percent(-0.001), decimal(-0.001), count(-0)]).toEqual([
    '0.00',
    '€ 0.00',
    '0\u00a0%',
    '0.00',
    '0',
  ])
  expect([amount(-100, 'EUR'), percent(-0.01)]).toEqual(['−0.01', '−1\u00a0%'])
})
