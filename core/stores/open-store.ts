import { ListingReader, toHome, worstGrade, type Catalog, type Grade, type SellerRules } from '../catalog'
import { concentrationOf } from './concentration'
import { summedFigures, type SummedFigures } from './figures'
import { rollUp } from './roll-up'
import type { StatedStore } from './stated'
import { homePrices, type KnownStores } from './store-list'
import { unitsReader, windowEndOf, type WindowDays } from './window-units'

/** One listing of a store. Money in E4 of the home currency. */
export interface StoreListing {
  key: string
  /** place of the item that it is */
  item: number
  title: string
  priceE4: number | null
  /** in 30 days; null where not known */
  units: number | null
  grade: Grade | null
  unitsTotal: number | null
  /** days it has been up at the end of its window; null where it is not known when it was put up */
  daysUp: number | null
}

/** A store opened: its figures, and the listings that tell most of it. */
export interface StoreLook {
  market: string
  name: string
  age: number | null
  stated: StatedStore | null
  summed: SummedFigures
  /** units over 30, 90 and 180 days over the listings that say so; null where none does */
  windows: { days: WindowDays; units: number | null; known: number; grade: Grade | null }[]
  topFifth: number | null
  makes80: number
  /** cumulative share of the units over the share of the listings, best first; at most a hundred steps */
  curve: { listings: number; units: number }[]
  best: StoreListing[]
  /** put up in the last 60 days, of those that say when; those of them that sold in the window; and the best of these */
  newListings: number
  newThatSell: number
  newSelling: StoreListing[]
  /** the last day its figures speak of; null where no listing is gathered */
  windowEnd: number | null
}

/** listings that count as new, days up at the most */
export const newDays = 60
const [mostBest, mostNew, mostSteps] = [12, 8, 100]

/** Reads one store whole; null where nothing names it. */
export function openStore(
  { places, stated, list }: KnownStores,
  catalog: Catalog,
  rules: SellerRules,
  { market, name }: { market: string; name: string },
): StoreLook | null {
  const store = places.find(market, name)
  if (store === undefined) return null
  const rows = rowsOf(places.storeOf, store)
  const listings = readListings(catalog, rows, rules)
  const units = listings.map((l) => l.units ?? NaN)
  const { topFifth, makes80, curve } = concentrationOf(units)
  const fresh = listings.filter((l) => l.daysUp !== null && l.daysUp <= newDays)
  const bySales = (a: StoreListing, b: StoreListing) => (b.units ?? -1) - (a.units ?? -1)
  const age = list.age[store] as number
  return {
    market,
    name,
    age: Number.isNaN(age) ? null : age,
    stated: stated.get(store) ?? null,
    summed: summedOf(listings, catalog, rows, rules),
    windows: ([30, 90, 180] as const).map((days) => windowOf(catalog, rows, days)),
    topFifth,
    makes80,
    curve: stepsOf(curve),
    best: listings
      .filter((l) => (l.units ?? 0) > 0)
      .sort(bySales)
      .slice(0, mostBest),
    newSelling: fresh
      .filter((l) => (l.units ?? 0) > 0)
      .sort(bySales)
      .slice(0, mostNew),
    newListings: fresh.length,
    newThatSell: fresh.filter((l) => (l.units ?? 0) > 0).length,
    windowEnd: rows.length === 0 ? null : Math.max(...rows.map(windowEndOf(catalog))),
  }
}

function rowsOf(storeOf: Int32Array, store: number): number[] {
  const rows: number[] = []
  for (let row = 0; row < storeOf.length; row++) if (storeOf[row] === store) rows.push(row)
  return rows
}

function readListings(catalog: Catalog, rows: readonly number[], rules: SellerRules): StoreListing[] {
  const reader = new ListingReader(catalog.listings)
  const [unitsAt, endOf] = [unitsReader(catalog, 30), windowEndOf(catalog)]
  return rows.map((row): StoreListing => {
    const known = unitsAt(row)
    const listedOn = reader.figure('listedOn', row)
    return {
      key: reader.key(row),
      item: catalog.itemOf[row] as number,
      title: reader.text('title', row) ?? '',
      priceE4: toHome(reader.text('currency', row), rules)(reader.figure('price', row)),
      units: known?.units ?? null,
      grade: known?.grade ?? null,
      unitsTotal: reader.figure('unitsTotal', row),
      daysUp: listedOn === null ? null : Math.max(0, endOf(row) - listedOn),
    }
  })
}

/** The sums of the list, over this store's listings alone. */
function summedOf(
  listings: readonly StoreListing[],
  catalog: Catalog,
  rows: readonly number[],
  rules: SellerRules,
): SummedFigures {
  const sums = rollUp(new Int32Array(rows.length), 1, {
    window: {
      days: 30,
      units: Float64Array.from(listings, (l) => l.units ?? NaN),
      gradeOf: Uint8Array.from(listings, (l) => (l.grade === 'counted' ? 0 : l.grade === 'reported' ? 1 : 2)),
    },
    priceE4: homePrices(catalog, rules, rows),
    unitsTotal: Float64Array.from(listings, (l) => l.unitsTotal ?? NaN),
  })
  return summedFigures(sums, 0)
}

function windowOf(catalog: Catalog, rows: readonly number[], days: WindowDays): StoreLook['windows'][number] {
  const unitsAt = unitsReader(catalog, days)
  const known = rows.flatMap((row) => unitsAt(row) ?? [])
  if (known.length === 0) return { days, units: null, known: 0, grade: null }
  const units = known.reduce((sum, k) => sum + k.units, 0)
  return { days, units, known: known.length, grade: worstGrade(known.map((k) => k.grade)) }
}

function stepsOf(curve: Float64Array): StoreLook['curve'] {
  const steps = Math.min(mostSteps, curve.length)
  return Array.from({ length: steps }, (_, i) => {
    const at = Math.ceil(((i + 1) * curve.length) / steps) - 1
    return { listings: (at + 1) / curve.length, units: curve[at] as number }
  })
}
