import type { ItemMaker } from '../catalog'
import { textColumn, textIn } from '../tables'
import { branches } from './facets'
import { fold, type TextSearch } from './text-search'

export interface NamedThings {
  items: { key: string; title: string }[]
  stores: { market: string; store: string }[]
  categories: string[]
  markets: string[]
}

export interface NamedOptions {
  maker: Pick<ItemMaker, 'catalog' | 'keyAt'>
  /** the search in the texts of all listings */
  search: TextSearch
  /** of each sort */
  most: number
}

/**
 * Items, stores, categories and markets whose name holds every word that is typed, those that begin with it first.
 *
 * @param typed as the seller writes it; blank finds nothing
 */
export function namedThings(typed: string, { maker, search, most }: NamedOptions): NamedThings {
  const words = fold(typed)
    .split(/\s+/)
    .filter((w) => w !== '')
  if (words.length === 0) return { items: [], stores: [], categories: [], markets: [] }
  const { listings, itemOf, windowEnds } = maker.catalog
  const fits = (name: string) => words.every((w) => fold(name).includes(w))
  const rows = (column: string) => rowsWithAll(search, words, column)
  const [title, store, market] = ['title', 'store', 'market'].map(
    (name) => (row: number) => textIn(listings, name, row),
  )
  const items = new Map(
    rows('title')
      .reverse()
      .map((row) => [itemOf[row] as number, title?.(row) ?? '']),
  )
  const stores = new Map(
    rows('store').map((row) => {
      const found = { market: market?.(row) ?? '?', store: store?.(row) ?? '' }
      return [JSON.stringify(found), found]
    }),
  )
  const { words: paths } = textColumn(listings, 'category')
  const categories = new Set(Array.from({ length: paths.length }, (_, i) => branches(paths.at(i) ?? '')).flat())
  const best = <T>(list: readonly T[], nameOf: (one: T) => string) =>
    firstByName(list, nameOf, words[0] ?? '').slice(0, most)
  return {
    items: best([...items], ([, name]) => name).map(([at, name]) => ({ key: maker.keyAt(at), title: name })),
    stores: best([...stores.values()], (s) => s.store),
    categories: best([...categories].filter(fits), (c) => c),
    markets: best(Object.keys(windowEnds).filter(fits), (m) => m),
  }
}

/** Rows where one column holds every word. */
function rowsWithAll(search: TextSearch, words: readonly string[], column: string): number[] {
  const hits = words.map((word) => search.rowsWith(word, column))
  return Array.from(hits[0] ?? [], (_, row) => row).filter((row) => hits.every((h) => h[row] === 1))
}

/** Those that begin with what is typed before the others, the shorter before the longer. */
function firstByName<T>(list: readonly T[], nameOf: (one: T) => string, typed: string): T[] {
  const keyed = list.map((one) => ({ one, name: nameOf(one), first: fold(nameOf(one)).startsWith(typed) ? 0 : 1 }))
  keyed.sort((a, b) => a.first - b.first || a.name.length - b.name.length || (a.name < b.name ? -1 : 1))
  return keyed.map((k) => k.one)
}
