import type { Catalog, SellerRules } from '../catalog'
import { addSeries, stageOfLife, type StageOfLife, type UnitSeries } from '../demand'
import { concentrationOf } from './concentration'
import { droppedListings, type Dropped } from './dropped'
import { summedFigures, type SummedFigures } from './figures'
import { putUp, type PutUp } from './put-up'
import { rollUp } from './roll-up'
import type { StatedStore } from './stated'
import { stoppedSelling, type Stopped } from './stopped-selling'
import type { KnownStores } from './store-list'
import { seriesOf, storeListings, type StoreListing } from './store-listing'
import { rowsOfStore } from './store-rows'
import { storeWindows, type StoreWindow } from './store-windows'

/** A store opened: its figures, and the listings that tell most of it. */
export interface StoreLook {
  market: string
  name: string
  /** months */
  age: number | null
  stated: StatedStore | null
  summed: SummedFigures
  windows: StoreWindow[]
  /** different goods among its listings */
  distinctItems: number
  topFifth: number | null
  makes80: number
  /** cumulative share of the units over the share of the listings, best first; at most a hundred steps */
  curve: CurveStep[]
  best: StoreListing[]
  /** put up in the last 60 days, of those that say when; those of them that sold in the window; and the best of these */
  newListings: number
  newThatSell: number
  newSelling: StoreListing[]
  stopped: Stopped[]
  /** how many listings have a long enough record to say whether they stopped, and how many did */
  stoppedJudged: number
  stoppedCount: number
  dropped: Dropped
  droppedCount: number
  putUp: PutUp
  /** sales of the whole, over the listings whose days or weeks are known, and of how many these are */
  series: UnitSeries | null
  life: StageOfLife | null
  seriesKnown: number
  /** the last day its figures speak of; null where no listing is gathered */
  windowEnd: number | null
}

/** A step of the cumulative curve: so many listings, and the item that the last of them is. */
export interface CurveStep {
  listings: number
  units: number
  /** the listing that the step ends with */
  at: StoreListing
}

/** listings that count as new, days up at the most */
export const newDays = 60
const [mostBest, mostNew, mostStopped, mostDropped, mostSteps] = [12, 8, 8, 8, 100]

export interface StoreNamed {
  market: string
  name: string
  /** listings of rows, where somebody has read them already; read from the catalog without */
  listingsOf?: (rows: Int32Array) => StoreListing[]
}

/** Reads one store whole; null where nothing names it. */
export function openStore(
  { places, rows, stated, list }: KnownStores,
  catalog: Catalog,
  rules: SellerRules,
  { market, name, listingsOf }: StoreNamed,
): StoreLook | null {
  const store = places.find(market, name)
  if (store === undefined) return null
  const own = rowsOfStore(rows, store)
  const listings = (listingsOf ?? ((rows) => storeListings(catalog, rows, rules)))(own)
  const bySales = [...listings].sort((a, b) => (b.units ?? -1) - (a.units ?? -1))
  const selling = bySales.filter((l) => (l.units ?? 0) > 0)
  const { topFifth, makes80, curve } = concentrationOf(bySales.map((l) => l.units ?? NaN))
  const fresh = listings.filter((l) => l.daysUp !== null && l.daysUp <= newDays)
  const freshSelling = selling.filter((l) => l.daysUp !== null && l.daysUp <= newDays)
  const { stopped, judged } = stoppedSelling(catalog, listings)
  const dropped = droppedListings(listings)
  const age = list.age[store] as number
  return {
    market,
    name,
    age: Number.isNaN(age) ? null : age,
    stated: stated.get(store) ?? null,
    summed: summedOf(listings),
    windows: storeWindows(catalog, listings),
    distinctItems: new Set(listings.map((l) => l.item)).size,
    topFifth,
    makes80,
    curve: curveSteps(curve, bySales),
    best: selling.slice(0, mostBest),
    newListings: fresh.length,
    newThatSell: freshSelling.length,
    newSelling: freshSelling.slice(0, mostNew),
    stopped: stopped.slice(0, mostStopped),
    stoppedJudged: judged,
    stoppedCount: stopped.length,
    dropped: { ...dropped, listings: dropped.listings.slice(0, mostDropped) },
    droppedCount: dropped.listings.length,
    putUp: putUp(listings),
    ...courseOf(catalog, own),
    windowEnd: listings.length === 0 ? null : listings.reduce((last, l) => Math.max(last, l.end), -Infinity),
  }
}

/** The sums of the list, over this store's listings alone. */
function summedOf(listings: readonly StoreListing[]): SummedFigures {
  const sums = rollUp(new Int32Array(listings.length), 1, {
    window: {
      days: 30,
      units: Float64Array.from(listings, (l) => l.units ?? NaN),
      gradeOf: Uint8Array.from(listings, (l) => (l.grade === 'counted' ? 0 : l.grade === 'reported' ? 1 : 2)),
    },
    priceE4: Float64Array.from(listings, (l) => l.priceE4 ?? NaN),
    unitsTotal: Float64Array.from(listings, (l) => l.unitsTotal ?? NaN),
  })
  return summedFigures(sums, 0)
}

function courseOf(catalog: Catalog, rows: Int32Array): Pick<StoreLook, 'series' | 'life' | 'seriesKnown'> {
  const known = seriesOf(catalog, rows)
  return { series: addSeries(known), life: stageOfLife(known), seriesKnown: known.length }
}

/** @param bySales best first, those whose units are not known last: the curve runs over the others */
function curveSteps(curve: Float64Array, bySales: readonly StoreListing[]): CurveStep[] {
  const steps = Math.min(mostSteps, curve.length)
  return Array.from({ length: steps }, (_, i) => {
    const at = Math.ceil(((i + 1) * curve.length) / steps) - 1
    return { listings: (at + 1) / curve.length, units: curve[at] as number, at: bySales[at] as StoreListing }
  })
}
