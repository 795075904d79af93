import { fromLog, z80, type Estimate } from './estimate'

/** Which share of buyers leave feedback or a review, and how far that differs from store to store (standard deviation of its log). */
export interface LeaveRate {
  rate: number
  logSd: number
  /** how many spreads on either side hold four of five, where that was learned; left out: as of a normal */
  reach?: number
}

/**
 * About half of all buyers leave feedback; it varies by category (common practice, no source). The spread is of stores within a world and of worlds
 * together, wide enough that 72 of 100 intervals hold in every world of docs/estimates.md whose own spread is 0.5 or less; where pairs are known
 * it is learned.
 */
export const usualLeaveRate: LeaveRate = { rate: 0.5, logSd: 0.7 }

/** Reviews are left far more rarely: our own guess, to be replaced by what is learned. */
export const usualReviewRate: LeaveRate = { rate: 0.18, logSd: 0.9 }

/**
 * Units sold from the feedback left in the same window: feedback / leave rate. Chance in who leaves it (a thinned count) and the
 * spread of leave rates widen the interval. No feedback at all still allows for a few sales.
 *
 * @param feedback 0 or more
 */
export function fromFeedback(feedback: number, rate: LeaveRate = usualLeaveRate): Estimate {
  return thinned('feedback', feedback, rate)
}

/** Units sold from how far the count of reviews rose over the window. */
export function fromReviews(rise: number, rate: LeaveRate = usualReviewRate): Estimate {
  return thinned('reviews', rise, rate)
}

/** Middle and spread in logs of how many bought, from how many left something. */
export function guessed(left: number, { rate, logSd }: LeaveRate): { middle: number; spread: number } {
  const count = Math.max(0, left) + 0.5
  return { middle: Math.log(count / rate), spread: Math.sqrt((1 - rate) / count + logSd ** 2) }
}

function thinned(method: Estimate['method'], left: number, rate: LeaveRate): Estimate {
  const { middle, spread } = guessed(left, rate)
  // as a wider spread: whatever weighs estimates by it weighs this too
  const wider = (rate.reach ?? z80) / z80
  return fromLog(method, middle, wider * spread, Math.max(0, left) / rate.rate)
}
