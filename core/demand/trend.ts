import cdf from '@stdlib/stats-base-dists-normal-cdf'
import { mannKendall } from './mann-kendall'
import type { Scatter } from './scatter'
import { pullFactor, serialFactor } from './serial-dependence'
import { theilSenSlope } from './theil-sen'

/** A trend of weekly values, with how likely chance makes one like it. */
export interface Trend {
  /** Theil–Sen, change a week; null with fewer than two values */
  slope: number | null
  /** Mann–Kendall, two-sided; null with fewer than three */
  p: number | null
}

/**
 * Trend and its surety where one week pulls on the next: the variance of Mann–Kendall's S is the largest of the plain one, Hamed & Rao's, and
 * that of a first-order pull as the scatter has it. Half a year of weeks is too short for the correlations alone: in a steady world whose
 * weeks pull on each other by 0.6 they leave a quarter of all series with a trend at the 5 % level.
 *
 * @param weeks in order of time; NaN is a gap and left out
 */
export function trendOf(weeks: ArrayLike<number>, scatter: Scatter): Trend {
  const test = mannKendall(weeks)
  const slope = theilSenSlope(weeks)
  if (!test) return { slope, p: null }
  // what is not trending at all needs no correction, which is the dearest part
  if (Math.abs(test.z) < 1.9) return { slope, p: test.p }
  const factor = Math.max(1, serialFactor(weeks, slope), pullFactor(scatter, weeks.length))
  return { slope, p: Math.min(1, 2 * cdf(-Math.abs(test.z) / Math.sqrt(factor), 0, 1)) }
}
