/** A seeded source of chance: the same seed gives the same world. */
export interface Chance {
  /** evenly in [0, 1) */
  next(): number
  between(low: number, high: number): number
  whole(low: number, high: number): number
  pick<T>(list: readonly T[]): T
  /** true with probability p */
  happens(p: number): boolean
  normal(): number
  poisson(mean: number): number
}

/** mulberry32, a 32-bit generator good enough for making things up. */
export function chance(seed: number): Chance {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())
  return {
    next,
    between: (low, high) => low + next() * (high - low),
    whole: (low, high) => low + Math.floor(next() * (high - low + 1)),
    pick: (list) => list[Math.floor(next() * list.length)] as (typeof list)[number],
    happens: (p) => next() < p,
    normal,
    poisson: (mean) => {
      if (mean > 40) return Math.max(0, Math.round(mean + Math.sqrt(mean) * normal()))
      const limit = Math.exp(-mean)
      let n = 0
      for (let p = next(); p > limit; p *= next()) n++
      return n
    },
  }
}
