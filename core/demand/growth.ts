import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { wilsonInterval } from './wilson'

export interface Growth {
  /** (later − earlier) / earlier; null where nothing sold earlier */
  ratio: number | null
  low: number | null
  high: number | null
}

/**
 * Growth of a count between two windows whose level goes up and down beyond the chance of counting. The later share of both counts
 * has Wilson's interval for as many units as count for themselves: the total over 1 + n p q V. Where the scatter is learned from few
 * weeks the normal quantile gives way to Student's, by the freedom that Welch and Satterthwaite give a sum of a known and a learned
 * variance. Without scatter it is R's `prop.test(later, later + earlier, correct = FALSE)`, turned into a ratio.
 *
 * @param exposure length of the later window / length of the earlier one
 * @param variance of the logarithm of the ratio of both levels, by scatter alone
 * @param freedom of that variance
 */
export function scatteredGrowth(
  later: number,
  earlier: number,
  exposure: number,
  variance: number,
  freedom: number,
): Growth {
  const n = later + earlier
  // of a window in which more came back than was sold nothing is told
  if (n === 0 || later < 0 || earlier < 0) return { ratio: null, low: null, high: null }
  const even = exposure / (1 + exposure)
  const counting = 1 / (n * even * (1 - even))
  const added = variance / counting
  const z = quantile(added === 0 ? Infinity : freedom * (1 + 1 / added) ** 2)
  const share = wilsonInterval(later / (1 + added), n / (1 + added), z)
  // a share that the arithmetic cannot tell from all of it is open above
  const toGrowth = (s: number) => (s < 1 ? s / (1 - s) / exposure - 1 : null)
  return {
    ratio: earlier === 0 ? null : later / earlier / exposure - 1,
    low: share ? toGrowth(later === 0 ? 0 : share.low) : null,
    high: !share || earlier === 0 ? null : toGrowth(share.high),
  }
}

/**
 * Growth between windows of a few parts each, by how differently the pairs of parts grew: Student's interval of the mean logarithm of their
 * ratios, around the ratio of the sums. What is reported in round figures has no chance of counting, but months of its own.
 *
 * @param later and earlier parts in the same order
 */
export function pairedGrowth(later: readonly number[], earlier: readonly number[]): Growth {
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
  const [all, before, n] = [sum(later), sum(earlier), later.length]
  if (before === 0) return { ratio: null, low: null, high: null }
  const logs = later.map((v, i) => Math.log(v / (earlier[i] as number)))
  const ratio = all / before
  if (n < 2 || !logs.every(Number.isFinite)) return { ratio: ratio - 1, low: null, high: null }
  const mean = sum(logs) / n
  const error = Math.sqrt(logs.reduce((s, v) => s + (v - mean) ** 2, 0) / (n - 1) / n + 1 / all + 1 / before)
  const reach = quantile(n - 1) * error
  return { ratio: ratio - 1, low: ratio * Math.exp(-reach) - 1, high: ratio * Math.exp(reach) - 1 }
}

/** Counts of many things in two windows: their sums, and those of their squares and products. */
export interface ManyCounts {
  later: number
  earlier: number
  laterSquared: number
  earlierSquared: number
  product: number
  /** things that were counted in both windows */
  of: number
}

/** things from which on the scatter between them is told */
const leastThings = 5

/**
 * Growth of many things together, each of which goes its own way: the ratio of the sums, whose variance is that of a ratio estimator over
 * the things (Cochran 1977, Sampling Techniques, 6.3), and never less than that of counting. Of few things the interval is not known.
 */
export function growthOfMany({ later, earlier, laterSquared, earlierSquared, product, of }: ManyCounts): Growth {
  if (earlier === 0 || later === 0 || of < leastThings)
    return { ratio: earlier === 0 ? null : later / earlier - 1, low: null, high: null }
  const ratio = later / earlier
  const squares = laterSquared - 2 * ratio * product + ratio ** 2 * earlierSquared
  const whole = (squares / later ** 2) * (of / (of - 1))
  return scatteredGrowth(later, earlier, 1, Math.max(0, whole - 1 / later - 1 / earlier), of - 1)
}

const quantiles = new Map<number, number>()
/** 97.5 % quantile of Student's t, by whole degrees up to 100 */
function quantile(freedom: number): number {
  const whole = freedom > 100 ? Infinity : Math.max(1, Math.floor(freedom))
  const known = quantiles.get(whole) ?? (whole === Infinity ? 1.959963984540054 : tQuantile(0.975, whole))
  quantiles.set(whole, known)
  return known
}
