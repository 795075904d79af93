import { inForce, TaughtWords, titleSignature, WeightsOfWords } from '../goods'
import { OfferFinder } from '../supply'
import type { Catalog } from './catalog'
import { describeItem } from './describe-item'
import { ListingIndex } from './find-listing'
import type { Item } from './item'
import { reachAt } from './item-reach'
import { lifeAt } from './life-table'
import { ListingReader } from './listing'
import { priceItem, type SharedCosts } from './price-item'
import type { Corrections, SellerRules } from './rules'
import { seriesAt } from './sales-block'
import { isTaughtAnew } from './title-lessons'
import { unpublishedAt } from './unpublished-units'

/** Makes items out of the catalog's columns one by one, as they are asked for: a million of them are never there at once. */
export class ItemMaker {
  readonly catalog: Catalog
  readonly rules: SellerRules
  readonly corrections: Corrections
  readonly #reader: ListingReader
  readonly #offers: OfferFinder
  #index: ListingIndex | null = null
  readonly #costs: SharedCosts = new Map()

  /** @param before a maker of an earlier catalog, of which is made use as far as its listings and offers are the same */
  constructor(catalog: Catalog, rules: SellerRules, corrections: Corrections, before: ItemMaker | null = null) {
    this.#index = before?.catalog.listings === catalog.listings ? before.index() : null
    this.catalog = catalog
    this.rules = rules
    this.corrections = corrections
    this.#reader = new ListingReader(catalog.listings)
    this.#offers = before && areOffersSame(before.catalog, catalog) ? before.#offers : offerFinder(catalog)
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
    const { starts, members, sales, windowEnds, life, reach, unpublished } = this.catalog
    const places = [...members.subarray(starts[item], starts[item + 1])]
    const described = describeItem(
      places.map((l) => ({
        listing: this.#reader.at(l),
        series: seriesAt(sales, l),
        unpublished: unpublishedAt(unpublished, l),
      })),
      { windowEnds, life: lifeAt(life, item), reach: reachAt(reach, item), rules: this.rules },
    )
    return priceItem(
      { ...described, offers: this.#offersFor(described, every) },
      this.rules,
      this.corrections,
      this.#costs,
    )
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

const areOffersSame = (before: Catalog, now: Catalog): boolean =>
  before.offers === now.offers && before.forms === now.forms && !isTaughtAnew(before, now)

/** @param offers those among which is found; all of them without */
export function offerFinder({ forms, lessons, ...catalog }: Catalog, offers = catalog.offers): OfferFinder {
  if (offers.length === 0) return new OfferFinder([])
  return new OfferFinder(offers, {
    taught: new TaughtWords(inForce(lessons), forms.words),
    weights: new WeightsOfWords(forms),
  })
}
