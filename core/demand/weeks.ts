import type { UnitSeries } from './series'

/**
 * Whole weeks of a series, the last one ending with its last day. Shape: one entry a week, newest last. Plain lists: a typed array of so few
 * costs ten times as much to make, and many are made for each item.
 */
export interface Weeks {
  units: number[]
  /** days of the week that have a figure, 0–7 */
  days: number[]
}

/** @param most weeks that are looked at, from the last one back */
export function weeksOf({ values, stepDays }: UnitSeries, most = Infinity): Weeks {
  const steps = 7 / stepDays
  const count = Math.min(most, Math.floor(values.length / steps))
  const [units, days]: [number[], number[]] = [[], []]
  for (let w = 0; w < count; w++) {
    const to = values.length - (count - 1 - w) * steps
    let [sold, known] = [0, 0]
    for (let i = to - steps; i < to; i++) {
      const v = values[i] as number
      if (v !== v) continue
      sold += v
      known += stepDays
    }
    units.push(sold)
    days.push(known)
  }
  return { units, days }
}
