import type { Capture } from '../records'
import { textAt, textColumn, type Table } from '../tables'

/** The stores that anything gathered names, by number; a store is one name on one market. */
export interface StorePlaces {
  /** listing → its store, -1 where it names none */
  storeOf: Int32Array
  markets: string[]
  names: string[]
  /** number of a store; undefined where nothing names it */
  find: (market: string, name: string) => number | undefined
}

/** Numbers the stores of all listings, then those that only lists of stores name. Shape: one entry a store, listings in their order. */
export function numberStores(listings: Table, lists: readonly Capture[]): StorePlaces {
  const places = new Map<string, number>()
  const [markets, names]: [string[], string[]] = [[], []]
  const add = (market: string, name: string): number => {
    const key = keyOf(market, name)
    const known = places.get(key)
    if (known !== undefined) return known
    places.set(key, names.length)
    markets.push(market)
    return names.push(name) - 1
  }
  const storeOf = numberListings(listings, add)
  for (const { table } of lists) {
    const [market, store] = [textColumn(table, 'market'), textColumn(table, 'store')]
    for (let row = 0; row < table.rows; row++) {
      const name = textAt(store, row)
      if (name !== null) add(textAt(market, row) ?? '?', name)
    }
  }
  return { storeOf, markets, names, find: (market, name) => places.get(keyOf(market, name)) }
}

/** no market or store holds a line break: names are one line */
const keyOf = (market: string, name: string) => `${market}\n${name}`

function numberListings(listings: Table, add: (market: string, name: string) => number): Int32Array {
  const [market, store] = [textColumn(listings, 'market'), textColumn(listings, 'store')]
  const storeOf = new Int32Array(listings.rows)
  // of a pair of codes the names are looked up once, not once a listing
  const ofPair = new Map<number, number>()
  const width = store.words.length
  for (let row = 0; row < listings.rows; row++) {
    const code = store.codes[row] as number
    if (code < 0) {
      storeOf[row] = -1
      continue
    }
    const marketCode = market.codes[row] as number
    const pair = (marketCode + 1) * width + code
    let place = ofPair.get(pair)
    if (place === undefined) {
      place = add(marketCode < 0 ? '?' : (market.words.at(marketCode) ?? '?'), store.words.at(code) ?? '')
      ofPair.set(pair, place)
    }
    storeOf[row] = place
  }
  return storeOf
}
