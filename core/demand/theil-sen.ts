import quickselect from 'quickselect'
import { fallingPairsInPlace, runsOf } from './falling-pairs'

/** up to here looking at every pair is quicker */
const fewPoints = 48

/**
 * Theil–Sen slope: the median of the slopes of all pairs (Theil 1950, Sen 1968). NaN values are gaps and left out.
 *
 * Of many values not every pair is looked at: how many slopes lie under a bound is how many pairs fall once that bound is taken off
 * (counted by merging, n log n); bounds close in on the median until few pairs lie between, and those are looked at.
 *
 * @returns change per step, or null with fewer than two values
 */
export function theilSenSlope(values: ArrayLike<number>): number | null {
  const { t, y, n } = knownPoints(values)
  if (n < 2) return null
  if (n <= fewPoints) return ofAllPairs(t, y, n)
  // Counts often stay as they are: then the median needs no looking for.
  return isZero(y, n) ? 0 : closingIn(t, y, n)
}

function knownPoints(values: ArrayLike<number>) {
  const [t, y] = [new Float64Array(values.length), new Float64Array(values.length)]
  let n = 0
  for (let i = 0; i < values.length; i++) {
    const v = values[i] as number
    if (v !== v) continue
    t[n] = i
    y[n++] = v
  }
  return { t, y, n }
}

/** Whether the median slope is 0: neither rising nor falling pairs make half of all. */
function isZero(y: Float64Array, n: number): boolean {
  const sorted = y.slice(0, n)
  const falling = fallingPairsInPlace(sorted, new Float64Array(n))
  const level = runsOf(sorted).reduce((pairs, run) => pairs + (run * (run - 1)) / 2, 0)
  const pairs = (n * (n - 1)) / 2
  return falling <= (pairs - 1) >> 1 && pairs >> 1 < falling + level
}

function ofAllPairs(t: Float64Array, y: Float64Array, n: number): number {
  const slopes: number[] = []
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      slopes.push(((y[j] as number) - (y[i] as number)) / ((t[j] as number) - (t[i] as number)))
  const middle = slopes.length >> 1
  quickselect(slopes, middle)
  const high = slopes[middle] as number
  if (slopes.length % 2) return high
  // what lies before the upper middle is no larger: the greatest of it is the lower one
  return (slopes.slice(0, middle).reduce((most, slope) => Math.max(most, slope)) + high) / 2
}

function closingIn(t: Float64Array, y: Float64Array, n: number): number {
  const pairs = (n * (n - 1)) / 2
  const [first, second] = [(pairs - 1) >> 1, pairs >> 1]
  const z = new Float64Array(n)
  const scratch = new Float64Array(n)
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
  // A median that many pairs share: bounds cannot part it.
  if (upTo - below > 8 * n) return ofAllPairs(t, y, n)
  const between = slopesBetween(t, y, n, low, high)
  // Rounding may put a slope on the other side of a bound than it was counted: then every pair is looked at after all.
  if (between.length !== upTo - below) return ofAllPairs(t, y, n)
  between.sort()
  return ((between[first - below] as number) + (between[second - below] as number)) / 2
}

/** Slopes of the pairs whose order turns between two bounds: those an insertion sort swaps. */
function slopesBetween(t: Float64Array, y: Float64Array, n: number, low: number, high: number): Float64Array {
  const at = (i: number, slope: number) => (y[i] as number) - slope * (t[i] as number)
  const order = Array.from({ length: n }, (_, i) => i).sort((a, b) => at(a, low) - at(b, low) || a - b)
  const keys = Float64Array.from(order, (i) => at(i, high))
  const slopes: number[] = []
  for (let k = 1; k < n; k++) {
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
