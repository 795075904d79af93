import type { Decision } from './decisions'

/** What has become of an item since it was decided. Money in E4. */
export interface SinceDecided {
  key: string
  title: string
  /** the item's data are gone from the workspace */
  gone: boolean
  profit: [before: number, after: number] | null
  units: [before: number, after: number] | null
}

const leastProfitE4 = 5_000

/**
 * What is worth telling of a kept or held item: a profit that moved by a tenth and at least half a unit of money, units that
 * moved beyond chance (two Poisson counts differ by more than 1.96 standard errors), or that it is gone.
 *
 * @param now profit and units as they are; null where the item is gone
 * @returns null where nothing is worth telling
 */
export function sinceDecided(
  { key, snapshot }: Pick<Decision, 'key' | 'snapshot'>,
  now: { title: string; profitE4: number | null; units: number | null } | null,
): SinceDecided | null {
  if (!now) return { key, title: snapshot.title, gone: true, profit: null, units: null }
  const [p, q] = [snapshot.profitE4, now.profitE4]
  const [u, v] = [snapshot.units, now.units]
  const profit: SinceDecided['profit'] =
    p !== null && q !== null && Math.abs(q - p) >= Math.max(leastProfitE4, Math.abs(p) / 10) ? [p, q] : null
  const units: SinceDecided['units'] =
    u !== null && v !== null && Math.abs(v - u) > 1.96 * Math.sqrt(u + v) ? [u, v] : null
  return profit || units ? { key, title: now.title, gone: false, profit, units } : null
}
