import type { WindowUnits } from './window-units'

/** What is known of each listing for the roll-up. Shape: one entry a listing; NaN is not known. */
export interface ListingColumns {
  window: WindowUnits
  /** amounts in E4 of the home currency */
  priceE4: Float64Array
  unitsTotal: Float64Array
}

/** Sums over the listings of each store. Shape: one entry a store. */
export interface StoreSums {
  /** length of the window, days */
  days: number
  listings: Float64Array
  /** listings whose units are known, and those of them that sold at least once */
  known: Float64Array
  sold: Float64Array
  /** units of the window */
  units: Float64Array
  /** of the known listings those whose units were counted, and those that a market reported; those of the rest are estimated */
  counted: Float64Array
  reported: Float64Array
  /** asking price times units, E4 of the home currency, over listings of which both are known; and those units */
  revenueE4: Float64Array
  pricedUnits: Float64Array
  /** units since each was put up, and the listings that say so */
  unitsTotal: Float64Array
  knownTotal: Float64Array
}

const names = [
  'listings',
  'known',
  'sold',
  'units',
  'counted',
  'reported',
  'revenueE4',
  'pricedUnits',
  'unitsTotal',
  'knownTotal',
] as const

/**
 * Adds up the listings of every store in one pass.
 *
 * @param storeOf listing → store, -1 where none is named
 * @param count how many stores there are
 */
export function rollUp(storeOf: Int32Array, count: number, { window, priceE4, unitsTotal }: ListingColumns): StoreSums {
  const sums = Object.fromEntries(names.map((name) => [name, new Float64Array(count)])) as Omit<StoreSums, 'days'>
  const { listings, known, sold, units, counted, reported, revenueE4, pricedUnits, knownTotal } = sums
  const total = sums.unitsTotal
  const { units: unitsOf, gradeOf } = window
  for (let row = 0; row < storeOf.length; row++) {
    const store = storeOf[row] as number
    if (store < 0) continue
    listings[store]!++
    const all = unitsTotal[row] as number
    // what is not known is NaN, which is not equal to itself
    if (all === all) {
      total[store]! += all
      knownTotal[store]!++
    }
    const sells = unitsOf[row] as number
    if (sells !== sells) continue
    known[store]!++
    if (sells > 0) sold[store]!++
    units[store]! += sells
    const grade = gradeOf[row] as number
    if (grade === 0) counted[store]!++
    else if (grade === 1) reported[store]!++
    const price = priceE4[row] as number
    if (price !== price) continue
    revenueE4[store]! += price * sells
    pricedUnits[store]! += sells
  }
  return { days: window.days, ...sums }
}
