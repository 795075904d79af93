import { knownPoints } from './known-values'

export interface ChangePoint {
  /** place of the last value before the change, from 1, gaps not counted */
  at: number
  /** place in `values`, from 0, of the first value after it */
  next: number
  /** the largest |U| */
  k: number
  /** values that were looked at */
  n: number
  /** approximate, two-sided */
  p: number
  /** did the values become larger? */
  up: boolean
}

/**
 * Pettitt's test for one change in the level of a series (Pettitt 1979, Applied Statistics 28), by ranks, n log n. The p-value is
 * his approximation 2 exp(−6K² / (n³ + n²)).
 *
 * @param values in order of time; NaN is a gap and left out
 * @returns null with fewer than four values
 */
export function pettitt(values: ArrayLike<number>): ChangePoint | null {
  const { places, known } = knownPoints(values)
  const n = known.length
  if (n < 4) return null
  const ranks = middleRanks(known)
  let [sum, best, bestAt] = [0, 0, 0]
  for (let t = 1; t < n; t++) {
    sum += ranks[t - 1] as number
    const u = 2 * sum - t * (n + 1)
    if (Math.abs(u) > Math.abs(best)) [best, bestAt] = [u, t]
  }
  const k = Math.abs(best)
  return { at: bestAt, next: places[bestAt] as number, k, n, p: pettittP(k, n), up: best < 0 }
}

/** @param factor by how much the variance of a sum is larger than that of values that do not pull on each other */
export function pettittP(k: number, n: number, factor = 1): number {
  return Math.min(1, 2 * Math.exp((-6 * k * k) / (n ** 3 + n ** 2) / factor))
}

/** Ranks from 1; ties share the middle of theirs. */
export function middleRanks(values: readonly number[]): number[] {
  const order = orderOf(values)
  const ranks = values.slice()
  for (let from = 0, to = 0; from < order.length; from = to) {
    while (to < order.length && values[order[to] as number] === values[order[from] as number]) to++
    for (let i = from; i < to; i++) ranks[order[i] as number] = (from + 1 + to) / 2
  }
  return ranks
}

/** Places by value, least first. Short lists, of which there are very many, are put in order by insertion. */
function orderOf(values: readonly number[]): number[] {
  const order: number[] = []
  for (let i = 0; i < values.length; i++) order.push(i)
  if (values.length > 64) return order.sort((a, b) => (values[a] as number) - (values[b] as number))
  for (let k = 1; k < order.length; k++) {
    const place = order[k] as number
    const value = values[place] as number
    let j = k - 1
    for (; j >= 0 && (values[order[j] as number] as number) > value; j--) order[j + 1] = order[j] as number
    order[j + 1] = place
  }
  return order
}
