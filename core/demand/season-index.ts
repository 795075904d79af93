import { calendarDay } from '../identity'
import type { UnitSeries } from './series'

/** How much more or less than over the year is bought: by month from January (the mean of all is 1), and by day of the year. */
export interface SeasonIndex {
  months: Float64Array
  /** 366 days, straight between the middles of months, so that a month's end is no step */
  days: Float64Array
}

const monthStarts = [0, 31, 60, 91, 121, 152, 182, 213, 244, 274, 305, 335]

/** @param months twelve, from January; their mean is taken for 1 */
export function seasonIndex(months: ArrayLike<number>): SeasonIndex {
  const mean = Array.from(months).reduce((a, b) => a + b, 0) / 12
  const even = Float64Array.from(months, (v) => v / mean)
  const value = (month: number) => even[(month + 12) % 12] as number
  const days = Float64Array.from({ length: 366 }, (_, d) => {
    const month = monthStarts.findLastIndex((start) => start <= d)
    const at = month + (d - (monthStarts[month] as number) - 14.5) / 30.5
    const before = Math.floor(at)
    return value(before) * (before + 1 - at) + value(before + 1) * (at - before)
  })
  return { months: even, days }
}

/** The index on a day. */
export function indexOn({ days }: SeasonIndex, day: number): number {
  return days[dayOfYear(day)] as number
}

/** From 0; the 29th of February has a place in every year. */
function dayOfYear(day: number): number {
  const { month, of } = calendarDay(day)
  return (monthStarts[((month % 12) + 12) % 12] as number) + of - 1
}

/** A series with a known season taken out: units as they would be in a month like any other. */
export function withoutSeason({ start, stepDays, values }: UnitSeries, { days }: SeasonIndex): UnitSeries {
  const even = new Float64Array(values.length)
  let at = dayOfYear(start + (stepDays - 1) / 2)
  for (let i = 0; i < even.length; i++, at += stepDays) {
    // The leap day that is there or not shifts what comes after by one day in a year: looked up anew with every year.
    if (at >= 366) at = dayOfYear(start + i * stepDays + (stepDays - 1) / 2)
    even[i] = (values[i] as number) / (days[at] as number)
  }
  return { start, stepDays, values: even }
}
