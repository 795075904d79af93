import { comparable } from './asked-prices'
import { checkInputs, ratioOf, workOut, type CostInputs } from '../margin'
import type { OfferMatch } from '../supply'
import { worthOf } from '../verdict'
import type { Item, MarketProfit } from './item'
import { assumptionsOf } from './assumptions'
import { chooseForItem } from './choose-for-item'
import { itemCost } from './item-costs'
import type { Corrections, SellerRules } from './rules'
import type { SaidOfItem } from './said-of-items'

/** Costs that follow from rules alone, by market, kind and pack: the same for most of a million items. */
export type SharedCosts = Map<string, CostInputs>

/** What an item is priced by. */
export interface PricedBy {
  rules: SellerRules
  corrections: Corrections
  /** what the corrections say of it */
  said: SaidOfItem
}

/**
 * Costs an item against the offer that the seller's rules choose and says what it earns on each of its markets.
 *
 * @param shared costs that were worked out before, under the same rules; it is added to
 */
export function priceItem(item: Item, by: PricedBy, shared: SharedCosts = new Map()): Item {
  const { key, kind, markets, offers } = item
  const { rules, corrections, said } = by
  const pack = said.pack ?? item.pack
  const packFrom = said.pack === undefined ? item.packFrom : 'set by you'
  const inputsFor = costing({ kind, pack }, { rules, own: said.costs, shared })
  const chosen = chooseForItem({ kind, markets, offers, pack }, by, inputsFor)
  const profits = markets.flatMap((market): MarketProfit[] => {
    const lowest = lowestAskedOn(item, market)
    if (lowest === null) return []
    const { lowestE4, isDelivered } = lowest
    const inputs = inputsFor(market, chosen.offer, chosen.pack)
    const { profitE4, netRevenueE4 } = workOut(inputs, lowestE4, true)
    return [
      {
        market,
        lowestE4,
        isDelivered,
        profitE4,
        margin: ratioOf(profitE4, netRevenueE4),
        assumed: assumptionsOf({ key, kind, packFrom, offer: chosen.offer }, market, {
          rules,
          corrections,
          own: said.costs ?? null,
        }),
      },
    ]
  })
  const [best = null] = profits
    .filter((p): p is MarketProfit & { profitE4: number } => p.profitE4 !== null)
    .sort((a, b) => b.profitE4 - a.profitE4)
  // one spread: of items with so many figures each takes as long as all that is worked out of them
  return {
    ...item,
    clearing: said.isCleared ? 'allowed' : (item.reach.clearing ?? 'unknown'),
    pack,
    packFrom,
    offer: chosen.offer,
    choice: chosen.choice,
    offerPack: chosen.pack,
    landedE4: chosen.landedE4,
    profits,
    best,
    worth: worthOf(measuresOf(item, best), rules.worth),
  }
}

/** The lowest delivered price on a market, or the lowest price where nobody there states delivery; null where no listing there has a price. */
export function lowestAskedOn(item: Item, market: string): { lowestE4: number; isDelivered: boolean } | null {
  const { list, isDelivered } = comparable(item.listings.filter((l) => l.market === market))
  return list.length === 0 ? null : { lowestE4: Math.min(...list.map((l) => l.deliveredE4 as number)), isDelivered }
}

/** The same as a price alone, E4 of the home currency. */
export const lowestOn = (item: Item, market: string): number | null => lowestAskedOn(item, market)?.lowestE4 ?? null

/** What Worth looks at. */
function measuresOf(item: Item, best: MarketProfit | null): Record<string, number | null> {
  return {
    profit: best?.profitE4 == null ? null : best.profitE4 / 10_000,
    margin: best?.margin ?? null,
    sellThroughLow: item.sellThrough?.low ?? null,
    unitsPerListing: item.unitsPerListing,
    growth: item.life?.growth ?? null,
    openness: item.room.openness,
    rating: item.rating,
  }
}

type InputsFor = (market: string, offer: OfferMatch | null, bought: number) => CostInputs

/** The checked costs of an item by market and offer, each worked out once. */
function costing(
  item: Pick<Item, 'kind' | 'pack'>,
  { rules, own, shared }: { rules: SellerRules; own: SaidOfItem['costs']; shared: SharedCosts },
): InputsFor {
  const ownMade: SharedCosts = new Map()
  return (market, offer, bought) => {
    const made = own || offer ? ownMade : shared
    const key = `${market}\n${offer?.offer.key ?? ''}\n${bought}\n${item.pack}\n${item.kind}`
    const known = made.get(key)
    if (known) return known
    const { inputs } = itemCost({
      rules,
      market,
      kind: item.kind,
      offer: offer?.offer ?? null,
      packs: { sold: item.pack, bought },
      own,
    })
    checkInputs(inputs)
    made.set(key, inputs)
    return inputs
  }
}
