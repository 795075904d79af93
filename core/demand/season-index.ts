import { calendarDay } from '../identity'
import type { UnitSeries } from './series'

/** How much more or less than over the year is bought in each month from January; the mean of all is 1. */
export type SeasonIndex = Float64Array

/** The index on a day: straight between the middles of months, so that a month's end is no step. */
export function indexOn(index: SeasonIndex, day: number): number {
  const { month, of: ofMonth } = calendarDay(day)
  const at = (month % 12) + (ofMonth - 15.5) / 30.5
  const before = Math.floor(at)
  const share = at - before
  const value = (m: number) => index[((m % 12) + 12) % 12] as number
  return value(before) * (1 - share) + value(before + 1) * share
}

/** A series with a known season taken out: units as they would be in a month like any other. */
export function withoutSeason(series: UnitSeries, index: SeasonIndex): UnitSeries {
  const middle = (series.stepDays - 1) / 2
  const values = series.values.map(
    (v, i) => v / indexOn(index, Math.round(series.start + i * series.stepDays + middle)),
  )
  return { ...series, values }
}
