import { inForce, TaughtWords, titleSignature, WeightsOfWords } from '../goods'
import { OfferFinder } from '../supply'
import type { Catalog } from './catalog'
import { describeItem, identityOf } from './describe-item'
import { ListingIndex } from './find-listing'
import type { Item } from './item'
import type { Lens } from './lens'
import { reachAt } from './item-reach'
import { lifeAt } from './life-table'
import { ListingReader } from './listing'
import { areOfferLessonsSame, learnOfOffers, type JudgedTitles, type OfferLessons } from './offer-lessons'
import { listingsOf } from './members'
import { priceItem, type SharedCosts } from './price-item'
import type { Corrections, SellerRules } from './rules'
import { SaidOfItems } from './said-of-items'
import { seriesAt } from './sales-block'
import { isTaughtAnew } from './title-lessons'
import { unpublishedAt } from './unpublished-units'

/** Makes items out of the catalog's columns one by one, as they are asked for: a million of them are never there at once. */
export class ItemMaker {
  readonly catalog: Catalog
  readonly rules: SellerRules
  readonly corrections: Corrections
  /** what the seller's judgements of offers teach of words */
  readonly offerLessons: OfferLessons
  readonly #reader: ListingReader
  readonly #offers: OfferFinder
  #index: ListingIndex | null = null
  readonly #costs: SharedCosts = new Map()
  readonly #said: SaidOfItems

  /** what of each item counts; null where all does */
  readonly lens: Lens | null

  /** @param before a maker of an earlier catalog, of which is made use as far as its listings and offers are the same */
  constructor(
    catalog: Catalog,
    rules: SellerRules,
    corrections: Corrections,
    before: ItemMaker | null = null,
    lens: Lens | null = null,
  ) {
    this.lens = lens
    this.#index = before?.catalog.listings === catalog.listings ? before.index() : null
    this.catalog = catalog
    this.rules = rules
    this.corrections = corrections
    this.#said = new SaidOfItems(corrections)
    this.#reader = new ListingReader(catalog.listings)
    const isAsBefore =
      before !== null &&
      before.catalog === catalog &&
      isSaidAlike(before.corrections.judged, corrections.judged) &&
      isSaidAlike(before.corrections.unlearned, corrections.unlearned)
    this.offerLessons = isAsBefore
      ? before.offerLessons
      : learnOfOffers(this.#judgedTitles(), new Set(Object.keys(corrections.unlearned)))
    this.#offers =
      before && areOffersSame(before.catalog, catalog) && areOfferLessonsSame(before.offerLessons, this.offerLessons)
        ? before.#offers
        : offerFinder(catalog, this.offerLessons)
  }

  /** Whether anything of an item counts. */
  isSeen(item: number): boolean {
    const { starts } = this.lens ?? this.catalog
    return starts[item] !== starts[item + 1]
  }

  /** Whether a listing counts. */
  isCounted(listing: number): boolean {
    return this.lens === null || (this.lens.itemOf[listing] as number) >= 0
  }

  /** How many items there are. */
  get count(): number {
    return this.catalog.starts.length - 1
  }

  /** The key of an item is that of its first listing. */
  keyAt(item: number): string {
    return this.#reader.key(this.catalog.members[this.catalog.starts[item] as number] as number)
  }

  /** Finds the catalog's listings. */
  index(): ListingIndex {
    return (this.#index ??= new ListingIndex(this.catalog.listings))
  }

  /** The item that a listing's key belongs to; null where nothing has it any more. */
  find(key: string): number | null {
    const listing = this.index().find(key)
    return listing === null ? null : (this.catalog.itemOf[listing] as number)
  }

  /** @param every with all offers that are alike; else only those that are the same goods, which is all that prices need */
  at(item: number, every = true): Item {
    const described = this.#described(item)
    described.offers = this.#offersFor(described, every)
    const said = this.#said.of(described.key)
    return priceItem(described, { rules: this.rules, corrections: this.corrections, said }, this.#costs)
  }

  /** What an item is called; much less work than all of it. */
  titleAt(item: number): string {
    return this.#described(item).title
  }

  /** An item without offers and prices: by what counts of it, or by all where nothing does. */
  #described(item: number): Item {
    const seen = this.lens !== null && this.isSeen(item) ? this.lens : this.catalog
    const { sales, windowEnds, unpublished } = this.catalog
    const places = listingsOf(seen, item)
    const described = describeItem(
      places.map((l) => ({
        listing: this.#reader.at(l),
        series: seriesAt(sales, l),
        unpublished: unpublishedAt(unpublished, l),
      })),
      { windowEnds, life: lifeAt(seen.life, item), reach: reachAt(seen.reach, item), rules: this.rules },
    )
    const all = seen === this.catalog ? places : listingsOf(this.catalog, item)
    // what it is, is what all of its listings say
    return all.length === places.length
      ? described
      : Object.assign(described, identityOf(all.map((l) => this.#reader.at(l))))
  }

  /** Titles of what was judged, as the seller saw them; what is not there any more says nothing. */
  #judgedTitles(): JudgedTitles[] {
    const { judged } = this.corrections
    const keys = Object.keys(judged)
    if (keys.length === 0) return []
    const offers = new Map(this.catalog.offers.map((o) => [o.key, o.title]))
    return keys.flatMap((key) => {
      const place = this.find(key)
      const item = place === null ? '' : this.titleAt(place)
      return Object.entries(judged[key] ?? {}).flatMap(([offer, judgement]): JudgedTitles[] => {
        const title = offers.get(offer)
        return title === undefined || item === '' ? [] : [{ item, offer: title, judgement }]
      })
    })
  }

  #offersFor({ key, title, gtin }: Item, every: boolean) {
    if (this.catalog.offers.length === 0) return []
    const { offers, judged } = this.corrections
    const chosen = offers[key]
    // An offer that was chosen by hand before any was judged is the same by that.
    const said = { ...(chosen ? { [chosen]: 'same' as const } : {}), ...judged[key] }
    return this.#offers.find(titleSignature(title), gtin, { sameOnly: !every, judged: said })
  }

  /** Offers whose titles have some words, whatever an item is called. */
  searchOffers(words: string, most?: number) {
    return this.#offers.search(words, most)
  }
}

const isSaidAlike = (a: object, b: object) => JSON.stringify(a) === JSON.stringify(b)

const areOffersSame = (before: Catalog, now: Catalog): boolean =>
  before.offers === now.offers &&
  (now.offers.length === 0 || (before.forms === now.forms && !isTaughtAnew(before, now)))

function offerFinder({ forms, lessons, offers }: Catalog, ofOffers: OfferLessons): OfferFinder {
  if (offers.length === 0) return new OfferFinder([])
  const byListings = new TaughtWords(inForce(lessons), forms.words)
  return new OfferFinder(offers, {
    taught: new TaughtWords(inForce(ofOffers.lessons), ofOffers.forms.words, byListings),
    weights: new WeightsOfWords(forms),
  })
}
