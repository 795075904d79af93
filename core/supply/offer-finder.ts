import type { Likeness, TitleSignature } from '../goods'
import { AlikeTitles, type TitleKnowledge } from './alike-titles'
import type { Offer } from './offer'

/**
 * What the seller says an offer is: the same goods in the packs that are shown; the same in another pack, which is still to be counted; alike;
 * or nothing of the kind.
 */
export const matchJudgements = ['same', 'pack', 'similar', 'no'] as const
export type MatchJudgement = (typeof matchJudgements)[number]

/** An offer that may be the same goods, and how that is known. */
export interface OfferMatch {
  offer: Offer
  by: 'barcode' | 'words' | 'you'
  likeness: Likeness | null
  verdict: Likeness['verdict']
  /** what the seller said of it; null where nothing */
  judged: MatchJudgement | null
}

/** What the seller said of offers for one item, by their keys. */
export type JudgedOffers = Readonly<Record<string, MatchJudgement>>

interface FindOptions {
  /** most offers that are found by likeness or barcode (default 20) */
  most?: number
  /** without those that are merely alike (default false) */
  sameOnly?: boolean
  /** what the seller said of offers: those said to be something are always among what is found */
  judged?: JudgedOffers
}

/** Finds the offers of the same goods: by what the seller said, by barcode, then by words. */
export class OfferFinder {
  readonly #offers: readonly Offer[]
  readonly #titles: AlikeTitles
  readonly #byGtin = new Map<string, Offer[]>()
  #byKey: Map<string, Offer> | null = null

  constructor(offers: readonly Offer[], known: TitleKnowledge = {}) {
    this.#offers = offers
    this.#titles = new AlikeTitles(
      offers.map((o) => o.title),
      known,
    )
    for (const offer of offers) {
      if (offer.gtin === null) continue
      const list = this.#byGtin.get(offer.gtin)
      if (list) list.push(offer)
      else this.#byGtin.set(offer.gtin, [offer])
    }
  }

  /** Candidates, surest first. */
  find(
    signature: TitleSignature,
    gtin: string | null,
    { most = 20, sameOnly = false, judged = {} }: FindOptions = {},
  ): OfferMatch[] {
    const sure = (gtin === null ? [] : (this.#byGtin.get(gtin) ?? [])).map((offer): OfferMatch => ({
      offer,
      by: 'barcode',
      likeness: null,
      verdict: 'same',
      judged: null,
    }))
    const known = new Set(sure.map((m) => m.offer.key))
    const alike = this.#titles.find(signature, most, sameOnly).flatMap(({ at, likeness }): OfferMatch[] => {
      const offer = this.#offers[at] as Offer
      if (known.has(offer.key)) return []
      const otherGoods = gtin !== null && offer.gtin !== null && offer.gtin !== gtin && offer.pack === signature.pack
      const verdict = otherGoods && likeness.verdict === 'same' ? 'similar' : likeness.verdict
      return [{ offer, by: 'words', likeness, verdict, judged: null }]
    })
    const found = [...sure, ...alike].slice(0, most)
    const keys = Object.keys(judged)
    return keys.length === 0 ? found : this.#withJudged(found, judged)
  }

  /** What the seller said counts before all that was found; what was judged stays where it stood. */
  #withJudged(found: readonly OfferMatch[], judged: JudgedOffers): OfferMatch[] {
    const there = new Set(found.map((m) => m.offer.key))
    const others = Object.keys(judged).flatMap((key): OfferMatch[] => {
      const offer = there.has(key) ? undefined : this.offer(key)
      return offer ? [{ offer, by: 'you', likeness: null, verdict: 'similar', judged: null }] : []
    })
    return [...found, ...others].map((match): OfferMatch => {
      const said = judged[match.offer.key]
      return said ? { ...match, by: 'you', judged: said, verdict: verdictOf[said] } : match
    })
  }

  /** An offer by its key; undefined where it is not there any more. */
  offer(key: string): Offer | undefined {
    this.#byKey ??= new Map(this.#offers.map((o) => [o.key, o]))
    return this.#byKey.get(key)
  }

  /** Offers whose titles have words of a search, most alike first: the seller's own words for what was not found. None is taken for the same. */
  search(words: string, most = 20): OfferMatch[] {
    return this.#titles.search(words, most).map(({ at, likeness }) => ({
      offer: this.#offers[at] as Offer,
      by: 'words',
      likeness,
      verdict: likeness.verdict === 'same' ? 'similar' : likeness.verdict,
      judged: null,
    }))
  }
}

const verdictOf: Record<MatchJudgement, OfferMatch['verdict']> = {
  same: 'same',
  pack: 'same',
  similar: 'similar',
  no: 'similar',
}
