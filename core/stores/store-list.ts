import { ListingReader, toHome, type Catalog, type SellerRules } from '../catalog'
import type { Capture } from '../records'
import { numbers } from '../tables'
import { ageInMonths, summedFigures, type SummedFigures } from './figures'
import { rollUp } from './roll-up'
import { statedGrade, storeFigures, type StoreFigure } from './store-figures'
import { statedStores, type StatedStore } from './stated'
import { facetsOfStores, type FacetColumn, type StoreFacet } from './store-facets'
import { numberStores, type StorePlaces } from './store-places'
import { rowsByStore, type StoreRows } from './store-rows'
import { windowEndOf, windowUnits } from './window-units'

/** where a figure that is shown comes from, as it stands in `StoreList.from` */
export const origins = ['unknown', 'stated', 'summed', 'scaled'] as const
export type Origin = (typeof origins)[number]

/** All stores, column by column. Shape: one entry a store; NaN is not known. */
export interface StoreList {
  count: number
  markets: string[]
  names: string[]
  /** months from the day it opened to the end of its window */
  age: Float64Array
  /** by the name of the figure: what a list states, else what the listings sum to */
  figures: Record<string, Float64Array>
  /** by the name of the figure: place in `origins` */
  from: Record<string, Uint8Array>
  facets: Record<StoreFacet, FacetColumn>
}

/** What the list of stores is made of; kept, so that a store can be opened from it. */
export interface KnownStores {
  places: StorePlaces
  rows: StoreRows
  stated: Map<number, StatedStore>
  list: StoreList
}

/** @param lists captures of the kind `stores` */
export function knownStores(catalog: Catalog, lists: readonly Capture[], rules: SellerRules): KnownStores {
  const places = numberStores(catalog.listings, lists)
  const stated = statedStores(places, lists, rules)
  const count = places.names.length
  const sums = rollUp(places.storeOf, count, {
    window: windowUnits(catalog, 30),
    priceE4: homePrices(catalog, rules),
    unitsTotal: numbers(catalog.listings, 'unitsTotal'),
  })
  const [figures, from]: [StoreList['figures'], StoreList['from']] = [{}, {}]
  for (const { name } of storeFigures) {
    figures[name] = new Float64Array(count).fill(NaN)
    from[name] = new Uint8Array(count)
  }
  for (let store = 0; store < count; store++) {
    const [said, summed] = [stated.get(store), summedFigures(sums, store)]
    for (const figure of storeFigures) {
      const { value, origin } = shownSide(figure, said, summed)
      ;(figures[figure.name] as Float64Array)[store] = value ?? NaN
      ;(from[figure.name] as Uint8Array)[store] = origins.indexOf(origin)
    }
  }
  const { markets, names } = places
  const rows = rowsByStore(places.storeOf, count)
  const listings = figures.listings as Float64Array
  const facets = facetsOfStores({ catalog, rows, markets, stated, listings })
  const age = ages(catalog, places, stated)
  return { places, rows, stated, list: { count, markets, names, age, figures, from, facets } }
}

/** What stands in the list: what a list of stores states, as it speaks of the whole store; else the sum. A sum over no listing is no sum. */
function shownSide(
  figure: StoreFigure,
  said: StatedStore | undefined,
  summed: SummedFigures,
): { value: number | null; origin: Origin } {
  const stated = said ? figure.stated(said) : null
  if (said && stated !== null)
    return { value: stated, origin: statedGrade(figure, said) === 'estimated' ? 'scaled' : 'stated' }
  const own = figure.summed && summed.listings > 0 ? figure.summed(summed) : null
  return { value: own, origin: own === null ? 'unknown' : 'summed' }
}

/** Asking prices in E4 of the home currency, NaN where not known. @param rows of some listings alone; all without */
export function homePrices(
  { listings }: Catalog,
  rules: SellerRules,
  rows: readonly number[] | null = null,
): Float64Array {
  const reader = new ListingReader(listings)
  const homes = new Map<string | null, (e4: number | null) => number | null>()
  return Float64Array.from({ length: rows?.length ?? listings.rows }, (_, at) => {
    const row = rows ? (rows[at] as number) : at
    const currency = reader.text('currency', row)
    const home = homes.get(currency) ?? toHome(currency, rules)
    homes.set(currency, home)
    return home(reader.figure('price', row)) ?? NaN
  })
}

/** A store is as old as its list says; else as the oldest that one of its listings says. */
function ages(catalog: Catalog, { storeOf, names }: StorePlaces, stated: Map<number, StatedStore>): Float64Array {
  const since = new Float64Array(names.length).fill(NaN)
  const ends = new Float64Array(names.length).fill(NaN)
  const opened = numbers(catalog.listings, 'storeSince')
  const endOf = windowEndOf(catalog)
  for (let row = 0; row < storeOf.length; row++) {
    const store = storeOf[row] as number
    if (store < 0) continue
    const [day, end] = [opened[row] as number, endOf(row)]
    // what is not known is NaN, which is neither less nor more
    if (day < (since[store] as number) || Number.isNaN(since[store])) since[store] = day
    if (end > (ends[store] as number) || Number.isNaN(ends[store])) ends[store] = end
  }
  return since.map((day, store) => {
    const said = stated.get(store)
    const end = Number.isNaN(ends[store]) ? (said?.capturedOn ?? NaN) : (ends[store] as number)
    return ageInMonths(said?.since ?? (Number.isNaN(day) ? null : day), end) ?? NaN
  })
}
