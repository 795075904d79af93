import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { guessed, type LeaveRate } from './from-feedback'
import { reachOf } from './reach'

/** Something of one's own, or of a market, of which both are known: how many left feedback or a review, and how many bought. */
export interface LeavePair {
  left: number
  sold: number
}

/** buyers from which on a pair tells of a rate */
const leastSold = 5
/** of the usual spread, the share of variance that lies between stores of one world; the rest lies between worlds */
const within = 0.5
/** how many pairs the usual rate is worth: of its middle, as far as worlds differ, and of its spread */
const [middleWorth, spreadWorth] = [within / (1 - within), 3]
/** pairs from which on their own ranks tell how far an interval must reach */
const leastRanked = 8
/** spread that stays however alike the pairs are */
const leastSd = 0.05

/**
 * The rate at which buyers leave something, and how far it differs from one store or listing to the next, learned from pairs of which both are
 * known. Logarithms of rates are taken for normal with unknown middle and spread; the usual rate is what is believed beforehand, worth a few
 * pairs (normal–inverse-gamma: Gelman et al., Bayesian Data Analysis, 3.3), so that one odd pair does not decide. What chance alone makes of a
 * thinned count is taken off the spread. Without pairs the usual rate stays as it is.
 *
 * @param usual rate and spread that are believed without pairs
 */
export function learnedRate(pairs: readonly LeavePair[], usual: LeaveRate): LeaveRate {
  const telling = pairs.filter((p) => p.sold >= leastSold && p.left >= 0)
  const n = telling.length
  if (n === 0) return usual
  const logs = telling.map(({ left, sold }) => Math.log((left + 0.5) / (sold + 0.5)))
  // of few that left something the logarithm says little, and what it says lies too low
  const noise = telling.map(({ left }) => (1 - usual.rate) / (left + 0.5))
  const weights = noise.map((v) => 1 / (within * usual.logSd ** 2 + v))
  const total = weights.reduce((a, b) => a + b, 0)
  const weighed = (of: (i: number) => number) => weights.reduce((sum, w, i) => sum + (w * of(i)) / total, 0)
  const mean = weighed((i) => logs[i] as number)
  const before = Math.log(usual.rate)
  const middle = (middleWorth * before + n * mean) / (middleWorth + n)
  const rate = Math.min(1, Math.exp(middle))
  const squares = n * weighed((i) => ((logs[i] as number) - mean) ** 2 - (noise[i] as number))
  const moved = ((middleWorth * n) / (middleWorth + n)) * (mean - before) ** 2
  const variance = (spreadWorth * within * usual.logSd ** 2 + Math.max(0, squares) + moved) / (spreadWorth + n)
  const learned = { rate, logSd: Math.sqrt(Math.max(leastSd ** 2, variance) * (1 + 1 / (middleWorth + n))) }
  const guesses = telling.map(({ left, sold }) => ({ ...guessed(left, learned), truth: sold }))
  const freedom = spreadWorth + n
  return { ...learned, reach: n < leastRanked ? tQuantile(0.9, freedom) : reachOf(guesses, freedom) }
}
