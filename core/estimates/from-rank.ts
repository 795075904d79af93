import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import type { Estimate } from './estimate'
import { chanceAt, logistic, type Logistic } from './logistic'

/** An item of one's own whose rank and units in 30 days are both known. */
export interface RankPair {
  rank: number
  units: number
}

/** Of listings that sell well, log units = intercept + slope × log rank, by least squares; and how many sell so well. */
export interface RankCurve {
  intercept: number
  slope: number
  /** standard deviation about the line, of log units */
  residualSd: number
  of: number
  meanLogRank: number
  /** sum of squares of log rank about its mean */
  spread: number
  /** mean of what units are of their line: the way back from logs without bias (Duan 1983) */
  smear: number
  /** chance that a listing sells well, by log rank; null where all do */
  selling: Logistic | null
}

/** pairs below which no line is drawn */
const least = 8
/** units from which a listing sells well: the log of one or two says more of chance than of rank, and bends the line */
const well = 5

/**
 * The line through the seller's own pairs; null with fewer than eight usable ones (rank ≥ 1, five units and more), where all have one rank, where
 * lower ranks sell less (that is no rank by sales), and where those before sell less than those behind.
 * Check: R's `lm(log(units) ~ log(rank))`, `glm(family = binomial)` and Duan's smearing; statsmodels' `OLS`.
 */
export function rankCurve(pairs: readonly RankPair[]): RankCurve | null {
  const ranked = pairs.filter((p) => p.rank >= 1 && p.units >= 0)
  const usable = ranked.filter((p) => p.units >= well)
  const n = usable.length
  if (n < least) return null
  const [x, y] = [usable.map((p) => Math.log(p.rank)), usable.map((p) => Math.log(p.units))]
  const [mx, my] = [meanOf(x), meanOf(y)]
  const spread = x.reduce((sum, v) => sum + (v - mx) ** 2, 0)
  if (spread < 1e-12) return null
  const slope = x.reduce((sum, v, i) => sum + (v - mx) * ((y[i] as number) - my), 0) / spread
  if (slope >= 0) return null
  const intercept = my - slope * mx
  const rest = x.map((v, i) => (y[i] as number) - intercept - slope * v)
  const residualSd = Math.sqrt(rest.reduce((sum, r) => sum + r ** 2, 0) / (n - 2))
  const selling = sellingOf(ranked)
  if (selling === null && n < ranked.length) return null
  const smear = meanOf(rest.map(Math.exp))
  return { intercept, slope, residualSd, of: n, meanLogRank: mx, spread, smear, selling }
}

const meanOf = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length

function sellingOf(ranked: readonly RankPair[]): Logistic | null {
  const sells = ranked.map((p) => p.units >= well)
  if (sells.every(Boolean)) return null
  const x = ranked.map((p) => Math.log(p.rank))
  return logistic(x, sells) ?? partedAt(x, sells)
}

/** Where every rank that sells is before every one that does not, the chance falls at once between the two. */
function partedAt(x: readonly number[], sells: readonly boolean[]): Logistic | null {
  const last = Math.max(...x.filter((_, i) => sells[i]))
  const first = Math.min(...x.filter((_, i) => !sells[i]))
  return last < first ? { intercept: (steep * (last + first)) / 2, slope: -steep } : null
}
const steep = 100

/**
 * Units in 30 days at a rank, with the 80 % interval for a single new item: of those that sell well Student's t about the line (n − 2 degrees
 * of freedom), and next to nothing of the others. `mean` is of both.
 *
 * @returns null where most of that rank sell next to nothing: there is no figure that is typical
 */
export function fromRank(rank: number, curve: RankCurve): Estimate | null {
  const at = Math.log(Math.max(1, rank))
  const sells = curve.selling === null ? 1 : chanceAt(at, curve.selling)
  if (sells <= 0.5) return null
  const log = curve.intercept + curve.slope * at
  const logSd = curve.residualSd * Math.sqrt(1 + 1 / curve.of + (at - curve.meanLogRank) ** 2 / curve.spread)
  const quantile = (share: number) => {
    const ofSelling = (share - (1 - sells)) / sells
    return ofSelling <= 0 ? 0 : Math.exp(log + tQuantile(ofSelling, curve.of - 2) * logSd)
  }
  return {
    method: 'rank',
    units: quantile(0.5),
    low: quantile(0.1),
    high: quantile(0.9),
    mean: sells * Math.exp(log) * curve.smear,
    logSd,
  }
}
