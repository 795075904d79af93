import { joinMore } from '../goods'
import type { Capture, KindName } from '../records'
import { mergeOffers } from '../supply'
import { numberIn, textAt, textColumn, textIn, type Table } from '../tables'
import { categorySeasons, mergeTerms } from '../terms'
import { stepper, type WorkOptions } from './build-catalog'
import type { Catalog } from './catalog'
import { ListingIndex } from './find-listing'
import { itemReach } from './item-reach'
import { itemsByHand, lazyIndex, membersOf } from './items-by-hand'
import { joinableOf, notRead } from './joinable'
import { layOver } from './lay-over'
import { isFigure, listingFields } from './listing-fields'
import { mergeListings } from './merge-listings'
import { numberListings } from './number-listings'
import { renewLives } from './renew-lives'
import type { Corrections } from './rules'
import { salesBlock } from './sales-block'
import { sameItems } from './same-items'
import { fillFromStores } from './stores-in-listings'
import { unpublishedUnits } from './unpublished-units'
import { windowEnds } from './window-ends'

/** What came in or went since a catalogue was worked out. */
export interface Gathered {
  /** captures of listings and sales that came in or went */
  changed: readonly Capture[]
  /** kinds of all that came in or went */
  kinds: ReadonlySet<KindName>
  /** nothing went, and what came in is newer than all that was there: it can be laid over what stands */
  isNewest: boolean
  /** all captures of the other kinds, as they are now */
  others: readonly Capture[]
  /** all captures, as they are now; asked for where the change cannot be laid over */
  all: () => Promise<readonly Capture[]>
}

/** A catalogue that was brought up to date. */
export interface CatalogChange {
  catalog: Catalog
  /** item → the item of before that has the same figures, but for days that have passed; -1 where they are to be worked out */
  sameAs: Int32Array
}

/** Listings as they are now, and how they go with those of before. */
export interface NewListings {
  listings: Table
  sales: Catalog['sales']
  unpublished: Table
  /** listing → listing of before, -1 for a new one */
  oldOf: Int32Array
  /** listing → 1 where something came in or went that speaks of it */
  touched: Uint8Array
}

/**
 * Brings a catalogue up to date with what came in or went: only listings that it speaks of are taken apart, joined and worked out
 * anew. Groups that stand are kept: a listing whose title, barcode and brand are what they were stays with those it was with.
 *
 * @throws Problem 'cancelled'
 */
export async function renewCatalog(
  before: Catalog,
  gathered: Gathered,
  said: Pick<Corrections, 'apart' | 'together'>,
  options: WorkOptions = {},
): Promise<CatalogChange> {
  const step = stepper(options)
  const isOnlyOthers = gathered.changed.length === 0 && !gathered.kinds.has('stores')
  const next = isOnlyOthers
    ? unchanged(before)
    : (layOver(before, gathered) ?? (await mergedAnew(before, gathered, step)))
  await step(0.4)
  const joinable = await joinableOf(next.listings, knownForms(before, next), (done) => step(0.4 + 0.1 * done))
  const groupOf = isOnlyOthers
    ? before.groupOf
    : await joinMore(joinable, groupsThatStand(before, next), (done) => step(0.5 + 0.2 * done))
  const index = lazyIndex(next.listings)
  const itemOf = itemsByHand(groupOf, said, joinable, index)
  const { starts, members } = membersOf(itemOf)
  const seasons = gathered.kinds.has('terms') ? categorySeasons(mergeTerms(gathered.others)) : before.seasons
  const joined = { listings: next.listings, itemOf, items: starts.length - 1 }
  const reach = await itemReach(gathered.others, joined, { index, onProgress: (done) => step(0.7 + 0.1 * done) })
  const bare = {
    listings: next.listings,
    sales: next.sales,
    unpublished: next.unpublished,
    forms: joinable.forms,
    groupOf,
    itemOf,
    starts,
    members,
    seasons,
    reach,
    windowEnds: windowEnds(next.listings, next.sales),
    offers: gathered.kinds.has('offers') ? mergeOffers(gathered.others) : before.offers,
  }
  const same = sameItems(before, bare, next)
  const life = await renewLives(before, bare, same.sold, (done) => step(0.8 + 0.2 * done))
  return { catalog: { ...bare, life }, sameAs: same.all }
}

function unchanged(before: Catalog): NewListings {
  const { listings, sales, unpublished } = before
  return {
    listings,
    sales,
    unpublished,
    oldOf: Int32Array.from({ length: listings.rows }, (_, i) => i),
    touched: new Uint8Array(listings.rows),
  }
}

/** All captures merged once more, which is quick beside taking titles apart and working figures out. */
async function mergedAnew(
  before: Catalog,
  { all, changed }: Gathered,
  step: (done: number) => Promise<void>,
): Promise<NewListings> {
  const captures = await all()
  await step(0.1)
  const { count, captures: numbered } = numberListings(captures)
  await step(0.2)
  const listings = fillFromStores(mergeListings(count, numbered), captures)
  await step(0.3)
  const sales = salesBlock(count, numbered)
  const unpublished = await unpublishedUnits({ listings, sales }, numbered)
  const oldOf = new ListingIndex(before.listings).match(listings)
  const touched = new Uint8Array(count)
  if (changed.length > 0) {
    const index = new ListingIndex(listings)
    for (const { table } of changed) for (const listing of index.match(table)) if (listing >= 0) touched[listing] = 1
  }
  touchByStores(before.listings, listings, oldOf, touched)
  return { listings, sales, unpublished, oldOf, touched }
}

/** What a list of stores says of a listing's store is news of the listing. */
function touchByStores(before: Table, now: Table, oldOf: Int32Array, touched: Uint8Array): void {
  for (const field of listingFields) {
    if (field.storeField === undefined) continue
    const read = isFigure(field) ? numberIn : textIn
    oldOf.forEach((old, i) => {
      if (old >= 0 && read(before, field.name, old) !== read(now, field.name, i)) touched[i] = 1
    })
  }
}

/** Forms of titles that are what they were. */
function knownForms(before: Catalog, { listings, oldOf, touched }: NewListings) {
  const [now, then] = [textColumn(listings, 'title'), textColumn(before.listings, 'title')]
  const formOf = Int32Array.from(oldOf, (old, i) => {
    if (old < 0 || (touched[i] === 1 && textAt(now, i) !== textAt(then, old))) return notRead
    return before.forms.formOf[old] as number
  })
  return { forms: before.forms, formOf }
}

/** Groups of before; -1 for listings that are new, or by other names than they were. */
function groupsThatStand(before: Catalog, { listings, oldOf, touched }: NewListings): Int32Array {
  const names = ['title', 'gtin', 'brand'].map(
    (name) => [textColumn(listings, name), textColumn(before.listings, name)] as const,
  )
  return Int32Array.from(oldOf, (old, i) => {
    if (old < 0 || (touched[i] === 1 && names.some(([now, then]) => textAt(now, i) !== textAt(then, old)))) return -1
    return before.groupOf[old] as number
  })
}
