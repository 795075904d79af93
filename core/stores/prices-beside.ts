import { ListingReader, toHome, type Catalog, type SellerRules } from '../catalog'
import { middleOf } from '../demand'
import type { StoreListing } from './store-listing'

/** A store's prices beside those of others for the same goods. Money in E4 of the home currency, delivery apart. */
export interface PricesBeside {
  /** its own asking prices, ascending */
  prices: Float64Array
  /** of those that somebody else lists too: how many are cheaper, as dear (within 1 %), and dearer than the middle of the others */
  compared: number
  cheaper: number
  same: number
  dearer: number
  /** middle of its price / the middle of the others; null where nothing can be compared */
  medianRatio: number | null
}

/** within this share two prices are as dear */
const even = 0.01

export function pricesBeside(catalog: Catalog, listings: readonly StoreListing[], rules: SellerRules): PricesBeside {
  const others = otherPrices(catalog, listings, rules)
  const ratios: number[] = []
  for (const { priceE4, item } of listings) {
    const middle = middleOf(others.get(item) ?? [])
    if (priceE4 !== null && priceE4 > 0 && middle !== null) ratios.push(priceE4 / middle)
  }
  const prices = Float64Array.from(listings.flatMap((l) => l.priceE4 ?? [])).sort()
  const cheaper = ratios.filter((r) => r < 1 - even).length
  const dearer = ratios.filter((r) => r > 1 + even).length
  return {
    prices,
    compared: ratios.length,
    cheaper,
    dearer,
    same: ratios.length - cheaper - dearer,
    medianRatio: middleOf(ratios),
  }
}

/** What all others ask for the items of some listings, by item. */
function otherPrices(
  { listings: table, starts, members }: Catalog,
  own: readonly StoreListing[],
  rules: SellerRules,
): Map<number, number[]> {
  const reader = new ListingReader(table)
  const mine = new Set(own.map((l) => l.row))
  const prices = new Map<number, number[]>()
  for (const item of new Set(own.map((l) => l.item))) {
    const list: number[] = []
    for (let at = starts[item] as number; at < (starts[item + 1] as number); at++) {
      const row = members[at] as number
      if (mine.has(row)) continue
      const price = toHome(reader.text('currency', row), rules)(reader.figure('price', row))
      if (price !== null && price > 0) list.push(price)
    }
    if (list.length > 0) prices.set(item, list)
  }
  return prices
}
