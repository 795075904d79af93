import { addSeries, lastDayOf, sumWindow, type UnitSeries } from './series'

/** rounds after which the fit of levels and listings has settled well within what counts can tell */
const mostRounds = 12

/**
 * The course of what several listings sell together, where each is known over days of its own. A step that some do not know is what those
 * that know it sell, times what all of them sell of the usual: a level for each step times a size for each listing, fitted to what is
 * known by iterative proportional fitting (Deming & Stephan 1940), which is the maximum likelihood of counts (Bishop, Fienberg & Holland
 * 1975). So a listing that comes or goes, or a file that is older, moves nothing.
 *
 * @returns null without any series; the plain sum where all know every step
 */
export function togetherOf(list: readonly UnitSeries[]): UnitSeries | null {
  const sum = addSeries(list)
  if (!sum || list.length === 1) return sum
  const even = list.map((s) => onStepsOf(sum, s))
  if (even.every((values) => !values.some((v) => v !== v))) return sum
  const sizes = new Float64Array(even.length).fill(1)
  const levels = new Float64Array(sum.values.length)
  for (let round = 0; round < mostRounds; round++) {
    fit(levels, even, sizes)
    sizes.forEach((_, i) => {
      const values = even[i] as Float64Array
      let [units, expected] = [0, 0]
      values.forEach((v, t) => {
        if (v === v) [units, expected] = [units + v, expected + (levels[t] as number)]
      })
      sizes[i] = expected === 0 ? 0 : units / expected
    })
  }
  fit(levels, even, sizes)
  const all = sizes.reduce((a, b) => a + b, 0)
  return { ...sum, values: levels.map((level) => level * all) }
}

/** The level of each step: what is sold of what is usual; NaN where nobody knows. */
function fit(levels: Float64Array, even: readonly Float64Array[], sizes: Float64Array): void {
  levels.forEach((_, t) => {
    let [units, usual] = [0, 0]
    even.forEach((values, i) => {
      const v = values[t] as number
      if (v === v) [units, usual] = [units + v, usual + (sizes[i] as number)]
    })
    levels[t] = usual === 0 ? NaN : units / usual
  })
}

/** The values of one series on the steps of their sum. */
function onStepsOf({ start, stepDays, values }: UnitSeries, series: UnitSeries): Float64Array {
  return Float64Array.from(values, (_, i) => {
    const { units, known } = sumWindow(series, start + (i + 1) * stepDays - 1, stepDays)
    return known === 0 ? NaN : (units * stepDays) / known
  })
}

/** Units of the same listings in two windows. */
export interface WindowPair {
  later: number
  earlier: number
  /** listings that know at least half of both windows */
  listings: number
}

/** Units in the last so many days and in as many before, of the listings that know both; scaled up to whole windows. */
export function sameListings(list: readonly UnitSeries[], days: number, end = lastDay(list)): WindowPair {
  const pair: WindowPair = { later: 0, earlier: 0, listings: 0 }
  for (const series of list) {
    const [later, earlier] = [sumWindow(series, end, days), sumWindow(series, end - days, days)]
    if (2 * later.known < days || 2 * earlier.known < days) continue
    pair.later += (later.units * days) / later.known
    pair.earlier += (earlier.units * days) / earlier.known
    pair.listings++
  }
  return pair
}

function lastDay(list: readonly UnitSeries[]): number {
  return Math.max(...list.map(lastDayOf))
}
