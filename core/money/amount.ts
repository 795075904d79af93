import { Problem } from '../problem'

/**
 * Money is counted in whole ten-thousandths of the currency's major unit ("E4"): 12.48 EUR is 124 800.
 * Four digits hold every minor unit of ISO 4217 and the fractions of a cent in supplier prices, and sums stay exact.
 */
export interface Amount {
  e4: number
  currency: string
}

export const E4 = 10_000

/** Digits after the point, by ISO 4217, of the currencies that do not have two. */
const minorDigits: Record<string, number> = Object.fromEntries([
  ...'BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX UYI VND VUV XAF XOF XPF'.split(' ').map((c) => [c, 0]),
  ...'BHD IQD JOD KWD LYD OMR TND'.split(' ').map((c) => [c, 3]),
  ...'CLF UYW'.split(' ').map((c) => [c, 4]),
]) as Record<string, number>

/** Digits after the point of a currency (ISO 4217): JPY 0, EUR 2, KWD 3. */
export function minorDigitsOf(currency: string): number {
  return minorDigits[currency] ?? 2
}

/** One minor unit (a cent, a yen) in E4. */
export function minorUnitE4(currency: string): number {
  return 10 ** (4 - minorDigitsOf(currency))
}

/**
 * An amount that was worked out with fractions of an E4, rounded once to the currency's minor unit, half away from zero. What lies within what
 * floating point loses of a half is a half: no product of prices, ratios and counts that sellers write comes as near to one and is none.
 *
 * @example roundOnce(22300 * 0.065, 'EUR') // 1400: 0.14495 is 0.14, and would be 0.15 by way of 0.1450
 */
export function roundOnce(e4: number, currency: string): number {
  const unit = minorUnitE4(currency)
  const count = Math.abs(e4) / unit
  return Math.sign(e4) * Math.floor(count + 0.5 + 1e-9 + count * 4e-15) * unit || 0
}

/** A ratio (0.125 = 12.5 %) as whole millionths, the exact form in which ratios multiply money. */
export function toMillionths(ratio: number): number {
  return Math.round(ratio * 1e6)
}

/**
 * From a plain number of major units, for input fields.
 * @throws Problem 'money-range' when not finite or beyond 9×10¹¹
 * @example toE4(12.48) // 124800
 */
export function toE4(major: number): number {
  const e4 = Math.sign(major) * Math.round(Math.abs(major) * E4 + 1e-7)
  if (!Number.isSafeInteger(e4)) throw new Problem('money-range', { amount: String(major) })
  return e4 || 0
}

/** @throws Problem 'money-mixed' when the currencies differ */
export function addAmounts(a: Amount, b: Amount): Amount {
  if (a.currency !== b.currency) throw new Problem('money-mixed', { a: a.currency, b: b.currency })
  return { e4: a.e4 + b.e4, currency: a.currency }
}

/** As plain text with the currency's digits (more only where the amount has them), a point, no grouping: for files. */
export function plainAmount(e4: number, currency: string): string {
  const negative = e4 < 0
  const whole = Math.floor(Math.abs(e4) / E4)
  const fraction = String(Math.abs(e4) % E4).padStart(4, '0')
  const digits = minorDigitsOf(currency)
  const shown = fraction.slice(0, digits) + fraction.slice(digits).replace(/0{1,4}$/, '')
  return `${negative ? '-' : ''}${whole}${shown ? `.${shown}` : ''}`
}
