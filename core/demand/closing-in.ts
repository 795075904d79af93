import { fallingPairsInPlace, runsOf } from './falling-pairs'

/**
 * The median of the slopes of all pairs, of which few are looked at: bounds close in on it until few pairs lie between.
 *
 * @param t steps, rising
 * @param y values at them, at least two
 * @returns null where bounds do not part the slopes: many pairs share the median, or rounding put one on the other side of a bound
 */
export function closingIn(t: readonly number[], y: readonly number[]): number | null {
  const n = y.length
  const pairs = (n * (n - 1)) / 2
  const [first, second] = [(pairs - 1) >> 1, pairs >> 1]
  const z = y.slice()
  const scratch = y.slice()
  const under = (slope: number) => {
    for (let i = 0; i < n; i++) z[i] = (y[i] as number) - slope * (t[i] as number)
    return fallingPairsInPlace(z, scratch)
  }
  // Every slope is a mean of slopes between neighbours.
  let [low, high] = [Infinity, -Infinity]
  for (let i = 1; i < n; i++) {
    const slope = ((y[i] as number) - (y[i - 1] as number)) / ((t[i] as number) - (t[i - 1] as number))
    low = Math.min(low, slope)
    high = Math.max(high, slope)
  }
  low -= 1e-9 * (1 + Math.abs(low))
  high += 1e-9 * (1 + Math.abs(high))
  let [below, upTo] = [0, pairs]
  for (let step = 0; step < 60 && upTo - below > 2 * n; step++) {
    const middle = (low + high) / 2
    const count = under(middle)
    if (count <= first) [low, below] = [middle, count]
    else if (count > second) [high, upTo] = [middle, count]
    else break // the two middle slopes lie on either side
  }
  if (upTo - below > 8 * n) return null
  const between = slopesBetween(t, y, low, high)
  if (between.length !== upTo - below) return null
  between.sort()
  return ((between[first - below] as number) + (between[second - below] as number)) / 2
}

/** Slopes of the pairs whose order turns between two bounds: those an insertion sort swaps. */
function slopesBetween(t: readonly number[], y: readonly number[], low: number, high: number): Float64Array {
  const at = (i: number, slope: number) => (y[i] as number) - slope * (t[i] as number)
  const order = Array.from(y.keys()).sort((a, b) => at(a, low) - at(b, low) || a - b)
  const keys = order.map((i) => at(i, high))
  const slopes: number[] = []
  for (let k = 1; k < y.length; k++) {
    const [key, i] = [keys[k] as number, order[k] as number]
    let j = k - 1
    for (; j >= 0 && (keys[j] as number) > key; j--) {
      const other = order[j] as number
      slopes.push(((y[other] as number) - (y[i] as number)) / ((t[other] as number) - (t[i] as number)))
      keys[j + 1] = keys[j] as number
      order[j + 1] = other
    }
    keys[j + 1] = key
    order[j + 1] = i
  }
  return Float64Array.from(slopes)
}

/** Whether the median slope is 0: neither rising nor falling pairs make half of all. */
export function isZero(y: readonly number[]): boolean {
  const n = y.length
  const sorted = y.slice()
  const falling = fallingPairsInPlace(sorted)
  const level = runsOf(sorted).reduce((pairs, run) => pairs + (run * (run - 1)) / 2, 0)
  const pairs = (n * (n - 1)) / 2
  return falling <= (pairs - 1) >> 1 && pairs >> 1 < falling + level
}
