import { joinListings, type JoinOptions } from '../goods'
import type { Capture } from '../records'
import { stopIfCancelled } from '../problem'
import { mergeOffers } from '../supply'
import type { Table } from '../tables'
import { categorySeasons, mergeTerms } from '../terms'
import type { Catalog } from './catalog'
import { ListingIndex } from './find-listing'
import { itemLives } from './item-lives'
import { itemReach } from './item-reach'
import { ListingReader } from './listing'
import { mergeListings } from './merge-listings'
import { numberListings } from './number-listings'
import { noCorrections, type Corrections } from './rules'
import { salesBlock, type SalesBlock } from './sales-block'
import { fillFromStores } from './stores-in-listings'
import { unpublishedUnits } from './unpublished-units'

export interface WorkOptions {
  signal?: AbortSignal
  /** share done, 0–1 */
  onProgress?: (done: number) => void
  /** lets other work of the thread in */
  pause?: () => Promise<void>
}

/**
 * All that does not depend on the seller's rules.
 *
 * @param said what a person said of which listings are the same goods
 * @throws Problem 'cancelled'
 */
export async function buildCatalog(
  captures: readonly Capture[],
  options: WorkOptions = {},
  said: Pick<Corrections, 'apart' | 'together'> = noCorrections,
): Promise<Catalog> {
  const step = stepper(options)
  const { count, captures: numbered } = numberListings(captures)
  await step(0.1)
  const listings = fillFromStores(mergeListings(count, numbered), captures)
  await step(0.2)
  const sales = salesBlock(count, numbered)
  await step(0.3)
  const reader = new ListingReader(listings)
  const itemOf = await joinListings(
    {
      count,
      title: (i) => reader.text('title', i),
      gtin: (i) => reader.text('gtin', i),
      brand: (i) => reader.text('brand', i),
    },
    { onProgress: (done) => step(0.3 + 0.4 * done), ...placesOf(said, listings) },
  )
  const { starts, members } = membersOf(itemOf)
  const life = await itemLives({ listings, sales, starts, members }, categorySeasons(mergeTerms(captures)), (done) =>
    step(0.7 + 0.2 * done),
  )
  const joined = { listings, itemOf, items: starts.length - 1 }
  const reach = await itemReach(captures, joined, (done) => step(0.9 + 0.06 * done))
  const unpublished = await unpublishedUnits({ listings, sales }, numbered, (done) => step(0.96 + 0.04 * done))
  return {
    listings,
    sales,
    itemOf,
    starts,
    members,
    life,
    reach,
    unpublished,
    windowEnds: windowEnds(reader, sales),
    offers: mergeOffers(captures),
  }
}

/** Reports progress, lets others in and hears of a stop, but at most every 40 ms. */
export function stepper({ signal, onProgress, pause }: WorkOptions): (done: number) => Promise<void> {
  let last = 0
  return async (done) => {
    const now = performance.now()
    if (now - last < 40) return
    last = now
    onProgress?.(done)
    await pause?.()
    stopIfCancelled(signal)
  }
}

/** What was said by keys, as places of listings; what names a listing that is gone is passed over. */
function placesOf({ apart, together }: Pick<Corrections, 'apart' | 'together'>, listings: Table): JoinOptions {
  if (Object.keys(apart).length + Object.keys(together).length === 0) return {}
  const index = new ListingIndex(listings)
  return {
    apart: new Set(Object.keys(apart).flatMap((key) => index.find(key) ?? [])),
    together: Object.entries(together).flatMap(([key, other]) => {
      const [a, b] = [index.find(key), index.find(other)]
      return a === null || b === null ? [] : [[a, b] as const]
    }),
  }
}

/** Listings by item, in their own order within each (a counting sort). */
function membersOf(itemOf: Int32Array): { starts: Int32Array; members: Int32Array } {
  let items = 0
  for (const item of itemOf) items = Math.max(items, item + 1)
  const starts = new Int32Array(items + 1)
  for (const item of itemOf) starts[item + 1] = (starts[item + 1] as number) + 1
  for (let i = 0; i < items; i++) starts[i + 1] = (starts[i + 1] as number) + (starts[i] as number)
  const next = starts.slice()
  const members = new Int32Array(itemOf.length)
  for (let l = 0; l < itemOf.length; l++) {
    const item = itemOf[l] as number
    members[next[item] as number] = l
    next[item] = (next[item] as number) + 1
  }
  return { starts, members }
}

function windowEnds(listings: ListingReader, sales: SalesBlock): Record<string, number> {
  const ends: Record<string, number> = {}
  for (let i = 0; i < listings.rows; i++) {
    const s = sales.seriesOf[i] ?? -1
    // Where a market has daily figures they say how far it is known; a list captured later does not add days.
    const day =
      s >= 0
        ? (sales.start[s] as number) +
          ((sales.from[s + 1] as number) - (sales.from[s] as number)) * (sales.stepDays[s] as number) -
          1
        : (listings.figure('unitsDay', i) ?? listings.figure('capturedOn', i) ?? 0)
    const market = listings.market(i)
    if (day > (ends[market] ?? -Infinity)) ends[market] = day
  }
  return ends
}
