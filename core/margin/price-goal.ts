import { toMillionths } from '../money'
import type { Sums } from './cost-sheet'

/** What a price is to leave: so much a sale, or such a share of the net revenue. */
export type PriceGoal = { profitE4: number } | { margin: number }

/** By how much a goal is passed (0 or more) or missed, E4; missed where there is no revenue to have a share of. @param sums of which the profit is known */
export function passedBy(goal: PriceGoal, { profitE4, netRevenueE4 }: Sums): number {
  const profit = profitE4 as number
  if ('profitE4' in goal) return profit - goal.profitE4
  return netRevenueE4 <= 0 ? -1 : profit - (toMillionths(goal.margin) * netRevenueE4) / 1e6
}
