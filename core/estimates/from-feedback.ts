import { fromLog, type Estimate } from './estimate'

/** Which share of buyers leave feedback or a review, and how far that differs from store to store (standard deviation of its log). */
export interface LeaveRate {
  rate: number
  logSd: number
}

/** About half of all buyers leave feedback; it varies by category (common practice, no source). */
export const usualLeaveRate: LeaveRate = { rate: 0.5, logSd: 0.25 }

/** Reviews are left far more rarely: our own guess, to be replaced by the seller's own orders. */
export const usualReviewRate: LeaveRate = { rate: 0.18, logSd: 0.4 }

/**
 * Units sold from the feedback left in the same window: feedback / leave rate. Chance in who leaves it (a thinned count) and the
 * spread of leave rates widen the interval. No feedback at all still allows for a few sales.
 *
 * @param feedback 0 or more
 */
export function fromFeedback(feedback: number, { rate, logSd }: LeaveRate = usualLeaveRate): Estimate {
  return thinned('feedback', feedback, rate, logSd)
}

/** Units sold from how far the count of reviews rose over the window. */
export function fromReviews(rise: number, { rate, logSd }: LeaveRate = usualReviewRate): Estimate {
  return thinned('reviews', rise, rate, logSd)
}

function thinned(method: Estimate['method'], seen: number, rate: number, logSd: number): Estimate {
  const count = Math.max(0, seen) + 0.5
  return fromLog(method, Math.log(count / rate), Math.sqrt((1 - rate) / count + logSd ** 2), Math.max(0, seen) / rate)
}
