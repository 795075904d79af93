/** A million listings as columns, made from a seed: the shapes of a market (few sell most, prices spread by a factor), no more. */
export interface Million {
  rows: number
  stores: Int32Array
  /** name → values; NaN is unknown */
  columns: Record<string, Float64Array>
}

export const storeCount = 20_000
export const stripNames = ['price', 'units', 'growth', 'soldShare', 'rating', 'profit', 'reviews', 'age'] as const

/** mulberry32 */
export function randomOf(seed: number): () => number {
  let a = seed
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export function makeMillion(rows = 1_000_000, seed = 7): Million {
  const random = randomOf(seed)
  const bell = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const fill = (value: () => number) => Float64Array.from({ length: rows }, value)
  const cents = (v: number) => Math.round(v * 100) / 100
  return {
    rows,
    stores: Int32Array.from({ length: rows }, () => Math.floor(storeCount * random() ** 2)),
    columns: {
      price: fill(() => cents(Math.exp(3 + 0.8 * bell()))),
      units: fill(() => (random() < 0.1 ? NaN : Math.floor(3 / (1 - random()) ** 0.9) - 3)),
      growth: fill(() => (random() < 0.15 ? NaN : 0.4 * bell())),
      soldShare: fill(() => random()),
      rating: fill(() => (random() < 0.3 ? NaN : Math.min(5, Math.round(10 * (4.4 + 0.5 * bell())) / 10))),
      profit: fill(() => (random() < 0.4 ? NaN : cents(6 * bell() + 3))),
      reviews: fill(() => Math.floor(2 / (1 - random()))),
      age: fill(() => Math.floor(1500 * random())),
      worth: fill(() => Math.round(1e5 * random()) / 1e3),
    },
  }
}

/** Five limits, each passing about two thirds, drawn anew. */
export function fiveLimits(random: () => number): Record<string, [number, number]> {
  return {
    price: [5 + 5 * random(), 60 + 20 * random()],
    units: [1 + Math.floor(2 * random()), 1e9],
    soldShare: [0.2 * random(), 0.8 + 0.2 * random()],
    rating: [3.8 + 0.4 * random(), 5],
    profit: [-2 - random(), 20],
  }
}
