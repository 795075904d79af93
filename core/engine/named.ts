import type { ItemMaker } from '../catalog'
import { textAt, textColumn } from '../tables'
import { branches } from './facets'
import { fold } from './text-search'

export interface NamedThings {
  items: { key: string; title: string }[]
  stores: { market: string; store: string }[]
  categories: string[]
  markets: string[]
}

/** listings that are looked through: beyond that a name is found by the search of Finds */
const mostListings = 300_000

/**
 * Items, stores, categories and markets whose name holds every word that is typed, those that begin with it first.
 *
 * @param typed as the seller writes it; blank finds nothing @param most of each
 */
export function namedThings(maker: Pick<ItemMaker, 'catalog' | 'count' | 'keyAt'>, typed: string, most: number): NamedThings {
  const { catalog, count } = maker
  const words = fold(typed).split(/\s+/).filter((w) => w !== '')
  if (words.length === 0 || count === 0) return { items: [], stores: [], categories: [], markets: [] }
  const fits = (name: string) => { const folded = fold(name); return words.every((w) => folded.includes(w)) }
  const best = <T>(list: T[], nameOf: (one: T) => string) => {
    const isFirst = (one: T) => Number(fold(nameOf(one)).startsWith(words[0] ?? ''))
    return [...list].sort((a, b) => isFirst(b) - isFirst(a) || nameOf(a).length - nameOf(b).length || (nameOf(a) < nameOf(b) ? -1 : 1)).slice(0, most)
  }
  const { listings, itemOf } = catalog
  const [titles, stores, markets] = ['title', 'store', 'market'].map((name) => textColumn(listings, name))
  const [items, sellers] = [new Map<number, string>(), new Map<string, { market: string; store: string }>()]
  if (titles && stores && markets) {
    const storeFits = Uint8Array.from({ length: stores.words.length }, (_, code) => Number(fits(stores.words.at(code) ?? '')))
    for (let row = 0; row < Math.min(listings.rows, mostListings); row++) {
      const item = itemOf[row] as number
      const title = items.size < most * 40 && !items.has(item) ? textAt(titles, row) : null
      if (title !== null && fits(title)) items.set(item, title)
      const code = stores.codes[row] as number
      if (code < 0 || storeFits[code] !== 1) continue
      const [market, store] = [textAt(markets, row) ?? '?', stores.words.at(code) ?? '']
      sellers.set(JSON.stringify([market, store]), { market, store })
    }
  }
  const paths = new Set(allWords(listings, 'category').flatMap(branches))
  return {
    items: best([...items].map(([at, title]) => ({ key: maker.keyAt(at), title })), (i) => i.title),
    stores: best([...sellers.values()], (s) => s.store),
    categories: best([...paths].filter(fits), (c) => c),
    markets: best(Object.keys(catalog.windowEnds).filter(fits), (m) => m),
  }
} // prettier-ignore

function allWords(listings: ItemMaker['catalog']['listings'], name: string): string[] {
  const { words } = textColumn(listings, name)
  return Array.from({ length: words.length }, (_, code) => words.at(code) ?? '')
}
