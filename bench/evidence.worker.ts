import { titleForms } from '@sickle/core/goods'
import { ItemMaker, itemLives, noCorrections, plainRules, type Catalog } from '@sickle/core/catalog'
import { mannKendall, pettitt, seasonIndex, theilSenSlope } from '@sickle/core/demand'
import { makeFigures } from '@sickle/core/engine'
import { TableBuilder, numbers } from '@sickle/core/tables'

const [count, days, start] = [100_000, 180, 20_425]

/** A source of chance that needs nothing from outside (mulberry32). */
function chance(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Listings with half a year of daily units each, every one an item of its own. */
function catalog(): Catalog {
  const random = chance(7)
  const builder = new TableBuilder([
    ...['market', 'id', 'title', 'store', 'category', 'currency'].map((name) => ({ name, type: 'text' as const })),
    ...['price', 'rating', 'reviews', 'listedOn', 'capturedOn'].map((name) => ({ name, type: 'number' as const })),
  ])
  const values = new Float64Array(count * days)
  for (let i = 0; i < count; i++) {
    builder.add({
      market: 'Farholt',
      id: String(i),
      title: `Railing planter no ${i}`,
      store: `Store ${i % 900}`,
      category: i % 2 ? 'Garden / Balcony' : 'Garden / Birds',
      currency: 'EUR',
      price: 100_000 + i,
      rating: 4,
      reviews: i % 400,
      listedOn: 20_000,
      capturedOn: start + days,
    })
    const [rate, drift] = [Math.exp(4 * random() - 2), 1 + 0.6 * (random() - 0.5)]
    for (let d = 0; d < days; d++)
      values[i * days + d] = Math.floor(-Math.log(1 - random()) * rate * drift ** (d / days))
  }
  const places = Int32Array.from({ length: count + 1 }, (_, i) => i)
  return {
    listings: builder.finish(),
    sales: {
      seriesOf: places.slice(0, count),
      start: new Int32Array(count).fill(start),
      stepDays: new Int32Array(count).fill(1),
      from: places.map((i) => i * days),
      values,
    },
    itemOf: places.slice(0, count),
    starts: places,
    members: places.slice(0, count),
    life: { rows: 0, columns: {} },
    reach: { rows: 0, columns: {} },
    unpublished: { rows: 0, columns: {} },
    windowEnds: { Farholt: start + days - 1 },
    offers: [],
    forms: titleForms([]),
    groupOf: places.slice(0, count),
    lessons: [],
    seasons: new Map(),
  }
}

/** Trend, slope and change point by their plain definitions: every pair of days. */
function plain(x: Float64Array): number {
  const n = x.length
  const slopes = new Float64Array((n * (n - 1)) / 2)
  let [s, k, most] = [0, 0, 0]
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      s += Math.sign((x[j] as number) - (x[i] as number))
      slopes[k++] = ((x[j] as number) - (x[i] as number)) / (j - i)
    }
  }
  slopes.sort()
  for (let t = 0, u = 0; t < n; t++) {
    for (let j = 0; j < n; j++) u += Math.sign((x[t] as number) - (x[j] as number))
    most = Math.max(most, Math.abs(u))
  }
  return s + most + (slopes[k >> 1] as number)
}

async function run(): Promise<void> {
  const made = catalog()
  const year = seasonIndex(Float64Array.from({ length: 12 }, (_, m) => 1 + 0.3 * Math.cos((m / 6) * Math.PI)))
  let told = 0
  const tell = async () => void told++
  const began = performance.now()
  const life = await itemLives(made, new Map([['Garden / Birds', year]]), tell)
  const maker = new ItemMaker({ ...made, life }, plainRules('EUR'), noCorrections)
  const figures = await makeFigures(maker, { onProgress: () => void told++ })
  const all = performance.now() - began
  const known = numbers(figures, 'slope').filter((v) => !Number.isNaN(v)).length
  // The plain forms of the same hundred thousand would take minutes: of every hundredth, times a hundred.
  const sample = Array.from({ length: count / 100 }, (_, i) =>
    made.sales.values.subarray(i * 100 * days, (i * 100 + 1) * days),
  )
  const time = (work: (x: Float64Array) => unknown) => {
    const start = performance.now()
    for (const x of sample) work(x)
    return performance.now() - start
  }
  const peer = time(plain)
  const same = time((x) => [mannKendall(x), theilSenSlope(x), pettitt(x)])
  self.postMessage({ all, told, known, peer: peer * 100, same, samePeer: peer })
}

void run()
