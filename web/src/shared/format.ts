import type { FigureFormat } from '@sickle/core/records'
import { E4, minorDigitsOf } from '@sickle/core/money'
import { isoDay } from '@sickle/core/identity'

const signs: Record<string, string> = { EUR: '€', GBP: '£', USD: '$', JPY: '¥' }

/** The sign of a currency, or its code where it has none of its own. */
export function currencySign(currency: string): string {
  return signs[currency] ?? currency
}

const plainFormats = new Map<string, Intl.NumberFormat>()

function fixed(digits: number): Intl.NumberFormat {
  const key = String(digits)
  let format = plainFormats.get(key)
  if (!format) {
    format = new Intl.NumberFormat('en', {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
      // what rounds to nothing has no sign
      signDisplay: 'negative',
    })
    plainFormats.set(key, format)
  }
  return format
}

/** An amount without its currency, for cells whose heading names it. An unknown amount is a dash. */
export function amount(e4: number | null | undefined, currency: string): string {
  if (e4 == null) return '–'
  return fixed(minorDigitsOf(currency))
    .format(e4 / E4)
    .replace('-', '−')
}

/** A round figure as an axis has it. @example shortCount(20_000) // '20k' */
export const shortCount = (n: number): string => (n >= 1e6 ? `${n / 1e6}M` : n >= 1000 ? `${n / 1000}k` : String(n))

/** With its sign always shown: what is earned or lost. */
export function signed(e4: number | null | undefined, currency: string): string {
  if (e4 == null) return '–'
  return e4 > 0 ? `+${amount(e4, currency)}` : amount(e4, currency)
}

/** With its currency, for sentences. */
export function money(e4: number | null | undefined, currency: string): string {
  return e4 == null ? '–' : `${currencySign(currency)} ${amount(e4, currency)}`
}

/** A large amount in whole units of its currency. */
export function wholeMoney(e4: number, currency: string): string {
  return `${currencySign(currency)} ${count(e4 / E4)}`
}

/** Sign of per cent behind a figure, which it never leaves for the next line. */
export const perCent = '\u00a0%'

export function percent(ratio: number | null | undefined, digits = 0): string {
  return ratio == null || Number.isNaN(ratio)
    ? '–'
    : `${fixed(digits)
        .format(ratio * 100)
        .replace('-', '−')}${perCent}`
}

export function signedPercent(ratio: number | null | undefined, digits = 0): string {
  return ratio != null && ratio > 0 ? `+${percent(ratio, digits)}` : percent(ratio, digits)
}

export function count(n: number | null | undefined): string {
  return n == null ? '–' : fixed(0).format(Math.round(n))
}

export function decimal(n: number | null | undefined, digits = 2): string {
  return n == null ? '–' : fixed(digits).format(n).replace('-', '−')
}

export function day(n: number | null | undefined): string {
  return n == null ? '–' : isoDay(n)
}

/** A day in words, for sentences. */
export function dayInWords(n: number): string {
  return new Intl.DateTimeFormat('en-IE', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    n * 86_400_000,
  )
}

export function plural(n: number, one: string, many = `${one}s`): string {
  return `${count(n)} ${n === 1 ? one : many}`
}

export function bytes(n: number): string {
  if (n < 1000) return `${n} B`
  return n < 1e6 ? `${decimal(n / 1e3, 0)} kB` : `${decimal(n / 1e6, 1)} MB`
}

/** A figure as its format has it, without a currency; NaN and null are not known. @param v money in E4 */
export function figureText(v: number | null, format: FigureFormat, currency: string): string {
  if (v === null || Number.isNaN(v)) return '–'
  switch (format) {
    case 'money':
      return amount(v, currency)
    case 'signed money':
      return signed(v, currency)
    case 'percent':
      return percent(v)
    case 'rating':
    case 'number':
      return decimal(v, 1)
    default:
      return count(v)
  }
}
