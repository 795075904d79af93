import codes from 'currency-codes'
import fc from 'fast-check'
import { addAmounts, convert, isCurrencyCode, minorDigitsOf, plainAmount, recogniseCurrency, roundOnce, toE4 } from '.'
import { e4OfPlain } from '../notation'

/** ISO 4217 as the package currency-codes publishes it; withdrawn codes and metals have no minor unit. */
const iso = codes.codes().filter((c) => isCurrencyCode(c) && !/^X/.test(c))

test('minor digits are those of ISO 4217', () => {
  expect(iso.length).toBeGreaterThan(140)
  const wrong = iso.filter((c) => minorDigitsOf(c) !== codes.code(c)?.digits)
  expect(wrong).toEqual([])
  expect(['JPY', 'EUR', 'KWD'].map(minorDigitsOf)).toEqual([0, 2, 3])
})

test('an amount times a ratio is rounded once, half away from zero, as whole numbers have it', () => {
  expect([roundOnce(22_300 * 0.065, 'EUR'), roundOnce(123_450, 'EUR'), roundOnce(-123_450, 'EUR')]).toEqual([
    1400, 123_500, -123_500,
  ])
  expect([roundOnce(5000, 'JPY'), roundOnce(4999.99, 'JPY'), roundOnce(5, 'KWD')]).toEqual([10_000, 0, 10])
  fc.assert(
    fc.property(fc.integer({ min: -1e9, max: 1e9 }), fc.integer({ min: 0, max: 1e6 }), (e4, millionths) => {
      // a cent is 100 E4: the product over 10⁸, and half of that away from zero
      const product = BigInt(e4) * BigInt(millionths)
      const sign = product < 0n ? -1n : 1n
      const cents = sign * ((2n * sign * product + 100_000_000n) / 200_000_000n)
      expect(roundOnce((e4 * millionths) / 1e6, 'EUR')).toBe(Number(cents) * 100 || 0)
    }),
  )
})

test('text and amount are the same thing', () => {
  fc.assert(
    fc.property(fc.integer({ min: -1e12, max: 1e12 }), (e4) => expect(e4OfPlain(plainAmount(e4, 'EUR'))).toBe(e4)),
  )
  expect([
    plainAmount(124800, 'EUR'),
    plainAmount(425, 'USD'),
    plainAmount(120000, 'JPY'),
    plainAmount(-500, 'EUR'),
  ]).toEqual(['12.48', '0.0425', '12', '-0.05'])
  expect(toE4(12.48)).toBe(124800)
})

test('currencies are never mixed, and a conversion keeps what it came from', () => {
  expect(() => addAmounts({ e4: 1, currency: 'EUR' }, { e4: 1, currency: 'USD' })).toThrow(
    expect.objectContaining({ code: 'money-mixed' }),
  )
  const rates = [{ from: 'GBP', to: 'EUR', rate: 1.1628, day: '2026-05-29' }]
  // 10.00 GBP × 1.1628 = 11.628 → 11.63
  expect(convert({ e4: 100_000, currency: 'GBP' }, 'EUR', rates)).toEqual({
    e4: 116_300,
    currency: 'EUR',
    original: { e4: 100_000, currency: 'GBP' },
    rate: 1.1628,
    day: '2026-05-29',
  })
  // 11.63 EUR / 1.1628 = 10.0017… → 10.00
  expect(convert({ e4: 116_300, currency: 'EUR' }, 'GBP', rates).e4).toBe(100_000)
  expect(() => convert({ e4: 1, currency: 'USD' }, 'EUR', rates)).toThrow(
    expect.objectContaining({ code: 'money-no-rate' }),
  )
})

test.each([
  ['Price (EUR)', 'EUR', true],
  ['£12.63', 'GBP', true],
  ['All amounts in GBP', 'GBP', true],
  ['$5', 'USD', false],
  ['THE BEST', null, false],
  ['120 kr', 'SEK', false],
])('the currency of %p', (text, currency, sure) => {
  const found = recogniseCurrency(text)
  expect(found?.currency ?? null).toBe(currency)
  expect(found?.sure ?? false).toBe(sure)
})
