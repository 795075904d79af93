import { ratioOf, solvePrice, workOut } from '../margin'
import { isBlank, type DesignBlank, type Offer } from '../supply'
import { middleOf } from '../demand'
import type { Assumption } from './assumption'
import { areFeesAssumed, itemCost } from './item-costs'
import type { Item } from './item'
import type { ItemMaker } from './item-maker'
import { lowestOn } from './price-item'

/** What printed goods like a blank sell for on a market. Money in E4 of the home currency. */
export interface LikeIt {
  items: number
  units: number | null
  lowE4: number | null
  middleE4: number | null
}

/** A design on one blank: what it costs, and what a sale earns. */
export interface DesignLine {
  offer: Offer
  prints: number
  /** blank, prints and delivery of one piece; null where a cost is not known */
  landedE4: number | null
  /** the lowest price with the wanted margin; null where no price has it */
  wantedE4: number | null
  /** what is reckoned with: the seller's price, or the wanted one */
  priceE4: number | null
  profitE4: number | null
  margin: number | null
  /** what the profit rests on that nobody stated */
  assumed: Assumption[]
  /** why a cost is not known or assumed, in words */
  notes: string[]
}

/** Offers of things that are printed to order, by supplier and title. */
export function blanksOf(maker: Pick<ItemMaker, 'catalog'>): Offer[] {
  const name = ({ supplier, title }: Offer) => `${supplier}\n${title}`
  return maker.catalog.offers.filter(isBlank).sort((a, b) => (name(a) < name(b) ? -1 : 1))
}

/**
 * A design on several blanks, each costed as goods that are made to order: one piece at a time, sent by the printer.
 *
 * @param margin the margin that is wanted, as a ratio
 * @returns blanks that are not there any more are left out
 */
export function designSheet(
  { catalog, rules, corrections }: Pick<ItemMaker, 'catalog' | 'rules' | 'corrections'>,
  choices: readonly DesignBlank[],
  { market, margin }: { market: string; margin: number },
): DesignLine[] {
  const byKey = new Map(catalog.offers.map((o) => [o.key, o]))
  return choices.flatMap(({ offer: key, prints, priceE4 }): DesignLine[] => {
    const offer = byKey.get(key)
    if (!offer) return []
    const bought = corrections.packs[key] ?? offer.pack
    const { inputs, notes } = itemCost({
      rules,
      market,
      kind: 'printed',
      offer,
      packs: { sold: bought, bought },
      prints,
    })
    const wantedE4 = solvePrice(inputs, { margin }).lowestE4
    const price = priceE4 ?? wantedE4
    const { landedE4, profitE4, netRevenueE4 } = workOut(inputs, price ?? 0, true)
    const profit = price === null ? null : profitE4
    return [
      {
        offer,
        prints,
        landedE4,
        wantedE4,
        priceE4: price,
        profitE4: profit,
        margin: ratioOf(profit, netRevenueE4),
        assumed: [
          ...(areFeesAssumed(rules, market) ? (['fees'] as const) : []),
          ...(offer.deliveryE4 === null ? (['delivery'] as const) : []),
        ],
        notes: offer.printE4 === null ? [...notes, 'no price of a print is stated: taken to be in the price'] : notes,
      },
    ]
  })
}

/** What sells that is like a blank. @param items printed goods of the market whose titles name it */
export function likeBlank(items: readonly Item[], market: string): LikeIt {
  const here = items.filter((item) => item.markets.includes(market))
  const prices = here.flatMap((item) => lowestOn(item, market) ?? [])
  const units = here.flatMap(({ listings }) => listings.flatMap((l) => (l.market === market ? (l.units ?? []) : [])))
  return {
    items: here.length,
    units: units.length === 0 ? null : units.reduce((n, u) => n + u, 0),
    lowE4: prices.length === 0 ? null : Math.min(...prices),
    middleE4: middleOf(prices),
  }
}
