import { learnedRate, usualLeaveRate, type LeaveRate } from '../estimates'
import type { StoreList } from './store-list'

/** The leave rate that a store of a market is taken to have, and of how many stores it was learned. */
export interface MarketLeaveRate extends LeaveRate {
  of: number
}

/**
 * How many of the buyers leave feedback on a market, learned from its stores that state both their feedback and their sales since they opened;
 * the usual rate where there are none. The store itself is left out: what it states is not evidence of itself.
 *
 * @param store place in the list
 */
export function leaveRateOf({ markets, figures, from }: StoreList, store: number): MarketLeaveRate {
  const [feedback, sold] = [figures.feedback as Float64Array, figures.unitsTotal as Float64Array]
  const pairs: { left: number; sold: number }[] = []
  for (let s = 0; s < markets.length; s++) {
    if (s === store || markets[s] !== markets[store] || (from.unitsTotal?.[s] ?? 0) !== statedFigure) continue
    const pair = { left: feedback[s] as number, sold: sold[s] as number }
    if (pair.left >= 0 && pair.sold >= pair.left && pair.sold >= 5) pairs.push(pair)
  }
  return { ...learnedRate(pairs, usualLeaveRate), of: pairs.length }
}

/** place of 'stated' in `origins`: a sum over the listings that are gathered is not all that a store sold */
const statedFigure = 1
