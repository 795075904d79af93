import cdf from '@stdlib/stats-base-dists-normal-cdf'
import { wilsonInterval } from './wilson'

export interface Difference {
  /** first share − second share */
  difference: number
  low: number
  high: number
}

/**
 * The difference of two independent shares with Newcombe's hybrid-score 95 % interval.
 * Source: Newcombe 1998, Statist. Med. 17, 873–890, method 10. Check: 56 of 70 against 48 of 80: 0.2000, 0.0524 to 0.3339.
 *
 * @returns null where either is a share of nothing
 */
export function shareDifference(hits: number, of: number, otherHits: number, otherOf: number): Difference | null {
  const [a, b] = [wilsonInterval(hits, of), wilsonInterval(otherHits, otherOf)]
  if (!a || !b) return null
  const difference = a.ratio - b.ratio
  return {
    difference,
    low: difference - Math.hypot(a.ratio - a.low, b.high - b.ratio),
    high: difference + Math.hypot(a.high - a.ratio, b.ratio - b.low),
  }
}

/**
 * Two-sided p-value that two shares are one, by the pooled score test (as statsmodels' `proportions_ztest` and R's
 * `prop.test(correct = FALSE)`); 1 where both are all or nothing alike.
 */
export function sharesP(hits: number, of: number, otherHits: number, otherOf: number): number {
  const pooled = (hits + otherHits) / (of + otherOf)
  const spread = Math.sqrt(pooled * (1 - pooled) * (1 / of + 1 / otherOf))
  return spread > 0 ? 2 * cdf(-Math.abs(hits / of - otherHits / otherOf) / spread, 0, 1) : 1
}
