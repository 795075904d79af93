import { textColumn, type Table } from '../tables'

/** How a store is named over all markets. @example storeKey('Fernhand', 'Wren & Co') // 'Fernhand/Wren & Co' */
export function storeKey(market: string, store: string): string {
  return `${market}/${store}`
}

/** Rows of the listings of some stores, each named by its key. */
export function listingsOfStores(listings: Table, stores: readonly string[]): number[] {
  const [market, store] = [textColumn(listings, 'market'), textColumn(listings, 'store')]
  const wanted = new Set(stores)
  const names = new Set(stores.map((s) => s.slice(s.indexOf('/') + 1)))
  const codes = new Set<number>()
  for (let code = 0; code < store.words.length; code++) if (names.has(store.words.at(code) ?? '')) codes.add(code)
  const rows: number[] = []
  for (let row = 0; row < listings.rows; row++) {
    const code = store.codes[row] as number
    if (!codes.has(code)) continue
    const key = storeKey(market.words.at(market.codes[row] as number) ?? '?', store.words.at(code) ?? '')
    if (wanted.has(key)) rows.push(row)
  }
  return rows
}
