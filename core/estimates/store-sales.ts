import { fromLog, type Estimate } from './estimate'

/** An item that a store offers: an estimate of what all sell of it, and which share of the time this store's offer was featured. */
export interface HeldItem {
  units: Estimate
  /** 0–1 */
  featured: number
}

/**
 * A store's units from its items: Σ units × share of time it held the featured offer. The sum of log-normal parts is taken as
 * log-normal by its first two moments (Fenton 1960, IRE Trans. Commun. Syst. 8).
 *
 * @param sharedLogSd the part of each item's spread that all of them share, as a store's leave rate is; the rest errs independently
 * @returns null without items
 */
export function storeSales(items: readonly HeldItem[], sharedLogSd = 0): Estimate | null {
  const held = items.filter((i) => i.featured > 0)
  if (held.length === 0) return null
  let [mean, variance] = [0, 0]
  for (const { units, featured } of held) {
    const own = Math.max(0, units.logSd ** 2 - sharedLogSd ** 2)
    mean += units.mean * featured
    variance += (units.units * featured) ** 2 * Math.expm1(own)
  }
  const sum = Math.max(mean, 0.5)
  const own = Math.log1p(variance / sum ** 2)
  return fromLog('combined', Math.log(sum) - own / 2, Math.sqrt(own + sharedLogSd ** 2), sum)
}
