import type { UnitSeries } from './series'

/** Whole weeks of a series, the last one ending with its last day. Shape: one entry a week, newest last. */
export interface Weeks {
  units: Float64Array
  /** days of the week that have a figure, 0–7 */
  days: Float64Array
}

/** @param most weeks that are looked at, from the last one back */
export function weeksOf({ values, stepDays }: UnitSeries, most = Infinity): Weeks {
  const steps = 7 / stepDays
  const count = Math.min(most, Math.floor(values.length / steps))
  const [units, days] = [new Float64Array(count), new Float64Array(count)]
  for (let w = 0; w < count; w++) {
    const to = values.length - (count - 1 - w) * steps
    for (let i = to - steps; i < to; i++) {
      const v = values[i] as number
      if (v !== v) continue
      units[w]! += v
      days[w]! += stepDays
    }
  }
  return { units, days }
}
