import { findPackCount } from '../goods'
import type { Offer } from './offer'
import type { Quote, QuoteAnswer } from './quote'

/** What goes for all that a supplier offers, and is taken from another offer of it where an answer does not say. */
type OfSupplier = Pick<Offer, 'shipsFrom' | 'rating' | 'goodReviews' | 'since'>

/** what says how many are in a pack where the seller entered it with the answer */
export const packByAnswer = 'its answer'

const nothingOfSupplier: OfSupplier = { shipsFrom: null, rating: null, goodReviews: null, since: null }

/**
 * An answer as an offer, to be reckoned with like any other. What the answer does not say is taken from the offer that was asked about; nothing
 * is taken from it that a quote is asked for: prices, least order.
 *
 * @param about the offer that was asked about; null where none is known
 * @param other any offer of the supplier; null where none is known
 */
export function offerOfQuote(
  { id, title, supplier }: Pick<Quote, 'id' | 'title' | 'supplier'>,
  answer: QuoteAnswer,
  { about, other }: { about: Offer | null; other: Offer | null },
): Offer {
  const facts = about ?? other ?? nothingOfSupplier
  const { shipsFrom, rating, goodReviews, since } = facts
  const pack = answer.pack === null ? (about ?? packOf(title)) : { pack: answer.pack, packFrom: packByAnswer }
  const name = about === null ? `quote ${id}` : `${about.id} quoted`
  return {
    key: `offer:${supplier}/${name}`,
    supplier,
    id: name,
    title: about?.title ?? title,
    tiers: answer.tiers,
    currency: answer.currency,
    minOrder: answer.minOrder ?? 1,
    deliveryE4: answer.deliveryE4 ?? about?.deliveryE4 ?? null,
    leadDays: answer.leadDays ?? about?.leadDays ?? null,
    leadDaysLeast: answer.leadDays === null ? (about?.leadDaysLeast ?? null) : null,
    sampleE4: answer.sampleE4 ?? about?.sampleE4 ?? null,
    stock: about?.stock ?? null,
    orders: about?.orders ?? null,
    weightG: about?.weightG ?? null,
    box: about?.box ?? null,
    printAreas: about?.printAreas ?? [],
    printE4: about?.printE4 ?? null,
    gtin: about?.gtin ?? null,
    brand: about?.brand ?? null,
    picture: about?.picture ?? null,
    category: about?.category ?? null,
    shipsFrom,
    rating,
    goodReviews,
    since,
    packFrom: pack.packFrom,
    pack: pack.pack,
    capturedOn: answer.on,
  }
}

function packOf(title: string): Pick<Offer, 'pack' | 'packFrom'> {
  const found = findPackCount(title)
  return { pack: found?.count ?? 1, packFrom: found?.from ?? null }
}
