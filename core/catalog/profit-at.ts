import { checkInputs, workOut } from '../margin'
import type { Item } from './item'
import { costOf } from './item-costs'
import type { Corrections, SellerRules } from './rules'

/** What I would earn on an item at each of some delivered prices of a market, E4 of the home currency; null where a cost is not known. */
export function profitAt(
  item: Item,
  market: string,
  pricesE4: readonly number[],
  { rules, corrections }: { rules: SellerRules; corrections: Corrections },
): (number | null)[] {
  const { inputs } = costOf(item, market, rules, corrections)
  checkInputs(inputs)
  return pricesE4.map((price) => workOut(inputs, price, true).profitE4)
}
