import { sumWindow, type UnitSeries } from './series'
import type { StageRules } from './stage-rules'

const fortnight = 14
/** days of which a flash is told */
const span = 90

/**
 * Half of 90 days in one fortnight (of fewer that are known, as much more in it than in the rest), the last fortnight at a quarter of its rate or less, and none like it before those 90 days: what comes
 * again, as promotions do, is no flash.
 */
export function isFlash(series: UnitSeries, rules: StageRules, end: number, units90: number): boolean {
  const from = Math.max(0, series.values.length - Math.ceil(span / series.stepDays))
  const days = Math.min(span, (series.values.length - from) * series.stepDays)
  const peak = bestFortnight(series, from, series.values.length)
  if (
    peak < shareOf(days, rules.flashShare) * units90 ||
    sumWindow(series, end, fortnight).units > rules.flashRest * peak
  )
    return false
  return bestFortnight(series, 0, from) < rules.flashAlike * peak
}

/** Share of the units of so many days that a fortnight has which sells as many times as much as the rest as in one of 90 days. */
function shareOf(days: number, flashShare: number): number {
  const times = (flashShare / fortnight / (1 - flashShare)) * (span - fortnight)
  return (times * fortnight) / (days - fortnight + times * fortnight)
}

/** Units of the best fortnight between two steps. */
function bestFortnight({ values, stepDays }: UnitSeries, from: number, to: number): number {
  const window = fortnight / stepDays
  let [sum, best] = [0, 0]
  for (let i = from; i < to; i++) {
    sum += known(values[i])
    if (i - window >= from) sum -= known(values[i - window])
    best = Math.max(best, sum)
  }
  return best
}

function known(value: number | undefined): number {
  return value === undefined || Number.isNaN(value) ? 0 : value
}
