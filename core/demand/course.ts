import { pettitt, pettittP } from './pettitt'
import { scatterOf } from './scatter'
import { seasonOf, type Season } from './season'
import { addSeries, lastDayOf, sumWindow, weeklyLogMeans, type UnitSeries } from './series'
import { monthPartPull } from './month-days'
import { sumFactor } from './serial-dependence'
import { togetherOf } from './same-listings'
import { weeksOf } from './weeks'
import { weekdayPull, type Pull, type WeekdayPull } from './weekdays'

/** How an item's sales run, beyond its stage of life. A part is null where the figures are too few to tell. */
export interface Course {
  season: Season | null
  change: Change | null
  weekdays: WeekdayPull[] | null
  /** first, middle and last third of the month */
  monthParts: Pull[] | null
  /** days from the first to the last of the daily figures that weekdays are judged by; 0 where there are none */
  dailyDays: number
}

/** The day at which the level of sales changed most. */
export interface Change {
  /** first day of the week from which on it was different */
  day: number
  /** units a day before it and from it on */
  before: number
  after: number
  /** Pettitt's test on weekly means of log(1 + units a day), its variance as large as the pull of one week on the next makes it */
  p: number
}

const [leastWeeks, level] = [8, 0.05]

/**
 * Season, change of level and weekdays of sales that several listings have. Weekdays are judged by those listings alone whose
 * figures come by day.
 */
export function courseOf(list: readonly UnitSeries[]): Course | null {
  const all = togetherOf(list)
  if (!all) return null
  const daily = addSeries(list.filter((s) => s.stepDays === 1))
  return {
    season: seasonOf(all),
    change: changeOf(all),
    weekdays: daily && weekdayPull(daily),
    monthParts: daily && monthPartPull(daily),
    dailyDays: daily?.values.length ?? 0,
  }
}

/** Weekly means of log(1 + units a day) over the whole of a series, newest last. */
export function allWeeks(series: UnitSeries): number[] {
  return weeklyLogMeans(series, series.values.length * series.stepDays)
}

/**
 * The change of level where there is one at the 5 % level; null too with fewer than eight weeks that have a figure.
 *
 * @param weeks all of the series' weekly means, where they are at hand
 */
export function changeOf(series: UnitSeries, weeks: readonly number[] = allWeeks(series)): Change | null {
  const end = lastDayOf(series)
  let known = 0
  for (const week of weeks) if (!Number.isNaN(week)) known++
  if (known < leastWeeks) return null
  const found = pettitt(weeks)
  if (!found || found.p >= level) return null
  const scatter = scatterOf(weeksOf(series), found.next)
  const p = pettittP(found.k, found.n, scatter ? sumFactor(scatter, found.n) : 1)
  if (p >= level) return null
  const day = end - (weeks.length - found.next) * 7 + 1
  const [after, before] = [sumWindow(series, end, end - day + 1), sumWindow(series, day - 1, found.next * 7)]
  return { day, p, before: before.units / before.known, after: after.units / after.known }
}
