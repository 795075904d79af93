import fc from 'fast-check'
import { detectEncoding, looksBinary } from '../open/decode-text'
import { e4OfPlain, guessNumberStyle, plainNumber } from '../../notation/number-style'
import { guessDateOrder, parseDay } from '../../notation/day-style'
import { readValue } from './read-value'
import { tierPrice, tiersFromText, tiersToText, tierStart } from '../../notation/tiers'
import { isoDay } from '../../identity'

const isoWeekCases = [
  ['2026-W01', '2025-12-29'],
  ['2026-W53', '2026-12-28'],
  ['2020-W53', '2020-12-28'],
  ['2025-W01', '2024-12-30'],
  ['2021-W07', '2021-02-15'],
]

describe('numbers', () => {
  test.each([
    [['3,7', '12,48', '4.193'], ',', true],
    [['1,234.50'], '.', true],
    [['1.234,50'], ',', true],
    [['1.234.567'], ',', true],
    [['1.234', '5.678'], '.', false],
    [['12', '15'], '.', true],
    [['0,123'], ',', true],
    [['1 234,5'], ',', true],
  ])('%p', (texts, decimal, sure) => {
    const guess = guessNumberStyle(texts)
    expect(guess.sure).toBe(sure)
    if (sure) expect(guess.style.decimal).toBe(decimal)
  })

  test.each([
    ['€ 1.234,56', ',', '1234.56'],
    ['1.234,56 EUR', ',', '1234.56'],
    ['-24.6%', '.', '-24.6'],
    ['(12.00)', '.', '-12.00'],
    ['−5', '.', '-5'],
    ['1 234', '.', '1234'],
    ['12.34.56', '.', null],
    ['1,23,456', '.', null],
    ['31.02.2026', '.', null],
    ['QM-1000', '.', null],
    ['', '.', null],
    ['.5', '.', '0.5'],
  ])('%p with %p reads as %p', (text, decimal, plain) => {
    expect(plainNumber(text, { decimal: decimal as '.', group: decimal === '.' ? ',' : '.' })).toBe(plain)
  })

  test('what Intl writes in a locale is read back to the cent', () => {
    const locales = { 'en-IE': { decimal: '.', group: ',' }, 'de-DE': { decimal: ',', group: '.' } } as const
    fc.assert(
      fc.property(
        fc.integer({ min: -1e10, max: 1e10 }),
        fc.constantFrom('en-IE' as const, 'de-DE' as const),
        (cents, locale) => {
          const text = new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(cents / 100)
          expect(e4OfPlain(plainNumber(text, locales[locale]) ?? '')).toBe(cents * 100)
        },
      ),
    )
  })
})

describe('days', () => {
  test.each([
    ['2026-05-01T00:00:00+02:00', '2026-05-01'],
    ['01.09.2025', '2025-09-01'],
    ['1/9/2025', '2025-09-01'],
    ['May 16, 2026', '2026-05-16'],
    ['16 May 2026', '2026-05-16'],
    ['3. März 2026', '2026-03-03'],
    ['3 août 2025', '2025-08-03'],
    ['20260516', '2026-05-16'],
    ['16.05.26', '2026-05-16'],
  ])('%p is %p', (text, iso) => expect(isoDay(parseDay(text, 'dmy') ?? NaN)).toBe(iso))
  test.each(['31.02.2026', '2026-13-01', 'soon', '12', '1-9'])('%p is none', (text) =>
    expect(parseDay(text, 'dmy')).toBeNull(),
  )
  test.each(isoWeekCases)('ISO week %p begins on %p (Python datetime.fromisocalendar)', (text, iso) =>
    expect(isoDay(parseDay(text, 'dmy') ?? NaN)).toBe(iso),
  )

  test('the order is seen where a day above 12 shows it, and asked where none does', () => {
    expect(guessDateOrder(['25/12/2025', '01/02/2026'])).toMatchObject({ order: 'dmy', sure: true })
    expect(guessDateOrder(['12/25/2025'])).toMatchObject({ order: 'mdy', sure: true })
    expect(guessDateOrder(['01/02/2026', '03/04/2026'])).toMatchObject({ sure: false, example: '01/02/2026' })
    expect(guessDateOrder(['05.06.2026'])).toMatchObject({ order: 'dmy', sure: true })
    expect(parseDay('03/04/2026', 'mdy')).toBe(parseDay('2026-03-04', 'dmy'))
  })
})

describe('encodings', () => {
  const text = 'Kärnten — 12 €'
  test.each([
    ['utf-8', Buffer.from(text)],
    ['utf-8', Buffer.from(`\ufeff${text}`)],
    ['utf-16le', Buffer.from(`\ufeff${text}`, 'utf16le')],
    ['utf-16le', Buffer.from('Title;Price\nBird bath;12.00', 'utf16le')],
    ['windows-1252', Buffer.from([0x4b, 0xe4, 0x72, 0x6e, 0x74, 0x65, 0x6e, 0x20, 0x97, 0x20, 0x80])],
  ])('%s', (name, bytes) => {
    expect(detectEncoding(bytes)).toBe(name)
    expect(looksBinary(bytes)).toBe(false)
  })
  test('a picture is binary', () =>
    expect(looksBinary(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0, 0, 0, 13]))).toBe(true))
})

describe('values', () => {
  const style = { number: { decimal: '.', group: ',' }, order: 'dmy' } as const
  test('text stays text, entities are resolved once, control characters go', () => {
    expect(readValue('Tern &amp; Trowel', 'text', style)).toEqual({ value: 'Tern & Trowel' })
    expect(readValue('&amp;lt;b&amp;gt;', 'text', style)).toEqual({ value: '&lt;b&gt;' })
    expect(readValue('<img src=x onerror=alert(1)>', 'text', style)).toEqual({ value: '<img src=x onerror=alert(1)>' })
    expect(readValue('a\u0000b\n c', 'text', style)).toEqual({ value: 'a b c' })
  })
  test.each(['n/a', '-', '', 'null', 'N/A'])('%p is not known, and not a fault', (text) =>
    expect(readValue(text, 'money', style)).toEqual({ value: null }),
  )
  test('binary dust of spreadsheets does not reach money', () =>
    expect(readValue(2.2800000000000002, 'money', style)).toEqual({ value: 22800 }))
  test('ranges of days count their longer end; weeks are seven days', () => {
    expect(readValue('7-10 days', 'lead', style)).toEqual({ value: 10 })
    expect(readValue('2-3 weeks', 'lead', style)).toEqual({ value: 21 })
  })
  test.each([
    ['2 bis 3 Wochen', 21],
    ['1 Woche', 7],
    ['3 semaines', 21],
    ['2 semanas', 14],
    ['1-2 settimane', 14],
    ['2 weken', 14],
    ['3 tygodnie', 21],
    ['1 Monat', 30],
    ['2 mois', 60],
    ['48 Stunden', 2],
    ['24h', 1],
    ['72 heures', 3],
    ['5-7 jours', 7],
    ['10 Werktage', 10],
  ])('%s is at most %p days', (text, days) => expect(readValue(text, 'lead', style)).toEqual({ value: days }))
  test('weights and sizes need a unit, in the cell or in the heading', () => {
    expect(readValue('0.35 kg', 'weight', style)).toEqual({ value: 350 })
    expect(readValue('350', 'weight', { ...style, unit: 'g' })).toEqual({ value: 350 })
    expect(readValue('350', 'weight', style)).toEqual({ value: null, reason: "'350' is no weight with a unit" })
    expect(readValue('30x20x10', 'size', { ...style, unit: 'mm' })).toEqual({ value: '3 x 2 x 1 cm' })
    expect(readValue('30x20 cm', 'size', style).value).toBeNull()
  })
  test('a list is its parts, without those that say nothing', () => {
    expect(readValue(' a, ,b;c|  d e ,', 'list', style)).toEqual({ value: 'a|b|c|d e' })
    expect(readValue('x'.repeat(200), 'id', style)).toEqual({ value: 'x'.repeat(80) })
  })
  test('what does not fit says why', () => {
    expect(readValue('7', 'rating', style)).toEqual({ value: null, reason: "'7' is not from 0 to 5 stars" })
    expect(readValue('1.5', 'count', style)).toEqual({ value: null, reason: "'1.5' is no whole number" })
    expect(readValue('4006381333932', 'gtin', style)).toEqual({
      value: null,
      reason: "'4006381333932' is no valid barcode",
    })
  })
  test('percent and ratio', () => {
    expect(readValue('-24.6%', 'ratio', style).value).toBeCloseTo(-0.246, 12)
    expect(readValue('0.3', 'ratio', style)).toEqual({ value: 0.3 })
    // one unit a column: what the column says holds for every cell of it
    expect([1, 2, 3, 4, 10].map((c) => readValue(c, 'ratio', { ...style, ratio: 'percent' }).value)).toEqual([
      0.01, 0.02, 0.03, 0.04, 0.1,
    ])
    expect(readValue('4.2', 'ratio', { ...style, ratio: 'share' })).toEqual({ value: 4.2 })
    expect(readValue('4.2 %', 'ratio', { ...style, ratio: 'share' })).toEqual({ value: 0.042 })
  })
})

test('quantity steps', () => {
  expect(
    [
      '1-9',
      '10 – 49',
      '50+',
      'from 100',
      'ab 10 Stk.',
      'dès 12',
      'od 100 szt.',
      'desde 6 uds',
      'vanaf 25',
      '≥ 20 pcs',
    ].map(tierStart),
  ).toEqual([1, 10, 50, 100, 10, 12, 100, 6, 25, 20])
  expect(
    ['Price', '2026-05-01', '12', 'Feedback 30', 'Units 30 d', 'Qty 30d', 'Top 10', ''].filter(
      (h) => tierStart(h) !== null,
    ),
  ).toEqual([])
  const tiers = [
    { from: 10, priceE4: 9 },
    { from: 1, priceE4: 10 },
  ]
  expect(tiersFromText(tiersToText(tiers))).toEqual([tiers[1], tiers[0]])
  expect([1, 9, 10, 500].map((q) => tierPrice(tiersFromText(tiersToText(tiers)), q))).toEqual([10, 10, 9, 9])
  expect(tierPrice([], 1)).toBeNull()
})

test('price steps are read from one cell; what is none is told', () => {
  const style = { number: { decimal: '.', group: ',' }, order: 'dmy' } as const
  // prices as ten thousandths
  expect(readValue('1: 4.00; 50: 3.20', 'tiers', style)).toEqual({ value: '1:40000;50:32000' })
  expect(readValue('ask us', 'tiers', style)).toEqual({ value: null, reason: "'ask us' is no list of price steps" })
})

test('days that are figures are counted from the end of 1899, or in seconds or milliseconds since 1970', () => {
  const read = (text: string, days: 'serial' | 'seconds' | 'milliseconds') =>
    isoDay(readValue(text, 'day', { number: { decimal: '.', group: ',' }, order: 'dmy', days }).value as number)
  // 86,400 seconds a day (POSIX.1-2017, 4.16); day 45,658 of spreadsheets is the first of 2025 (ECMA-376, 18.17.4.1)
  expect(read('45658', 'serial')).toBe('2025-01-01')
  expect(read(String(Date.UTC(2025, 0, 1, 23) / 1000), 'seconds')).toBe('2025-01-01')
  expect(read(String(Date.UTC(2025, 0, 1, 23)), 'milliseconds')).toBe('2025-01-01')
})

test('figures of a spreadsheet lose the dust of binary division, and no digit where they are very small', () => {
  const style = { number: { decimal: '.', group: ',' }, order: 'dmy' } as const
  expect(readValue(2.2800000000000002, 'rating', style)).toEqual({ value: 2.28 })
  expect(readValue(4e-7, 'rating', style)).toEqual({ value: 4e-7 })
})
