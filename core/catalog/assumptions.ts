import type { CostInputs } from '../margin'
import type { Offer, OfferMatch } from '../supply'
import type { Assumption } from './assumption'
import type { Item } from './item'
import { areFeesAssumed, isWeightMissing } from './item-costs'
import type { Corrections, SellerRules } from './rules'

interface Rests {
  rules: SellerRules
  corrections: Corrections
  /** costs of the item alone, where they were looked up already; null where there are none */
  own?: Partial<CostInputs> | null
}

/** What the profit of an item on a market rests on, with the offer it is reckoned with. */
export function assumptionsOf(
  item: Pick<Item, 'key' | 'kind' | 'packFrom'> & { offer: OfferMatch | null },
  market: string,
  { rules, corrections, own = corrections.costs[item.key] ?? null }: Rests,
): Assumption[] {
  const { offer, kind } = item
  const isBought = kind !== 'digital' && offer !== null && own?.tiers === undefined
  return [
    ...(areFeesAssumed(rules, market) && own?.fees === undefined ? (['fees'] as const) : []),
    ...(isBought && isDeliveryUnknown(offer.offer, rules, own) ? (['delivery'] as const) : []),
    ...(isBought && !arePacksKnown(item, offer, corrections) ? (['pack'] as const) : []),
  ]
}

/** Of an order, or of its weight where freight goes by that. */
const isDeliveryUnknown = (offer: Offer, rules: SellerRules, own: Partial<CostInputs> | null) =>
  (offer.deliveryE4 === null && own?.supplierDeliveryE4 === undefined) ||
  (isWeightMissing(offer, rules) && own?.chargedKg === undefined)

/** Pieces are known where a barcode or the seller says that both are the same pack, or where both packs are read or set. */
function arePacksKnown(
  { key, packFrom }: Pick<Item, 'key' | 'packFrom'>,
  { by, judged, offer }: OfferMatch,
  corrections: Corrections,
): boolean {
  if (by === 'barcode' || judged === 'same') return true
  const isMineKnown = packFrom !== null || corrections.packs[key] !== undefined
  return isMineKnown && (offer.packFrom !== null || corrections.packs[offer.key] !== undefined)
}
