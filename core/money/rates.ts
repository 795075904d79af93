import { Problem } from '../problem'
import { roundOnce, type Amount } from './amount'

/** How many of `to` one `from` buys, on a day (ISO). The table is the user's own. */
export interface Rate {
  from: string
  to: string
  rate: number
  day: string
}

/** A converted amount keeps what it was made from. */
export interface Converted extends Amount {
  original: Amount
  rate: number
  day: string | null
}

/**
 * Converts by the newest fitting rate, straight or inverted, rounded to the minor unit of `to`.
 * @throws Problem 'money-no-rate' where the table has none
 */
export function convert(amount: Amount, to: string, rates: readonly Rate[]): Converted {
  if (amount.currency === to) return { ...amount, original: amount, rate: 1, day: null }
  const found = findRate(amount.currency, to, rates)
  if (!found) throw new Problem('money-no-rate', { from: amount.currency, to })
  return { e4: roundOnce(amount.e4 * found.rate, to), currency: to, original: amount, rate: found.rate, day: found.day }
}

/** The factor from one currency to another, or null where the table has none. */
export function findRate(
  from: string,
  to: string,
  rates: readonly Rate[],
): { rate: number; day: string | null } | null {
  if (from === to) return { rate: 1, day: null }
  const newest = (a: Rate, b: Rate) => (a.day < b.day ? 1 : -1)
  const straight = rates.filter((r) => r.from === from && r.to === to && r.rate > 0).sort(newest)[0]
  if (straight) return straight
  const inverse = rates.filter((r) => r.from === to && r.to === from && r.rate > 0).sort(newest)[0]
  return inverse ? { rate: 1 / inverse.rate, day: inverse.day } : null
}
