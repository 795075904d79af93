import cdf from '@stdlib/stats-base-dists-normal-cdf'
import { fallingPairsInPlace, runsOf } from './falling-pairs'
import { knownValues } from './known-values'

export interface MannKendall {
  /** concordant less discordant pairs */
  s: number
  /** variance of S under no trend, ties corrected */
  variance: number
  /** with continuity correction */
  z: number
  /** two-sided */
  p: number
}

/**
 * Mann–Kendall test for a trend with correction for ties (Kendall 1975). S is counted by merging, n log n.
 *
 * @param values in order of time; NaN is a gap and left out
 * @returns null with fewer than three values
 */
export function mannKendall(values: ArrayLike<number>): MannKendall | null {
  const x = knownValues(values)
  const n = x.length
  if (n < 3) return null
  const pairs = (n * (n - 1)) / 2
  // Counting sorts x, so that ties then stand side by side.
  const discordant = fallingPairsInPlace(x)
  let [tied, tieVariance] = [0, 0]
  for (const run of runsOf(x)) {
    tied += (run * (run - 1)) / 2
    tieVariance += run * (run - 1) * (2 * run + 5)
  }
  const s = pairs - tied - 2 * discordant
  const variance = (n * (n - 1) * (2 * n + 5) - tieVariance) / 18
  const z = s === 0 || variance === 0 ? 0 : (s - Math.sign(s)) / Math.sqrt(variance)
  return { s, variance, z, p: Math.min(1, 2 * cdf(-Math.abs(z), 0, 1)) }
}
