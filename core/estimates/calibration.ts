import { fromLog, z80, type Estimate } from './estimate'
import { reachOf } from './reach'

/** An estimate of something of which the truth is known as well. */
export interface JudgedEstimate {
  estimate: Estimate
  truth: number
}

/** How far estimates of one kind lie from the truth, all in logs, as pairs of both tell. */
export interface Calibration {
  /** what is added to them */
  shift: number
  /** their own spread times so much … */
  scale: number
  /** … and a spread that comes on top, however sure they are of themselves */
  extraSd: number
  /** so many spreads on either side hold four of five */
  reach: number
  /** pairs it was learned from */
  of: number
}

/** true units from which on a pair tells of an error in logs; pairs below which nothing is learned */
const [leastTrue, leastPairs] = [5, 8]
/** how many pairs the belief is worth that estimates lie in the middle */
const middleWorth = 2
/** of what estimates say of their spread, what stays however alike their errors are */
const leastScale = 0.01

/**
 * Learns from known pairs how far one kind of estimate lies off and how sure it may be of itself. Where errors are wider than the estimates
 * say, a common extra variance is found by which they fit (Paule & Mandel 1982, J. Res. NBS 87, 377; check: statsmodels' `combine_effects`,
 * method 'iterated'); where they are narrower, their own spread shrinks.
 *
 * @returns null with fewer than eight pairs of which five or more were truly sold
 */
export function calibrationOf(pairs: readonly JudgedEstimate[]): Calibration | null {
  const telling = pairs.filter(({ estimate, truth }) => truth >= leastTrue && estimate.units > 0 && estimate.logSd > 0)
  const n = telling.length
  if (n < leastPairs) return null
  const errors = telling.map(({ estimate, truth }) => Math.log(truth / estimate.units))
  const variances = telling.map(({ estimate }) => estimate.logSd ** 2)
  const extra = extraVariance(errors, variances)
  const { mean, squares } = weighed(errors, variances, extra)
  const shift = (n * mean) / (middleWorth + n)
  const scale = extra > 0 ? 1 : Math.max(leastScale, Math.sqrt(squares / (n - 1)))
  // the middle is known from n pairs alone
  const known = Math.sqrt(1 + 1 / n)
  const now = { shift, scale: scale * known, extraSd: Math.sqrt(extra) * known }
  const guesses = telling.map(({ estimate, truth }) => ({
    middle: Math.log(estimate.units) + shift,
    spread: spreadOf(estimate, now),
    truth,
  }))
  return { ...now, reach: reachOf(guesses, n - 1), of: n }
}

const spreadOf = (estimate: Estimate, { scale, extraSd }: Pick<Calibration, 'scale' | 'extraSd'>) =>
  Math.hypot(scale * estimate.logSd, extraSd)

/**
 * The variance between things measured that makes the weighted squares of their errors what chance alone makes them: n − 1; 0 where they are
 * no more as it is.
 */
export function extraVariance(errors: readonly number[], variances: readonly number[]): number {
  const excess = (extra: number) => weighed(errors, variances, extra).squares - (errors.length - 1)
  if (excess(0) <= 0) return 0
  let [low, high] = [0, 1]
  while (excess(high) > 0) high *= 2
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (excess(middle) > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

function weighed(errors: readonly number[], variances: readonly number[], extra: number) {
  const weights = variances.map((v) => 1 / (v + extra))
  const total = weights.reduce((a, b) => a + b, 0)
  const mean = errors.reduce((sum, e, i) => sum + e * (weights[i] as number), 0) / total
  const squares = errors.reduce((sum, e, i) => sum + (e - mean) ** 2 * (weights[i] as number), 0)
  return { mean, squares }
}

/** An estimate with what was learned of its kind; as it is where nothing was. */
export function calibrated(estimate: Estimate, learned: Calibration | null): Estimate {
  if (!learned) return estimate
  const { shift, reach } = learned
  const wider = reach / z80
  const spread = spreadOf(estimate, learned)
  const middle = Math.log(estimate.units) + shift
  return fromLog(estimate.method, middle, wider * spread, Math.exp(middle + spread ** 2 / 2))
}
