import { poissonGrowth } from './growth'
import { mannKendall } from './mann-kendall'
import { seasonOf } from './season'
import { lastDayOf, sumWindow, weeklyLogMeans, type UnitSeries } from './series'
import { theilSenSlope } from './theil-sen'

export type Stage = 'Sprouting' | 'Ripening' | 'Ripe' | 'Fading' | 'Flash' | 'Seasonal' | 'Unclear'

/** Thresholds of the stages; rules the user can change. */
export interface StageRules {
  minDays: number
  minUnits: number
  flashShare: number
  flashRest: number
  seasonStrength: number
  youngDays: number
  growth: number
  fade: number
  p: number
}

export const stageRules: StageRules = {
  minDays: 21,
  minUnits: 10,
  flashShare: 0.5,
  flashRest: 0.25,
  seasonStrength: 0.64,
  youngDays: 60,
  growth: 0.1,
  fade: -0.25,
  p: 0.05,
}

export interface StageOfLife {
  stage: Stage
  /** % a week, by Theil–Sen on weekly means of log(1 + units a day) over 90 days */
  slopePerWeek: number | null
  /** Mann–Kendall on the same */
  p: number | null
  /** last 28 days against the 28 before */
  growth: number | null
  growthLow: number | null
  growthHigh: number | null
  /** units of those two windows; null where too few days of either are known */
  units28: number | null
  units28Before: number | null
  /** F_S over two years or more; null where less is known */
  seasonStrength: number | null
  observedDays: number
  units90: number
}

/**
 * Which part of its life an item is in; the first rule that holds (method: Demand over time). With less than two years of
 * figures never 'Seasonal'.
 */
export function stageOfLife(series: UnitSeries, rules: StageRules = stageRules): StageOfLife {
  const seasonStrength = seasonOf(series)?.strength ?? null
  const end = lastDayOf(series)
  const observedDays = series.values.reduce((n, v) => n + (Number.isNaN(v) ? 0 : series.stepDays), 0)
  const ninety = sumWindow(series, end, 90)
  const weeks = weeklyLogMeans(series, Math.min(91, series.values.length * series.stepDays))
  const kendall = mannKendall(weeks)
  const slope = theilSenSlope(weeks)
  const later = sumWindow(series, end, 28)
  const earlier = sumWindow(series, end - 28, 28)
  const enough = later.known >= 14 && earlier.known >= 14
  const growth = enough
    ? poissonGrowth(Math.round(later.units), Math.round(earlier.units), later.known / earlier.known)
    : { ratio: null, low: null, high: null }
  const facts = {
    slopePerWeek: slope === null ? null : Math.expm1(slope),
    p: kendall?.p ?? null,
    growth: growth.ratio,
    growthLow: growth.low,
    growthHigh: growth.high,
    units28: enough ? later.units : null,
    units28Before: enough ? earlier.units : null,
    seasonStrength,
    observedDays,
    units90: ninety.units,
  }
  return { stage: decide(series, rules, facts, end), ...facts }
}

function decide(series: UnitSeries, rules: StageRules, facts: Omit<StageOfLife, 'stage'>, end: number): Stage {
  const { p, growth, growthLow, growthHigh, slopePerWeek, seasonStrength } = facts
  if (facts.observedDays < rules.minDays || facts.units90 < rules.minUnits) return 'Unclear'
  if (isFlash(series, rules, end, facts.units90)) return 'Flash'
  if (seasonStrength !== null && seasonStrength >= rules.seasonStrength) return 'Seasonal'
  const rising = (p !== null && p < rules.p && (slopePerWeek ?? 0) > 0) || (growthLow !== null && growthLow > 0)
  if (end - firstSale(series) < rules.youngDays && rising) return 'Sprouting'
  const trending = p !== null && p < rules.p
  if (trending && (slopePerWeek ?? 0) > 0 && growth !== null && growth >= rules.growth) return 'Ripening'
  if (trending && (slopePerWeek ?? 0) < 0) return 'Fading'
  if (growth !== null && growth <= rules.fade && growthHigh !== null && growthHigh < 0) return 'Fading'
  return 'Ripe'
}

/** Half of 90 days in one fortnight, and the last fortnight at a quarter of its rate or less. */
function isFlash(series: UnitSeries, rules: StageRules, end: number, units90: number): boolean {
  const { values, stepDays } = series
  const [window, span] = [14 / stepDays, Math.ceil(90 / stepDays)]
  let sum = 0
  let peak = 0
  for (let i = Math.max(0, values.length - span); i < values.length; i++) {
    sum += known(values[i])
    const leaving = i - window
    if (leaving >= Math.max(0, values.length - span)) sum -= known(values[leaving])
    peak = Math.max(peak, sum)
  }
  const last = sumWindow(series, end, 14).units
  return peak >= rules.flashShare * units90 && last <= rules.flashRest * peak
}

function known(value: number | undefined): number {
  return value === undefined || Number.isNaN(value) ? 0 : value
}

function firstSale(series: UnitSeries): number {
  const at = series.values.findIndex((v) => v > 0)
  return at < 0 ? series.start : series.start + at * series.stepDays
}
