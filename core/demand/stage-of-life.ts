import { allWeeks, changeOf } from './course'
import { poissonGrowth, type Growth } from './growth'
import { mannKendall } from './mann-kendall'
import { indexOn, withoutSeason, type SeasonIndex } from './season-index'
import { seasonOf } from './season'
import { lastDayOf, sumWindow, type UnitSeries } from './series'
import { theilSenSlope } from './theil-sen'

export type Stage = 'Sprouting' | 'Ripening' | 'Ripe' | 'Fading' | 'Flash' | 'Seasonal' | 'Unclear'

/** Thresholds of the stages; rules the user can change. */
export interface StageRules {
  minDays: number
  minUnits: number
  /** units in 90 days below which a lump is chance, not a flash */
  flashUnits: number
  flashShare: number
  flashRest: number
  seasonStrength: number
  youngDays: number
  growth: number
  fade: number
  p: number
  /** a trend as sure as this counts unless the last weeks surely say otherwise */
  surely: number
  /** upper end / lower end of the growth's interval beyond which nothing is called Ripe: too little is known to say that it is steady */
  steadyWithin: number
}

export const stageRules: StageRules = {
  minDays: 21,
  minUnits: 10,
  flashUnits: 14,
  flashShare: 0.5,
  flashRest: 0.25,
  seasonStrength: 0.64,
  youngDays: 60,
  growth: 0.1,
  fade: -0.25,
  p: 0.05,
  surely: 0.01,
  steadyWithin: 9,
}

export interface StageOfLife {
  stage: Stage
  /** % a week, by Theil–Sen on weekly means of log(1 + units a day) over half a year, or what is known of it; without the season
   * where one is known */
  slopePerWeek: number | null
  /** Mann–Kendall on the same */
  p: number | null
  /** last 28 days against the 28 before, as sold */
  growth: number | null
  growthLow: number | null
  growthHigh: number | null
  /** the same with the category's season taken out; null where none is known */
  growthSeasonless: number | null
  /** units of those two windows; null where too few days of either are known */
  units28: number | null
  units28Before: number | null
  /** F_S over two years or more; null where less is known */
  seasonStrength: number | null
  /** units a day since the level changed / before, less 1; null where it did not */
  levelChange: number | null
  observedDays: number
  units90: number
}

/** weeks that a trend is judged by: half a year */
const trendWeeks = 26

/**
 * Which part of its life an item is in; the first rule that holds (method: Demand over time). With less than two years of
 * figures never 'Seasonal'; but where a season is known from elsewhere, trend and growth are judged without it.
 *
 * @param season of the category, by what is searched for in it
 */
export function stageOfLife(
  series: UnitSeries,
  {
    rules = stageRules,
    season = null,
    growthOf = poissonGrowth,
  }: { rules?: StageRules; season?: SeasonIndex | null; growthOf?: typeof poissonGrowth } = {},
): StageOfLife {
  const end = lastDayOf(series)
  const observedDays = stepsKnown(series.values) * series.stepDays
  const judged = season ? withoutSeason(series, season) : series
  const own = allWeeks(series)
  const weeks = (season ? allWeeks(judged) : own).subarray(-trendWeeks)
  const slope = theilSenSlope(weeks)
  const growth = recentGrowth(series, end, growthOf)
  const seasonless = season && withoutDrift(growth, indexOn(season, end - 14) / indexOn(season, end - 42))
  const facts = {
    slopePerWeek: slope === null ? null : Math.expm1(slope),
    p: mannKendall(weeks)?.p ?? null,
    growth: growth.ratio,
    growthLow: growth.low,
    growthHigh: growth.high,
    growthSeasonless: seasonless?.ratio ?? null,
    units28: growth.units,
    units28Before: growth.before,
    seasonStrength: seasonOf(series)?.strength ?? null,
    levelChange: levelChangeOf(series, own),
    observedDays,
    units90: sumWindow(series, end, 90).units,
  }
  return { stage: decide({ series, rules, end }, facts, seasonless ?? growth), ...facts }
}

function levelChangeOf(series: UnitSeries, weeks: Float64Array): number | null {
  const change = changeOf(series, weeks)
  return change === null || change.before === 0 ? null : change.after / change.before - 1
}

interface KnownGrowth extends Growth {
  units: number | null
  before: number | null
}

/** The last 28 days against the 28 before; unknown with fewer than 14 known days in either. */
function recentGrowth(series: UnitSeries, end: number, growthOf: typeof poissonGrowth): KnownGrowth {
  const [later, earlier] = [sumWindow(series, end, 28), sumWindow(series, end - 28, 28)]
  if (later.known < 14 || earlier.known < 14) return { ratio: null, low: null, high: null, units: null, before: null }
  const growth = growthOf(Math.round(later.units), Math.round(earlier.units), later.known / earlier.known)
  return { ...growth, units: later.units, before: earlier.units }
}

/** Growth where the later window is usually so many times the earlier: as a longer exposure, it scales ratio and interval alike. */
function withoutDrift({ ratio, low, high }: Growth, usual: number): Growth {
  const scaled = (v: number | null) => (v === null ? null : (1 + v) / usual - 1)
  return { ratio: scaled(ratio), low: scaled(low), high: scaled(high) }
}

interface Judged {
  series: UnitSeries
  rules: StageRules
  end: number
}

function decide(
  { series, rules, end }: Judged,
  facts: Omit<StageOfLife, 'stage'>,
  { ratio, low, high }: Growth,
): Stage {
  const { p, slopePerWeek, seasonStrength } = facts
  if (facts.observedDays < rules.minDays || facts.units90 < rules.minUnits) return 'Unclear'
  if (facts.units90 >= rules.flashUnits && isFlash(series, rules, end, facts.units90)) return 'Flash'
  if (seasonStrength !== null && seasonStrength >= rules.seasonStrength) return 'Seasonal'
  const trending = p !== null && p < rules.p
  const up = (slopePerWeek ?? 0) > 0
  const rising = (trending && up) || (low !== null && low > 0)
  if (end - firstSale(series) < rules.youngDays && rising) return 'Sprouting'
  // A trend counts where the last weeks bear it out; a very sure one, where they do not surely say otherwise.
  const sure = p !== null && p < rules.surely
  if (trending && up && ((ratio ?? -1) >= rules.growth || (sure && (high ?? 0) >= rules.growth))) return 'Ripening'
  const down = (slopePerWeek ?? 0) < 0
  if (trending && down && ((ratio ?? 1) <= -rules.growth || (sure && (low ?? 0) <= -rules.growth))) return 'Fading'
  if (ratio !== null && ratio <= rules.fade && high !== null && high < 0) return 'Fading'
  const steady = low !== null && high !== null && 1 + high <= rules.steadyWithin * (1 + low)
  return steady ? 'Ripe' : 'Unclear'
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

function stepsKnown(values: Float64Array): number {
  let n = 0
  for (let i = 0; i < values.length; i++) if (values[i] === values[i]) n++
  return n
}

function known(value: number | undefined): number {
  return value === undefined || Number.isNaN(value) ? 0 : value
}

function firstSale(series: UnitSeries): number {
  const at = series.values.findIndex((v) => v > 0)
  return at < 0 ? series.start : series.start + at * series.stepDays
}
