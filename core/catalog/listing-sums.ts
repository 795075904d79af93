import { wilsonInterval, type ProportionInterval } from '../demand'
import type { Catalog } from './catalog'
import { worstGrade, type Grade } from './grade'
import { toHome } from './home-amount'
import { ListingReader } from './listing'
import type { SellerRules } from './rules'
import { seriesAt } from './sales-block'
import { unitsInWindow } from './units-in-window'

/** What many listings sell together, in windows of 30 days that end with each market's last day. Money in E4 of the home currency. */
export interface ListingSums {
  listings: number
  /** listings whose units are known, and those of them that sold at least once */
  known: number
  sold: number
  sellThrough: ProportionInterval | null
  units: number | null
  unitsPerListing: number | null
  revenueE4: number | null
  /** middle asking price, delivery apart */
  medianPriceE4: number | null
  stores: number
  /** how the weakest of the units is known; null where none are */
  grade: Grade | null
  /** the latest of the windows' ends; null without listings */
  windowEnd: number | null
}

/** @param places rows of the catalog's listings, each once */
export function sumListings(catalog: Catalog, places: Iterable<number>, rules: SellerRules): ListingSums {
  const reader = new ListingReader(catalog.listings)
  const stores = new Set<string>()
  const prices: number[] = []
  const grades: Grade[] = []
  let [listings, known, sold, units, revenue, end] = [0, 0, 0, 0, 0, -Infinity]
  for (const place of places) {
    const listing = reader.at(place)
    const { market, store, key, price, currency } = listing
    const last = catalog.windowEnds[market] ?? listing.capturedOn
    const priceE4 = toHome(currency, rules)(price)
    const unitsOf = unitsInWindow(listing, seriesAt(catalog.sales, place), last)
    listings++
    end = Math.max(end, last)
    stores.add(`${market}/${store ?? key}`)
    if (priceE4 !== null) prices.push(priceE4)
    if (!unitsOf) continue
    known++
    units += unitsOf.units
    grades.push(unitsOf.grade)
    if (unitsOf.units > 0) sold++
    if (priceE4 !== null) revenue += Math.round(unitsOf.units * priceE4)
  }
  prices.sort((a, b) => a - b)
  return {
    listings,
    known,
    sold,
    sellThrough: wilsonInterval(sold, known),
    units: known === 0 ? null : units,
    unitsPerListing: known === 0 ? null : units / known,
    revenueE4: known === 0 ? null : revenue,
    medianPriceE4: prices[Math.floor((prices.length - 1) / 2)] ?? null,
    stores: stores.size,
    grade: grades.length === 0 ? null : worstGrade(grades),
    windowEnd: listings === 0 ? null : end,
  }
}
