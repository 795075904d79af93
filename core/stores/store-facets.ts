import { goodsKind, type Catalog } from '../catalog'
import { branches } from '../engine'
import { Dictionary, textColumn, type TextColumn } from '../tables'
import type { StatedStore } from './stated'
import { rowsOfStore, type StoreRows } from './store-rows'

/** What stores can be chosen by. */
export const storeFacets = [
  { name: 'markets', label: 'Market' },
  { name: 'countries', label: 'Country' },
  { name: 'categories', label: 'Category' },
  { name: 'kinds', label: 'Kind of goods' },
  { name: 'sizes', label: 'Listings' },
] as const
export type StoreFacet = (typeof storeFacets)[number]['name']

/** One word a store, -1 where it is not known. A category stands for all that it lies under. */
export interface FacetColumn {
  codes: Int32Array
  words: string[]
}

/** How many listings a store has, in words; upper end of each, inclusive. */
const sizes: readonly [number, string][] = [
  [1, 'one'],
  [20, '2 to 20'],
  [200, '21 to 200'],
  [2000, '201 to 2,000'],
  [Infinity, 'over 2,000'],
]
export const sizeWords = sizes.map(([, word]) => word)

export interface FacetsOf {
  catalog: Catalog
  rows: StoreRows
  markets: readonly string[]
  stated: ReadonlyMap<number, StatedStore>
  /** listings of each store as they are shown, NaN where not known */
  listings: Float64Array
}

/** The facets of every store: a market, and what most of its listings are. */
export function facetsOfStores({
  catalog,
  rows,
  markets,
  stated,
  listings,
}: FacetsOf): Record<StoreFacet, FacetColumn> {
  const count = markets.length
  const column = (wordOf: (store: number) => string | null): FacetColumn => {
    const dictionary = new Dictionary()
    const codes = Int32Array.from({ length: count }, (_, store) => {
      const word = wordOf(store)
      return word === null ? -1 : dictionary.code(word)
    })
    return { codes, words: Array.from({ length: dictionary.words.length }, (_, i) => dictionary.words.at(i) ?? '') }
  }
  const most = (name: string) => commonest(textColumn(catalog.listings, name), rows)
  const [country, category, kind] = [most('country'), most('category'), most('kind')]
  return {
    markets: column((store) => markets[store] ?? '?'),
    countries: column((store) => stated.get(store)?.country ?? country(store)),
    categories: column(category),
    kinds: column((store) => (rowsOfStore(rows, store).length === 0 ? null : goodsKind(kind(store)))),
    sizes: column((store) => sizes.find(([upTo]) => (listings[store] as number) <= upTo)?.[1] ?? null),
  }
}

/** The word that most of a store's listings have, of those that have one; null where none has. */
function commonest({ codes, words }: TextColumn, rows: StoreRows): (store: number) => string | null {
  const counts = new Int32Array(words.length)
  return (store) => {
    let [best, most] = [-1, 0]
    const own = rowsOfStore(rows, store)
    for (const row of own) {
      const code = codes[row] as number
      if (code < 0) continue
      const n = ++counts[code]!
      if (n > most) [best, most] = [code, n]
    }
    for (const row of own) if ((codes[row] as number) >= 0) counts[codes[row] as number] = 0
    return best < 0 ? null : (words.at(best) ?? null)
  }
}

/** The values that a store's word stands for. */
export function storeFacetValues(facet: StoreFacet, word: string): string[] {
  return facet === 'categories' ? branches(word) : [word]
}
