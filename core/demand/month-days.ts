import { calendarDay, monthOf } from '../identity'
import type { UnitSeries } from './series'
import { pullsOf, type Pull } from './weekdays'

/** Days 1 to 10, 11 to 20, and 21 to the end: single days of the month have too few figures to be told apart. */
export function monthPartPull(series: UnitSeries): Pull[] | null {
  return pullsOf(series, 3, (day) => Math.min(2, Math.floor((calendarDay(day).of - 1) / 10)), monthOf)
}
