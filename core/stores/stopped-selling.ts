import { seriesAt, type Catalog } from '../catalog'
import { falseDiscovery, lastDayOf, sumWindow, type UnitSeries } from '../demand'
import type { StoreListing } from './store-listing'

/** A listing that sold, and then did not. */
export interface Stopped {
  listing: StoreListing
  /** units that the days before let one expect of the last 30 */
  expected: number
  /** chance that none are sold in them though nothing changed */
  p: number
  /** last day on which it sold */
  lastSold: number
}

/** days in which nothing sold, and most days before them that say how it used to sell */
const [quietDays, beforeDays] = [30, 150]
/** days before that must be known, and share of the stopped that may be chance */
const [leastKnown, rate] = [28, 0.05]

/**
 * Listings that sold before and not once in the last 30 days, where that is more than chance: given all that was sold in both windows, the
 * chance that all of it falls into the first, by the exact conditional test of two Poisson rates. Sales come in clusters: counts are first
 * divided by how far the weeks scatter beyond Poisson (quasi-Poisson: McCullagh & Nelder 1989). Of many listings some fall silent by
 * chance, so the false discovery rate is held at 5 % (Benjamini & Hochberg 1995). Most expected first.
 */
export function stoppedSelling(
  catalog: Catalog,
  listings: readonly StoreListing[],
): { stopped: Stopped[]; judged: number } {
  const judged = listings.flatMap((listing) => {
    const series = seriesAt(catalog.sales, listing.row)
    const found = series && quietnessOf(series, listing.end)
    return found ? [{ listing, ...found }] : []
  })
  // those that sold are tests as well: of them the chance is no less than one half
  const chances = falseDiscovery(judged.map((j) => (j.last === 0 ? j.p : 1)))
  const clear = judged.filter((j, i) => j.last === 0 && (chances[i] as number) <= rate)
  const stopped = clear
    .map(({ listing, expected, p, lastSold }) => ({ listing, expected, p, lastSold }))
    .sort((a, b) => b.expected - a.expected)
  return { stopped, judged: judged.length }
}

/** How a listing sold before the last 30 days and in them; null where too little is known of either. */
export function quietnessOf(
  series: UnitSeries,
  end: number,
): { expected: number; last: number; p: number; lastSold: number } | null {
  const [last, before] = [sumWindow(series, end, quietDays), sumWindow(series, end - quietDays, beforeDays)]
  if (last.known < quietDays * 0.9 || before.known < leastKnown || before.units <= 0) return null
  const expected = (before.units / before.known) * last.known
  const share = before.known / (before.known + last.known)
  const clusters = Math.max(1, scatterOf(series, end - quietDays))
  return { expected, last: last.units, p: share ** (before.units / clusters), lastSold: lastSoldOn(series, end) }
}

/** Variance over mean of its weeks up to a day, of those that are known; 1 is Poisson, and of fewer than four weeks nothing else is known. */
function scatterOf(series: UnitSeries, end: number): number {
  const weeks: number[] = []
  for (let w = 0; w < Math.floor(beforeDays / 7); w++) {
    const week = sumWindow(series, end - 7 * w, 7)
    if (week.known === 7) weeks.push(week.units)
  }
  if (weeks.length < 4) return 1
  const mean = weeks.reduce((a, b) => a + b, 0) / weeks.length
  if (mean === 0) return 1
  return weeks.reduce((sum, u) => sum + (u - mean) ** 2, 0) / (weeks.length - 1) / mean
}

function lastSoldOn({ start, stepDays, values }: UnitSeries, end: number): number {
  const last = Math.min(end, lastDayOf({ start, stepDays, values }))
  for (let i = Math.floor((last - start) / stepDays); i >= 0; i--)
    if ((values[i] as number) > 0) return Math.min(last, start + (i + 1) * stepDays - 1)
  return start
}
