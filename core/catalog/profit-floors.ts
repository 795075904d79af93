import { solvePrice } from '../margin'
import { E4, findRate } from '../money'
import { itemCost } from './item-costs'
import type { GoodsKind, SellerRules } from './rules'

/**
 * The lowest price of each kind of goods at which a sale on a market could leave so much if the goods cost nothing: below it nobody's
 * supplier helps. In units of the market's currency; null where no price does, or there is no rate.
 *
 * @param leastE4 profit a sale, E4 of the home currency
 */
export function profitFloors(
  rules: SellerRules,
  { market, currency }: { market: string; currency: string },
  leastE4: number,
): Record<GoodsKind, number | null> {
  const rate = findRate(rules.homeCurrency, currency, rules.rates)
  const floorOf = (kind: GoodsKind): number | null => {
    if (!rate) return null
    const { inputs } = itemCost({ rules, market, kind, offer: null, packs: { sold: 1, bought: 1 } })
    const { lowestE4 } = solvePrice({ ...inputs, tiers: [{ from: 1, priceE4: 0 }] }, { profitE4: leastE4 })
    return lowestE4 === null ? null : (lowestE4 * rate.rate) / E4
  }
  return { physical: floorOf('physical'), printed: floorOf('printed'), digital: floorOf('digital') }
}
