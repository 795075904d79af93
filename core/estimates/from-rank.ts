import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import type { Estimate } from './estimate'

/** An item of one's own whose rank and units in 30 days are both known. */
export interface RankPair {
  rank: number
  units: number
}

/** log units = intercept + slope × log rank, by least squares. */
export interface RankCurve {
  intercept: number
  slope: number
  /** standard deviation about the line, of log units */
  residualSd: number
  of: number
  meanLogRank: number
  /** sum of squares of log rank about its mean */
  spread: number
}

/** pairs below which no line is drawn */
const least = 8

/**
 * The line through the seller's own pairs; null with fewer than eight usable ones (rank ≥ 1, units > 0), or where all have one rank.
 * Check: R's `lm(log(units) ~ log(rank))` and statsmodels' `OLS`.
 */
export function rankCurve(pairs: readonly RankPair[]): RankCurve | null {
  const usable = pairs.filter((p) => p.rank >= 1 && p.units > 0)
  const n = usable.length
  if (n < least) return null
  const [x, y] = [usable.map((p) => Math.log(p.rank)), usable.map((p) => Math.log(p.units))]
  const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / n
  const [mx, my] = [mean(x), mean(y)]
  const spread = x.reduce((sum, v) => sum + (v - mx) ** 2, 0)
  if (spread < 1e-12) return null
  const slope = x.reduce((sum, v, i) => sum + (v - mx) * ((y[i] as number) - my), 0) / spread
  const intercept = my - slope * mx
  const rest = x.reduce((sum, v, i) => sum + ((y[i] as number) - intercept - slope * v) ** 2, 0)
  return { intercept, slope, residualSd: Math.sqrt(rest / (n - 2)), of: n, meanLogRank: mx, spread }
}

/** Units in 30 days at a rank, with the 80 % interval for a single new item (Student's t, n − 2 degrees of freedom). */
export function fromRank(rank: number, curve: RankCurve): Estimate {
  const at = Math.log(Math.max(1, rank))
  const log = curve.intercept + curve.slope * at
  const logSd = curve.residualSd * Math.sqrt(1 + 1 / curve.of + (at - curve.meanLogRank) ** 2 / curve.spread)
  const reach = tQuantile(0.9, curve.of - 2) * logSd
  return {
    method: 'rank',
    units: Math.exp(log),
    low: Math.exp(log - reach),
    high: Math.exp(log + reach),
    mean: Math.exp(log + logSd ** 2 / 2),
    logSd,
  }
}
