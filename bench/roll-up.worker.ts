import { rollUp } from '@sickle/core/stores'
import { makeMillion, storeCount } from './million'

/** Sums of a million listings by store, timed. */
const { stores, columns } = makeMillion()
const { price, units, reviews } = columns as { price: Float64Array; units: Float64Array; reviews: Float64Array }
const of = {
  window: { days: 30, units, gradeOf: new Uint8Array(units.length) },
  priceE4: price.map((p) => Math.round(p * 10_000)),
  unitsTotal: reviews,
}
const times: number[] = []
let sums = rollUp(stores, storeCount, of)
for (let i = 0; i < 9; i++) {
  const start = performance.now()
  sums = rollUp(stores, storeCount, of)
  times.push(performance.now() - start)
}
const { listings, known, sold, units: total, revenueE4, unitsTotal } = sums
self.postMessage({ times, columns: [listings, known, sold, total, revenueE4, unitsTotal] })
