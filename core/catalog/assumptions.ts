import type { OfferMatch } from '../supply'
import { assumedFeesWords } from '../margin'
import type { Item } from './item'
import { areFeesAssumed } from './item-costs'
import type { Corrections, SellerRules } from './rules'

/** What a profit rests on that nobody stated: fees of common practice, delivery taken as 0, packs taken as one piece. */
export type Assumption = 'fees' | 'delivery' | 'pack'
export const assumptions: readonly Assumption[] = ['fees', 'delivery', 'pack']

/** Each in words, behind 'Assumed: '. */
export const assumptionWords: Record<Assumption, string> = {
  fees: `fees of ${assumedFeesWords} (enter yours in Margin)`,
  delivery: 'no cost of delivery from the supplier (the offer does not state it)',
  pack: 'pieces in the packs (confirm them in Supply)',
}

interface Rests {
  rules: SellerRules
  corrections: Corrections
}

/** What the profit of an item on a market rests on, with the offer it is reckoned with. */
export function assumptionsOf(
  item: Pick<Item, 'key' | 'kind' | 'packFrom'> & { offer: OfferMatch | null },
  market: string,
  { rules, corrections }: Rests,
): Assumption[] {
  const { offer, kind } = item
  const own = corrections.costs[item.key]
  const isBought = kind !== 'digital' && offer !== null && own?.tiers === undefined
  return [
    ...(areFeesAssumed(rules, market) && own?.fees === undefined ? (['fees'] as const) : []),
    ...(isBought && offer.offer.deliveryE4 === null && own?.supplierDeliveryE4 === undefined
      ? (['delivery'] as const)
      : []),
    ...(isBought && !arePacksKnown(item, offer, corrections) ? (['pack'] as const) : []),
  ]
}

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
