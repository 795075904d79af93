import type { UnitSeries } from '../demand'
import { inForce, joinMore } from '../goods'
import type { KindName } from '../records'
import { mergeOffers } from '../supply'
import { differingRows, placesOf, textAt, textColumn } from '../tables'
import { categorySeasons, mergeTerms } from '../terms'
import { stepper, type WorkOptions } from './build-catalog'
import type { Catalog } from './catalog'
import type { CatalogChange, Gathered, NewListings } from './catalog-change'
import { ListingIndex } from './find-listing'
import { itemReach } from './item-reach'
import { itemsByHand, lazyIndex } from './items-by-hand'
import { membersOf } from './members'
import { joinableOf, notRead, type KnownForms } from './joinable'
import { layOver } from './lay-over'
import { mergeListings } from './merge-listings'
import { numberListings } from './number-listings'
import { renewLives } from './renew-lives'
import type { SaidOfGoods } from './rules'
import { salesBlock, seriesAt } from './sales-block'
import { sameItems } from './same-items'
import { fillFromStores } from './stores-in-listings'
import { newInForce, titleLessons } from './title-lessons'
import { unpublishedUnits } from './unpublished-units'
import { windowEnds } from './window-ends'

/** Kinds of which listings are made: as soon as one comes or goes, they are merged anew. */
const ofListings: readonly KindName[] = ['listings', 'sales', 'stores']

/**
 * Brings a catalog up to date with what came in or went: only listings that it speaks of are taken apart, joined and worked out
 * anew. Groups that stand are kept: a listing whose title, barcode and brand are what they were stays with those it was with. What was said of
 * listings must be what it was.
 *
 * @throws Problem 'cancelled'
 */
export async function renewCatalog(
  before: Catalog,
  gathered: Gathered,
  said: SaidOfGoods,
  options: WorkOptions = {},
): Promise<CatalogChange> {
  const step = stepper(options)
  const isOnlyOthers = !ofListings.some((kind) => gathered.kinds.has(kind))
  const next = isOnlyOthers
    ? unchanged(before)
    : (layOver(before, gathered) ?? (await mergedAnew(before, gathered, step)))
  await step(0.4)
  const titles = await joinableOf(next.listings, knownForms(before, next), (done) => step(0.4 + 0.1 * done))
  const index = lazyIndex(next.listings)
  const lessons = isOnlyOthers ? before.lessons : titleLessons(titles, said, index)
  const joinable = { ...titles, lessons: inForce(lessons) }
  const groupOf = isOnlyOthers
    ? before.groupOf
    : await joinMore(
        joinable,
        groupsThatStand(before, next),
        (done) => step(0.5 + 0.2 * done),
        newInForce(before, { lessons, forms: joinable.forms }),
      )
  const itemOf = itemsByHand(groupOf, said, () => joinable, index)
  const { starts, members } = membersOf(itemOf)
  const seasons = gathered.kinds.has('terms') ? categorySeasons(mergeTerms(gathered.others)) : before.seasons
  const joined = { listings: next.listings, itemOf, items: starts.length - 1 }
  const ends = windowEnds(next.listings, next.sales)
  const reach = await itemReach(gathered.others, joined, {
    windowEnds: ends,
    index,
    avoid: said.avoid,
    onProgress: (done) => step(0.7 + 0.1 * done),
  })
  const bare = {
    listings: next.listings,
    sales: next.sales,
    unpublished: next.unpublished,
    forms: joinable.forms,
    groupOf,
    lessons,
    itemOf,
    starts,
    members,
    seasons,
    reach,
    windowEnds: ends,
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
    oldOf: placesOf(listings.rows),
    touched: new Uint8Array(listings.rows),
  }
}

/** All captures merged once more, which is quick beside taking titles apart and working figures out. */
async function mergedAnew(
  before: Catalog,
  { all }: Gathered,
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
  const touched = differingRows(before.listings, listings, oldOf)
  for (let i = 0; i < count; i++) {
    const old = oldOf[i] as number
    if (old >= 0 && !isSameSeries(seriesAt(before.sales, old), seriesAt(sales, i))) touched[i] = 1
  }
  return { listings, sales, unpublished, oldOf, touched }
}

function isSameSeries(a: UnitSeries | null, b: UnitSeries | null): boolean {
  if (a === null || b === null) return a === b
  if (a.start !== b.start || a.stepDays !== b.stepDays || a.values.length !== b.values.length) return false
  return a.values.every((units, i) => Object.is(units, b.values[i]))
}

/** Forms of titles that are what they were. */
function knownForms(before: Catalog, next: NewListings): KnownForms {
  return { forms: before.forms, formOf: whereNamesStand(before, next, ['title'], before.forms.formOf, notRead) }
}

/** Groups of before; -1 for listings that are new, or by other names than they were. */
function groupsThatStand(before: Catalog, next: NewListings): Int32Array {
  return whereNamesStand(before, next, ['title', 'gtin', 'brand'], before.groupOf, -1)
}

/** What was known of listings before, where these names of theirs are what they were. */
function whereNamesStand(
  before: Catalog,
  { listings, oldOf, touched }: NewListings,
  names: readonly string[],
  knownOf: Int32Array,
  unknown: number,
): Int32Array {
  const texts = names.map((name) => [textColumn(listings, name), textColumn(before.listings, name)] as const)
  const found = new Int32Array(listings.rows)
  for (let i = 0; i < listings.rows; i++) {
    const old = oldOf[i] as number
    const stands = old >= 0 && (touched[i] === 0 || texts.every(([now, then]) => textAt(now, i) === textAt(then, old)))
    found[i] = stands ? (knownOf[old] as number) : unknown
  }
  return found
}
