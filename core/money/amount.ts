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

/** Divides and rounds to a whole number, half away from zero: exact for integers, also past 2^53 in between. */
export function divideRounded(numerator: number, factor: number, divisor: number): number {
  const product = numerator * factor
  if (Number.isSafeInteger(product) && Math.abs(product) < 2 ** 51) {
    const sign = product < 0 !== divisor < 0 ? -1 : 1
    return sign * Math.floor(Math.abs(product) / Math.abs(divisor) + 0.5) || 0
  }
  const p = BigInt(numerator) * BigInt(factor)
  const d = BigInt(divisor)
  const negative = p < 0n !== d < 0n
  const [ap, ad] = [p < 0n ? -p : p, d < 0n ? -d : d]
  const q = (2n * ap + ad) / (2n * ad)
  return Number(negative ? -q : q)
}

/** E4 rounded to the currency's minor unit, half away from zero. @example roundToMinor(123450, 'EUR') // 123500 */
export function roundToMinor(e4: number, currency: string): number {
  const unit = minorUnitE4(currency)
  return divideRounded(e4, 1, unit) * unit
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
