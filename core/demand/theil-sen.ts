import quickselect from 'quickselect'
import { closingIn, isZero } from './closing-in'
import { knownPoints } from './known-values'

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
  const { places: t, known: y } = knownPoints(values)
  if (y.length < 2) return null
  if (y.length <= fewPoints) return ofAllPairs(t, y)
  // Counts often stay as they are: then the median needs no looking for.
  return isZero(y) ? 0 : (closingIn(t, y) ?? ofAllPairs(t, y))
}

function ofAllPairs(t: readonly number[], y: readonly number[]): number {
  const slopes = new Array<number>((y.length * (y.length - 1)) / 2)
  let pair = 0
  for (let i = 0; i < y.length; i++)
    for (let j = i + 1; j < y.length; j++)
      slopes[pair++] = ((y[j] as number) - (y[i] as number)) / ((t[j] as number) - (t[i] as number))
  const middle = slopes.length >> 1
  quickselect(slopes, middle)
  const high = slopes[middle] as number
  if (slopes.length % 2) return high
  // what lies before the upper middle is no larger: the greatest of it is the lower one
  return (slopes.slice(0, middle).reduce((most, slope) => Math.max(most, slope)) + high) / 2
}
