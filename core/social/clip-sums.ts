import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import type { ClipColumns } from './clip-columns'

/** What many clips come to. Money in E4 of the home currency; null where nothing says. */
export interface ClipSums {
  clips: number
  lives: number
  creators: number
  views: number | null
  units: number | null
  revenueE4: number | null
  /** sales a thousand views of the clips that say both, with its 95 % interval over creators; null of fewer than five creators */
  perThousandE4: { value: number; low: number; high: number } | null
  /** of those that say what they sold, the share that sold nothing */
  nothingRatio: number | null
  /** share of all units that the best clip sold, and the best creator */
  bestClipRatio: number | null
  bestCreatorRatio: number | null
  /** of the clips that say so, the share whose reach was paid for */
  paidRatio: number | null
}

/** @param places clips of the columns that are counted; all of them without */
export function clipSums(columns: ClipColumns, places: Iterable<number> = columns.clips.keys()): ClipSums {
  const { views, units, revenueE4, isLive, paid, creator } = columns
  const creators = creator.words.length + 1
  const [sold, seen, taken] = [new Float64Array(creators), new Float64Array(creators), new Float64Array(creators)]
  const met = new Uint8Array(creators)
  const sums = { clips: 0, lives: 0, views: tally(), units: tally(), revenueE4: tally(), nothing: 0, best: 0 }
  const reach = { paid: 0, of: 0 }
  for (const at of places) {
    const [v, u, r] = [views[at] as number, units[at] as number, revenueE4[at] as number]
    const who = (creator.codes[at] as number) + 1
    met[who] = 1
    if (isLive[at] === 1) sums.lives++
    else sums.clips++
    add(sums.views, v)
    add(sums.units, u)
    add(sums.revenueE4, r)
    if (u === 0) sums.nothing++
    if (u > sums.best) sums.best = u
    if (u > 0) sold[who] = (sold[who] as number) + u
    if (v > 0 && !Number.isNaN(r)) {
      seen[who] = (seen[who] as number) + v
      taken[who] = (taken[who] as number) + r
    }
    if (paid[at] !== -1) {
      reach.of++
      reach.paid += paid[at] as number
    }
  }
  const share = (part: number) => (sums.units.sum > 0 ? part / sums.units.sum : null)
  return {
    clips: sums.clips,
    lives: sums.lives,
    creators: met.reduce((n, m) => n + m, 0),
    views: known(sums.views),
    units: known(sums.units),
    revenueE4: known(sums.revenueE4),
    perThousandE4: perThousand(seen, taken),
    nothingRatio: sums.units.of === 0 ? null : sums.nothing / sums.units.of,
    bestClipRatio: share(sums.best),
    bestCreatorRatio: share(sold.reduce((a, b) => Math.max(a, b), 0)),
    paidRatio: reach.of === 0 ? null : reach.paid / reach.of,
  }
}

/** A sum over what is known, and of how many. */
interface Tally {
  sum: number
  of: number
}

const tally = (): Tally => ({ sum: 0, of: 0 })
const known = ({ sum, of }: Tally) => (of === 0 ? null : sum)
function add(to: Tally, value: number): void {
  if (Number.isNaN(value)) return
  to.sum += value
  to.of++
}

/** fewer creators say nothing of how they spread */
const leastCreators = 5

/**
 * Sales by views as a ratio of sums, its variance linearised over creators, who are the units that differ (Cochran 1977, Sampling Techniques, 6.3;
 * as R's `survey::svyratio` with creators as clusters).
 */
function perThousand(seen: Float64Array, taken: Float64Array): ClipSums['perThousandE4'] {
  const all = [...seen.keys()].filter((who) => (seen[who] as number) > 0)
  if (all.length < leastCreators) return null
  const views = seen.reduce((a, b) => a + b, 0)
  const ratio = taken.reduce((a, b) => a + b, 0) / views
  const squares = all.reduce((sum, who) => sum + ((taken[who] as number) - ratio * (seen[who] as number)) ** 2, 0)
  const error = Math.sqrt((all.length / (all.length - 1)) * squares) / views
  const wide = tQuantile(0.975, all.length - 1) * error
  return { value: 1000 * ratio, low: Math.max(0, 1000 * (ratio - wide)), high: 1000 * (ratio + wide) }
}
