import tQuantile from '@stdlib/stats-base-dists-t-quantile'

/** What was guessed of something of which the truth is known: middle and spread in logs. */
export interface JudgedGuess {
  middle: number
  spread: number
  truth: number
}

/**
 * How many of their spreads hold four of five, the middle of two answers: Student's, true of normal errors, and the rank among the pairs, true
 * of any (conformal prediction: Lei et al. 2018, JASA 113, 1094) but rough.
 *
 * @param guesses one or more
 * @param freedom degrees of freedom of the spread
 */
export function reachOf(guesses: readonly JudgedGuess[], freedom: number): number {
  return (tQuantile(0.9, freedom) + rankReach(guesses.map((g) => missedBy(g) / g.spread))) / 2
}

/** How far an interval must reach in logs to hold the truth, as it is told: in whole units. */
function missedBy({ middle, truth }: JudgedGuess): number {
  return Math.max(0, middle - Math.log(truth + 0.5), Math.log(truth - 0.5) - middle)
}

/** So far reach four of five, the one that is not known yet counted in: by rank, whatever errors are like. */
function rankReach(missed: readonly number[]): number {
  const rank = Math.ceil(0.8 * (missed.length + 1))
  return [...missed].sort((a, b) => a - b)[Math.min(rank, missed.length) - 1] as number
}
