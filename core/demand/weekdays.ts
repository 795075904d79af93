import { weekday } from '../identity'
import { poissonGrowth } from './growth'
import { falseDiscovery, poissonP } from './poisson-test'
import type { UnitSeries } from './series'

/** How a part of the days sells beside the others. */
export interface Pull {
  /** units a day in this part / in the others, less 1 */
  lift: number
  low: number
  high: number | null
  /** the interval leaves zero out, and so does a control of the false discovery rate over all parts */
  isLift: boolean
}

export interface WeekdayPull extends Pull {
  /** 0 is Monday */
  weekday: number
}

const [leastDays, leastUnits] = [56, 70]

/**
 * How much more or less is sold on each weekday than on the others, with the exact 95 % interval of two Poisson rates; null
 * without daily figures of eight weeks and 70 units, as chance would pass for a pattern. Days without a figure do not count.
 */
export function weekdayPull(series: UnitSeries): WeekdayPull[] | null {
  return pullsOf(series, 7, weekday)?.map((pull, d) => ({ weekday: d, ...pull })) ?? null
}

/** The same for any division of days into parts. */
export function pullsOf({ start, stepDays, values }: UnitSeries, parts: number, partOf: (day: number) => number): Pull[] | null {
  if (stepDays !== 1) return null
  const [units, days] = [new Float64Array(parts), new Float64Array(parts)]
  values.forEach((value, i) => {
    if (Number.isNaN(value)) return
    const d = partOf(start + i)
    units[d] = (units[d] as number) + value
    days[d] = (days[d] as number) + 1
  })
  const [allUnits, allDays] = [sum(units), sum(days)]
  if (allDays < leastDays || allUnits < leastUnits || days.some((d) => d === 0)) return null
  const tests = Array.from(units, (sold, d) => {
    const [rest, exposure] = [Math.round(allUnits - sold), (days[d] as number) / (allDays - (days[d] as number))]
    return { ...poissonGrowth(Math.round(sold), rest, exposure), p: poissonP(Math.round(sold), rest, exposure) }
  })
  const adjusted = falseDiscovery(tests.map((t) => t.p))
  return tests.map(({ ratio, low, high }, d) => ({
    lift: ratio ?? Infinity,
    low: low ?? -1,
    high,
    isLift: (adjusted[d] as number) <= 0.05 && ((low ?? -1) > 0 || (high !== null && high < 0)),
  }))
} // prettier-ignore

function sum(values: Float64Array): number {
  return values.reduce((a, b) => a + b, 0)
}
