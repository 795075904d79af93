import { readFileSync } from 'node:fs'
import { buildCatalog, type Catalog } from '../catalog'
import { falseDiscovery, wilsonInterval, type UnitSeries } from '../demand'
import { noLikeness } from './test-stores'
import { alikeStores } from './alike-stores'
import { salesOfRanks, stepsOf, unitsAtRank } from './rank-sales'
import { quietnessOf } from './stopped-selling'
import { numberStores } from './store-places'
import { rowsByStore } from './store-rows'
import { tableOf } from '../records/table-of'

const read = <T>(name: string) => JSON.parse(readFileSync(new URL(`fixtures/${name}`, import.meta.url), 'utf8')) as T

interface Rivals {
  ranks: number[]
  units: number[]
  fit: number[]
  sold: number[]
  before: number[]
  p: number[]
  adjusted: number[]
  wilsonLow: number[]
  wilsonHigh: number[]
}
// Source: R 4.2 (isoreg, poisson.test, p.adjust, prop.test), by scripts/fixtures/rivals.R.
const r = read<Rivals>('r-rivals.json')

test('units by rank are the steps of isoreg, and keep the sum of what they were drawn from', () => {
  const [steps] = stepsOf(r.ranks.map((rank, i) => ({ rank, units: r.units[i] as number })))
  r.ranks.forEach((rank, i) => expect(unitsAtRank(rank, steps!)).toBeCloseTo(r.fit[i] as number, 9))
  const sum = r.units.reduce((a, b) => a + b, 0)
  expect(salesOfRanks(r.ranks, steps!)?.mean).toBeCloseTo(sum, 6)
  // better than the best known is as the best, worse than the worst as the worst
  expect(unitsAtRank(1, steps!)).toBeCloseTo(r.fit[0] as number, 9)
  expect(unitsAtRank(9000, steps!)).toBeCloseTo(r.fit.at(-1) as number, 9)
})

test('too few pairs, or none that sold, give no steps; and no ranks no sum', () => {
  const pair = (rank: number, units: number) => ({ rank, units })
  expect(stepsOf(Array.from({ length: 19 }, (_, i) => pair(i + 1, 5)))).toEqual([])
  expect(stepsOf(Array.from({ length: 20 }, (_, i) => pair(i + 1, 5)))).toHaveLength(1)
  expect(stepsOf(Array.from({ length: 30 }, (_, i) => pair(i + 1, 0)))).toEqual([])
  const [steps] = stepsOf(Array.from({ length: 30 }, (_, i) => pair(i + 1, 30 - i)))
  expect(salesOfRanks([], steps!)).toBeNull()
  // one rank said twice is one step
  const [even] = stepsOf(Array.from({ length: 20 }, (_, i) => pair(1 + (i >> 1), i % 2 === 0 ? 8 : 4)))
  expect(unitsAtRank(3, even!)).toBe(6)
})

/** So many units over the days before the last 30, as evenly as whole units lie, and none in those. */
function silent(units: number, before: number): UnitSeries {
  const values = new Float64Array(before + 30)
  for (let n = 0; n < units; n++) values[Math.floor(((n + 0.5) * before) / units)]!++
  return { start: 1000, stepDays: 1, values }
}

test('the chance that a listing fell silent is that of poisson.test, and many at once that of p.adjust', () => {
  const chances = r.sold.map((units, i) => {
    const series = silent(units, r.before[i] as number)
    const found = quietnessOf(series, 1000 + series.values.length - 1)
    expect(found?.expected).toBeCloseTo((units / (r.before[i] as number)) * 30, 9)
    expect(found?.last).toBe(0)
    return found?.p as number
  })
  chances.forEach((p, i) => expect(p).toBeCloseTo(r.p[i] as number, 9))
  falseDiscovery([...chances, 0.5, 0.9]).forEach((p, i) => expect(p).toBeCloseTo(r.adjusted[i] as number, 9))
})

test('sales that come in clusters make silence less telling', () => {
  const clustered = silent(0, 150)
  // as many as in the even case, but all of them in every fourth week
  for (let d = 3; d < 150; d += 28) clustered.values[d] = 20
  const even = quietnessOf(silent(120, 150), 1179)
  const found = quietnessOf(clustered, 1179)
  expect(found?.expected).toBeCloseTo(even?.expected as number, 9)
  expect(found!.p).toBeGreaterThan(100 * even!.p)
})

test('the share of listings that sold has the interval of prop.test', () => {
  ;[81, 7, 0, 12].forEach((hits, i) => {
    const found = wilsonInterval(hits, [263, 9, 20, 12][i] as number)
    expect(found?.low).toBeCloseTo(r.wilsonLow[i] as number, 9)
    expect(found?.high).toBeCloseTo(r.wilsonHigh[i] as number, 9)
  })
})

interface Overlap {
  mine: number[]
  stores: { goods: number[]; jaccard: number; containment: number }[]
}
// Source: SciPy 1.10 (spatial.distance.jaccard), by scripts/fixtures/overlap.py.
const overlap = read<Overlap>('scipy-overlap.json')

test('how far stores sell what I sell is what SciPy says of the same sets', async () => {
  const rows = overlap.stores.flatMap(({ goods }, s) =>
    goods.map((g) => ({ market: 'Marrowgate', id: `${s}-${g}`, store: `Store ${s}`, ...noLikeness(g) })),
  )
  const catalog: Catalog = await buildCatalog([
    { id: 'a', kind: 'listings', capturedOn: 20_604, windowDays: 30, table: tableOf('listings', rows) },
  ])
  const places = numberStores(catalog.listings, [])
  const itemOfGoods = new Map(rows.map((row, i) => [Number(row.id.split('-')[1]), catalog.itemOf[i] as number]))
  const own = overlap.mine.map((g) => ({ key: String(g), priceE4: 200_000 }))
  const matches = new Map(
    overlap.mine.flatMap((g, at) => {
      const item = itemOfGoods.get(g)
      return item === undefined ? [] : [[item, { own: at, way: 'barcode' as const, words: null }] as const]
    }),
  )
  const found = alikeStores({
    catalog,
    places,
    rows: rowsByStore(places.storeOf, places.names.length),
    own: own as never,
    matches,
    priceE4: () => 250_000,
    offers: [],
    find: () => null,
  })
  const byName = new Map(found.map((a) => [places.names[a.store], a]))
  overlap.stores.forEach((s, i) => {
    const mine = byName.get(`Store ${i}`)
    if (s.jaccard === 0) return expect(mine).toBeUndefined()
    expect(mine?.jaccard).toBeCloseTo(s.jaccard, 12)
    expect(mine?.containment).toBeCloseTo(s.containment, 12)
    expect(mine?.priceRatio).toBe(1.25)
  })
  const order = found.map((a) => a.jaccard)
  expect(order).toEqual([...order].sort((a, b) => b - a))
})
