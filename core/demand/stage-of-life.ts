import { clumpOf } from './clumps'
import { allWeeks, changeOf } from './course'
import type { Growth } from './growth'
import { scatteredOver } from './own-scatter'
import { indexOn, withoutSeason, type SeasonIndex } from './season-index'
import { isSeason, seasonOf } from './season'
import { sameListings, togetherOf } from './same-listings'
import { addSeries, lastDayOf, sumWindow, type UnitSeries } from './series'
import { stageRules, type StageRules } from './stage-rules'
import { judgeStage, type Stage } from './judge-stage'
import { trendOf } from './trend'

export interface StageOfLife {
  stage: Stage
  /** % a week, by Theil–Sen on weekly means of log(1 + units a day) over half a year, or what is known of it; without the season
   * where one is known */
  slopePerWeek: number | null
  /** Mann–Kendall on the same, its variance as large as the pull of one week on the next makes it */
  p: number | null
  /** last 28 days against the 28 before, as sold */
  growth: number | null
  growthLow: number | null
  growthHigh: number | null
  /** the same with the category's season taken out; null where none is known */
  growthSeasonless: number | null
  /** last 90 days against the 90 before, and the same of 180, as sold; null where no listing knows both */
  growth90: number | null
  growth180: number | null
  /** units of those two windows, of the listings that know both; null where none does */
  units28: number | null
  units28Before: number | null
  /** how many listings that are, of how many with figures */
  compared: number
  listings: number
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
 * @param sales of each listing of the item; null without any
 * @param season of the category, by what is searched for in it
 */
export function stageOfLife(
  sales: readonly UnitSeries[],
  { rules = stageRules, season = null }: { rules?: StageRules; season?: SeasonIndex | null } = {},
): StageOfLife | null {
  const [series, plain] = [togetherOf(sales), addSeries(sales)]
  if (!series || !plain) return null
  const end = lastDayOf(series)
  const observedDays = stepsKnown(plain.values) * plain.stepDays
  const judged = season ? withoutSeason(series, season) : series
  const scattered = scatteredOver(judged, trendWeeks)
  const own = allWeeks(series)
  const yearly = seasonOf(series)
  const trend = trendOf((season ? allWeeks(judged) : own).slice(-trendWeeks), scattered.scatter)
  const pair = sameListings(sales, 28, end)
  const growth = pair.listings === 0 ? unknownGrowth : scattered.growth(pair.later, pair.earlier)
  const seasonless = season && withoutDrift(growth, indexOn(season, end - 14) / indexOn(season, end - 42))
  const facts = {
    slopePerWeek: trend.slope === null ? null : Math.expm1(trend.slope),
    p: trend.p,
    growth: growth.ratio,
    growthLow: growth.low,
    growthHigh: growth.high,
    growthSeasonless: seasonless?.ratio ?? null,
    growth90: plainGrowth(sales, 90, end),
    growth180: plainGrowth(sales, 180, end),
    units28: pair.listings === 0 ? null : pair.later,
    units28Before: pair.listings === 0 ? null : pair.earlier,
    compared: pair.listings,
    listings: sales.length,
    seasonStrength: yearly?.strength ?? null,
    levelChange: levelChangeOf(series, own),
    observedDays,
    units90: sumWindow(plain, end, 90).units,
  }
  const judgedBy = {
    growth: seasonless ?? growth,
    level: scattered.level(rules),
    isScatterKnown: scattered.isKnown,
    clump: clumpOf(plain),
    isSeasonal: yearly !== null && isSeason(yearly, rules.seasonStrength),
  }
  return { stage: judgeStage({ series, rules, end }, facts, judgedBy), ...facts }
}

function levelChangeOf(series: UnitSeries, weeks: readonly number[]): number | null {
  const change = changeOf(series, weeks)
  return change === null || change.before === 0 ? null : change.after / change.before - 1
}

/** A window against the one before it, of the listings that know both. */
function plainGrowth(sales: readonly UnitSeries[], days: number, end: number): number | null {
  const { later, earlier } = sameListings(sales, days, end)
  return earlier === 0 ? null : later / earlier - 1
}

const unknownGrowth: Growth = { ratio: null, low: null, high: null }

/** Growth where the later window is usually so many times the earlier: as a longer exposure, it scales ratio and interval alike. */
function withoutDrift({ ratio, low, high }: Growth, usual: number): Growth {
  const scaled = (v: number | null) => (v === null ? null : (1 + v) / usual - 1)
  return { ratio: scaled(ratio), low: scaled(low), high: scaled(high) }
}

function stepsKnown(values: Float64Array): number {
  let known = 0
  for (const v of values) if (v === v) known++
  return known
}
