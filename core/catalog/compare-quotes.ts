import { landedCost } from '../margin'
import { offerOfQuote, type Offer, type OfferMatch, type Quote, type QuoteAnswer } from '../supply'
import { bestMarketOf } from './item'
import type { ItemMaker } from './item-maker'
import { costsWith, deskCandidate, type DeskCandidate } from './match-desk'

/** What one answer comes to. Money in E4 of the home currency. */
export interface QuoteCompared {
  /** id of the quote */
  id: string
  candidate: DeskCandidate
  /** goods of one sale where so many packs are ordered at once, as the quote asked; null where its least order is more, or a cost is not known */
  landed: { quantity: number; landedE4: number | null }[]
}

export interface QuotesCompared {
  market: string
  answers: QuoteCompared[]
}

/** Finds offers for quotes: the one that was asked about, and any of a supplier. */
export function offersOfQuotes(offers: readonly Offer[]) {
  const byKey = new Map(offers.map((o) => [o.key, o]))
  const bySupplier = new Map(offers.map((o) => [o.supplier, o]))
  return ({ offer, supplier }: Pick<Quote, 'offer' | 'supplier'>) => ({
    about: offer === null ? null : (byKey.get(offer) ?? null),
    other: bySupplier.get(supplier) ?? null,
  })
}

/**
 * The answers about one item beside each other, what the goods of a sale would cost by each, cheapest first at the item's own lot.
 *
 * @param quotes those without an answer, or whose supplier has no such thing, are left out
 * @returns null where there is no such item
 */
export function compareQuotes(maker: ItemMaker, key: string, quotes: readonly Quote[]): QuotesCompared | null {
  const place = maker.find(key)
  if (place === null) return null
  const item = maker.at(place, false)
  const market = bestMarketOf(item)
  const known = offersOfQuotes(maker.catalog.offers)
  const answers = quotes.flatMap((quote): QuoteCompared[] => {
    const { answer } = quote
    if (answer === null || answer.tiers.length === 0) return []
    const match = matchOf(quote, answer, known(quote))
    const { inputs } = costsWith(maker, item, market, match)
    const landed = quote.quantities.map((quantity) => ({
      quantity,
      landedE4: quantity < match.offer.minOrder ? null : landedCost({ ...inputs, orderQuantity: quantity }),
    }))
    return [{ id: quote.id, candidate: deskCandidate(maker, item, market, match), landed }]
  })
  const cost = ({ candidate }: QuoteCompared) => candidate.landedE4 ?? Infinity
  return { market, answers: answers.sort((a, b) => cost(a) - cost(b)) }
}

function matchOf(quote: Quote, answer: QuoteAnswer, known: { about: Offer | null; other: Offer | null }): OfferMatch {
  return { offer: offerOfQuote(quote, answer, known), by: 'you', likeness: null, verdict: 'same', judged: 'same' }
}
