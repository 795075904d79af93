import { weekday } from '../identity'
import { poissonGrowth } from './growth'
import { falseDiscovery, poissonP } from './poisson-test'
import type { UnitSeries } from './series'

/** How a part of the days sells beside the others. */
export interface Pull {
  /** units a day in this part / in the others, less 1 */
  lift: number
  /** exact 95 % interval, of a lift only; null else, and where it is open */
  low: number | null
  high: number | null
  /** the false discovery rate over all parts is controlled at 5 %, and the interval leaves zero out */
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
export function pullsOf(
  { start, stepDays, values }: UnitSeries,
  parts: number,
  partOf: (day: number) => number,
): Pull[] | null {
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
  const rates = Array.from(units, (sold, d) => ({
    sold: Math.round(sold),
    rest: Math.round(allUnits - sold),
    exposure: (days[d] as number) / (allDays - (days[d] as number)),
  }))
  const adjusted = falseDiscovery(rates.map((r) => poissonP(r.sold, r.rest, r.exposure)))
  return rates.map(({ sold, rest, exposure }, d) => {
    const lift = rest === 0 ? Infinity : sold / rest / exposure - 1
    // The interval costs far more than the test: it is worked out where it will be told.
    if ((adjusted[d] as number) > 0.05) return { lift, low: null, high: null, isLift: false }
    const { low, high } = poissonGrowth(sold, rest, exposure)
    return { lift, low, high, isLift: (low ?? -1) > 0 || (high !== null && high < 0) }
  })
}

function sum(values: Float64Array): number {
  return values.reduce((a, b) => a + b, 0)
}
