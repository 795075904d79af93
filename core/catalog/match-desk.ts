import {
  firstOrder,
  landedByQuantity,
  payback,
  workOut,
  type CostInputs,
  type FirstOrder,
  type LandedAt,
  type Payback,
} from '../margin'
import { sharedUnits } from '../verdict'
import {
  likenessParts,
  offerChecks,
  type LikenessPart,
  type OfferCheck,
  type OfferMatch,
  type SupplierStanding,
} from '../supply'
import type { Assumption } from './assumption'
import { assumptionsOf } from './assumptions'
import { bestMarketOf, type Item } from './item'
import { itemCost } from './item-costs'
import type { ItemMaker } from './item-maker'
import { lowestOn } from './price-item'

/** An offer beside the item it may be, read whole. Money in E4 of the home currency. */
export interface DeskCandidate {
  match: OfferMatch
  /** pieces in its pack, as reckoned with */
  pack: number
  parts: LikenessPart[]
  /** goods of one sale; null where a cost is not known */
  landedE4: number | null
  /** what a sale would earn with it, at the lowest price of the item's best market; null where it is not known */
  profitE4: number | null
  /** what that rests on that nobody stated */
  assumed: Assumption[]
  /** landed cost against the quantity ordered */
  steps: LandedAt[]
  lot: FirstOrder
  payback: Payback | null
  checks: OfferCheck[]
  standing: SupplierStanding | null
  /** why a cost is not known or assumed, in words */
  notes: string[]
}

export interface MatchDesk {
  item: Item
  /** the market that profits are of */
  market: string
  candidates: DeskCandidate[]
}

/** candidates that are shown beside an item, and those found by the seller's own words */
const mostFound = 20

/**
 * An item beside every offer that may be the same.
 *
 * @param words the seller's own search; '' looks for what the item's title says
 * @returns null where there is no such item
 */
export function matchDesk(maker: ItemMaker, key: string, words = ''): MatchDesk | null {
  const place = maker.find(key)
  if (place === null) return null
  const item = maker.at(place)
  const market = bestMarketOf(item)
  const found = words.trim() === '' ? item.offers : withSaid(maker, item, words)
  return { item, market, candidates: found.map((match) => deskCandidate(maker, item, market, match)) }
}

/** What the seller said of an offer holds however it is found. */
function withSaid(maker: ItemMaker, item: Item, words: string): OfferMatch[] {
  const known = new Map(item.offers.map((m) => [m.offer.key, m]))
  return maker.searchOffers(words, mostFound).map((m) => known.get(m.offer.key) ?? m)
}

/** The costs of a sale with some offer. */
export function costsWith(
  { rules, corrections }: Pick<ItemMaker, 'rules' | 'corrections'>,
  item: Item,
  market: string,
  { offer }: OfferMatch,
): { inputs: CostInputs; notes: string[]; pack: number } {
  const pack = corrections.packs[offer.key] ?? offer.pack
  // what was set for the goods of the item is not what this offer asks
  const { tiers: _, supplierDeliveryE4: __, ...own } = corrections.costs[item.key] ?? {}
  const packs = { sold: item.pack, bought: pack }
  return { ...itemCost({ rules, market, kind: item.kind, offer, packs, own }), pack }
}

/** An offer read whole, beside the item that it is taken for. */
export function deskCandidate(maker: ItemMaker, item: Item, market: string, match: OfferMatch): DeskCandidate {
  const { offer } = match
  const { rules, corrections } = maker
  const { inputs, notes, pack } = costsWith(maker, item, market, match)
  const asked = lowestOn(item, market)
  const { landedE4, profitE4 } = workOut(inputs, asked ?? 0, true)
  const lot = firstOrder(inputs, landedE4)
  const standing = corrections.suppliers[offer.supplier] ?? null
  const tier = inputs.tiers?.[0]
  const perDay = item.units === null ? null : sharedUnits(item.units, item.listings.length) / 30
  return {
    match,
    pack,
    parts: likenessParts({ ...item, pieceE4: item.priceLowE4 === null ? null : item.priceLowE4 / item.pack }, match, {
      pack,
      pieceE4: tier ? tier.priceE4 / pack : null,
    }),
    landedE4,
    profitE4: asked === null ? null : profitE4,
    assumed: assumptionsOf({ ...item, offer: match }, market, { rules, corrections }),
    steps: landedByQuantity(inputs, offer.minOrder),
    lot,
    payback: asked === null ? null : payback(inputs, asked, perDay),
    checks: offerChecks(offer, rules.supply, { lot, standing }),
    standing,
    notes,
  }
}
