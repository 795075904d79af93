import { differingRows, numbers, placesOf, textColumn } from '../tables'
import type { Catalog } from './catalog'
import type { NewListings } from './catalog-change'
import { isTaughtAnew } from './title-lessons'
import { reportedForDays } from './units-in-window'

export interface SameItems {
  /** item → item of before that consists of the same listings, of which nothing new is known; -1 where there is none */
  sold: Int32Array
  /** the same, and every figure beside those that count days is what it was */
  all: Int32Array
}

/** Which items are just as they were, by what is kept of them and of their listings. */
export function sameItems(before: Catalog, now: Omit<Catalog, 'life'>, listings: NewListings): SameItems {
  const sold = sameMembers(before, now, listings)
  const seasonsChanged = changedSeasons(before, now)
  if (seasonsChanged.size > 0) {
    const category = textColumn(now.listings, 'category')
    const isAmong = (code: number) => code >= 0 && seasonsChanged.has(category.words.at(code) ?? '')
    leaveOut(sold, now, (l) => isAmong(category.codes[l] as number))
  }
  const all = sold.slice()
  // Another offer may be the one of any of them: where offers come or go, or words mean something else.
  const isOtherwise = before.offers !== now.offers || (now.offers.length > 0 && isTaughtAnew(before, now))
  if (isOtherwise) return { sold, all: all.fill(-1) }
  const reached = differingRows(before.reach, now.reach, all)
  reached.forEach((differs, item) => differs === 1 && (all[item] = -1))
  if (before.unpublished !== now.unpublished) {
    const estimated = differingRows(before.unpublished, now.unpublished, listings.oldOf)
    leaveOut(all, now, (l) => estimated[l] === 1)
  }
  leaveOut(all, now, windowsMoved(before, now))
  return { sold, all }
}

function sameMembers(before: Catalog, now: Omit<Catalog, 'life'>, listings: NewListings): Int32Array {
  return placesOf(now.starts.length - 1).map((item) => sameItem(before, now, listings, item))
}

function sameItem(
  before: Catalog,
  { starts, members }: Omit<Catalog, 'life'>,
  { oldOf, touched }: NewListings,
  item: number,
): number {
  const [from, to] = [starts[item] as number, starts[item + 1] as number]
  const first = oldOf[members[from] as number] as number
  if (first < 0) return -1
  const old = before.itemOf[first] as number
  const oldFrom = before.starts[old] as number
  if ((before.starts[old + 1] as number) - oldFrom !== to - from) return -1
  for (let i = from; i < to; i++) {
    const listing = members[i] as number
    // in the same order too, as the first of them names the item
    if (touched[listing] === 1 || oldOf[listing] !== before.members[oldFrom + i - from]) return -1
  }
  return old
}

function leaveOut(
  same: Int32Array,
  { itemOf }: Pick<Catalog, 'itemOf'>,
  isChanged: ((listing: number) => boolean) | null,
): void {
  if (isChanged === null) return
  itemOf.forEach((item, listing) => {
    if ((same[item] as number) >= 0 && isChanged(listing)) same[item] = -1
  })
}

function changedSeasons(before: Catalog, now: Pick<Catalog, 'seasons'>): Set<string> {
  if (before.seasons === now.seasons) return new Set()
  const categories = [...new Set([...before.seasons.keys(), ...now.seasons.keys()])]
  const said = (of: Catalog['seasons'], category: string) => JSON.stringify(Object.entries(of.get(category) ?? {}))
  return new Set(categories.filter((c) => said(before.seasons, c) !== said(now.seasons, c)))
}

/** Listings whose units are others since the windows of their market end on another day; null where no window moved. */
function windowsMoved(before: Catalog, now: Omit<Catalog, 'life'>): ((listing: number) => boolean) | null {
  const market = textColumn(now.listings, 'market')
  const endsOf = (name: string) => [before.windowEnds[name], now.windowEnds[name]] as const
  const ends = Array.from({ length: market.words.length }, (_, m) => endsOf(market.words.at(m) ?? '?'))
  ends.push(endsOf('?')) // of listings whose market is not known
  if (ends.every(([then, end]) => then === end)) return null
  const [units, unitsDay] = [numbers(now.listings, 'units'), numbers(now.listings, 'unitsDay')]
  return (listing) => {
    const [then, end] = ends[market.codes[listing] as number] ?? ends.at(-1) ?? []
    if (then === end) return false
    if (then === undefined || end === undefined || (now.sales.seriesOf[listing] as number) >= 0) return true
    const day = unitsDay[listing] as number
    return !Number.isNaN(units[listing]) && then - day > reportedForDays !== end - day > reportedForDays
  }
}
