import { findRate, roundOnce } from '../money'
import type { SellerRules } from './rules'

/** Turns amounts (E4) of a currency into the seller's own, rounded to its minor unit; null where the amount or a rate is not known. */
export function toHome(
  currency: string | null,
  { homeCurrency, rates }: Pick<SellerRules, 'homeCurrency' | 'rates'>,
): (e4: number | null) => number | null {
  const rate = currency === null ? null : findRate(currency, homeCurrency, rates)
  return (e4) => (e4 === null || !rate ? null : roundOnce(e4 * rate.rate, homeCurrency))
}
