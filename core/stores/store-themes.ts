import { ListingReader, listingThemes, type Catalog, type ListingTheme, type SellerRules } from '../catalog'
import { themesOf, withoutOwnNames } from '../words'

export interface StoreThemes {
  themes: ListingTheme[]
  /** titles they were found among */
  of: number
  /** themes left out, since one store alone of several serves them: those may be its own words */
  ofOneStore: number
}

/** titles beyond which every so many are looked at, and themes beyond which the weaker are not told */
const [mostTitles, most] = [5000, 24]
/** share of all titles beyond which a run says what a store is, and no theme of it */
const mostShare = 0.4

/**
 * The narrow themes of some listings, those first that sell through best by the lower end of the interval. Where they are of several
 * stores a theme is one that two of them serve at least.
 */
export function storeThemes(catalog: Catalog, rows: ArrayLike<number>, rules: SellerRules): StoreThemes {
  const reader = new ListingReader(catalog.listings)
  const some = evenly(rows, mostTitles)
  const storeAt = (row: number) => `${reader.market(row)}/${reader.text('store', row) ?? ''}`
  const count = new Set(some.map(storeAt)).size
  const titles = withoutOwnNames(
    some.map((row) => ({ title: reader.text('title', row) ?? '', store: reader.text('store', row) })),
  )
  const found = themesOf(titles, {
    mostShare,
    sortOf: some.map((row) => reader.text('category', row)),
    forWhom: true,
  }).map(({ phrases, places }) => ({ phrases, rows: places.map((place) => some[place] as number) }))
  const shared = found.filter((t) => count < 2 || new Set(t.rows.map(storeAt)).size > 1)
  return {
    themes: listingThemes(catalog, shared, rules).slice(0, most),
    of: some.length,
    ofOneStore: found.length - shared.length,
  }
}

/** As many of a list as there may be, from all of its parts. */
export function evenly<T>(list: ArrayLike<T>, most: number): T[] {
  const step = Math.max(1, list.length / most)
  return Array.from({ length: Math.min(most, list.length) }, (_, i) => list[Math.floor(i * step)] as T)
}
