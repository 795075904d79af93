import betaQuantile from '@stdlib/stats-base-dists-beta-quantile'

export interface Growth {
  /** (later − earlier) / earlier; null where nothing sold earlier */
  ratio: number | null
  low: number | null
  high: number | null
}

/**
 * Growth of a count between two windows of equal exposure with its exact 95 % interval: conditional on the total the
 * later count is binomial, so Clopper–Pearson limits of its share give limits of the ratio of the two Poisson rates
 * (as R's `poisson.test`).
 *
 * @param exposure length of the later window / length of the earlier one
 */
export function poissonGrowth(later: number, earlier: number, exposure = 1): Readonly<Growth> {
  const n = later + earlier
  if (n === 0) return { ratio: null, low: null, high: null }
  const toGrowth = (share: number) => (share >= 1 ? Infinity : share / (1 - share) / exposure - 1)
  const low = later === 0 ? 0 : betaQuantile(0.025, later, earlier + 1)
  const high = earlier === 0 ? 1 : betaQuantile(0.975, later + 1, earlier)
  return {
    ratio: earlier === 0 ? null : later / earlier / exposure - 1,
    low: toGrowth(low),
    high: Number.isFinite(toGrowth(high)) ? toGrowth(high) : null,
  }
}

/** most pairs that are remembered, and up to which count */
const [mostPairs, most] = [50_000, 4096]

/**
 * The same, remembering what it worked out: small counts in even windows come again and again over a workspace, and an exact interval
 * takes long. For whoever goes through many.
 */
export function rememberedGrowth(): typeof poissonGrowth {
  const worked = new Map<number, Readonly<Growth>>()
  const isSmall = (count: number) => Number.isInteger(count) && count < most
  return (later, earlier, exposure = 1) => {
    if (exposure !== 1 || !isSmall(later) || !isSmall(earlier)) return poissonGrowth(later, earlier, exposure)
    const key = later * most + earlier
    const known = worked.get(key)
    if (known) return known
    const growth = poissonGrowth(later, earlier)
    if (worked.size >= mostPairs) worked.clear()
    worked.set(key, growth)
    return growth
  }
}
