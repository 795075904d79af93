import { sumWindow, type UnitSeries } from './series'
import type { StageRules } from './stage-rules'

/**
 * Half of 90 days in one fortnight, the last fortnight at a quarter of its rate or less, and none like it before those 90 days: what comes
 * again, as promotions do, is no flash.
 */
export function isFlash(series: UnitSeries, rules: StageRules, end: number, units90: number): boolean {
  const from = Math.max(0, series.values.length - Math.ceil(90 / series.stepDays))
  const peak = bestFortnight(series, from, series.values.length)
  if (peak < rules.flashShare * units90 || sumWindow(series, end, 14).units > rules.flashRest * peak) return false
  return bestFortnight(series, 0, from) < rules.flashAlike * peak
}

/** Units of the best fortnight between two steps. */
function bestFortnight({ values, stepDays }: UnitSeries, from: number, to: number): number {
  const window = 14 / stepDays
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
