import type { Capture } from '../records'
import { placesOf, textAt, textColumn, type Table } from '../tables'
import type { Catalog } from './catalog'
import { ListingIndex } from './find-listing'
import { listingKey } from './listing'
import { mergeListings } from './merge-listings'
import type { NumberedCapture } from './number-listings'
import type { Gathered, NewListings } from './catalog-change'
import { fillFromStores } from './stores-in-listings'

/**
 * New lists of listings laid over what stands: nothing that was read before is read again. Null where that is not all there is to it:
 * something went, or is older than what is there, or sales over time, or units that have to be estimated out of several captures.
 */
export function layOver(before: Catalog, { newest, kinds, others }: Gathered): NewListings | null {
  if (newest === null || kinds.has('stores') || Object.keys(before.unpublished.columns).length > 0) return null
  const { count, numbered } = numberOver(before.listings, newest)
  const listings = fillFromStores(mergeListings(count, numbered, before.listings), others)
  const units = listings.columns.units
  const touched = new Uint8Array(count)
  for (const { listings: places } of numbered) for (const at of places) touched[at] = 1
  const seriesOf = new Int32Array(count).fill(-1)
  seriesOf.set(before.sales.seriesOf)
  const isKnown = (at: number) =>
    (seriesOf[at] as number) >= 0 || (units?.type === 'number' && !Number.isNaN(units.values[at]))
  if (touched.some((is, at) => is === 1 && !isKnown(at))) return null
  const oldOf = new Int32Array(count).fill(-1)
  oldOf.set(placesOf(before.listings.rows))
  return { listings, sales: { ...before.sales, seriesOf }, unpublished: { rows: count, columns: {} }, oldOf, touched }
}

/** Numbers further captures: listings that are known keep their numbers, new ones come behind. */
function numberOver(listings: Table, captures: readonly Capture[]): { count: number; numbered: NumberedCapture[] } {
  const index = new ListingIndex(listings)
  const added = new Map<string, number>()
  let count = listings.rows
  const inTime = [...captures].sort((a, b) => a.capturedOn - b.capturedOn)
  const numbered = inTime.map((capture): NumberedCapture => {
    const { table } = capture
    const [market, id] = [textColumn(table, 'market'), textColumn(table, 'id')]
    const places = index.match(table).map((known, row) => {
      if (known >= 0) return known
      const key = listingKey(textAt(market, row), textAt(id, row))
      const listing = added.get(key) ?? count++
      added.set(key, listing)
      return listing
    })
    return { capture, rows: Int32Array.from(places, (_, row) => row), listings: places }
  })
  return { count, numbered }
}
