import { isFlash } from './flash'
import type { Growth } from './growth'
import type { UnitSeries } from './series'
import type { StageRules } from './stage-rules'

export type Stage = 'Sprouting' | 'Ripening' | 'Ripe' | 'Fading' | 'Flash' | 'Seasonal' | 'Unclear'

/** What is known of a course that its stage is judged by. */
export interface Facts {
  slopePerWeek: number | null
  p: number | null
  observedDays: number
  units90: number
}

/** What a stage is judged by beside what is shown. */
export interface JudgedBy {
  /** without the season where one is known */
  growth: Growth
  /** the last four weeks against the half year before; null where that is not known */
  level: Growth | null
  isSeasonal: boolean
  isScatterKnown: boolean
  /** so many units tell no more than one, where orders are of several pieces; 1 where it is left out */
  clump?: number
}

export interface Judged {
  series: UnitSeries
  rules: StageRules
  end: number
}

/** The first rule that holds. */
export function judgeStage(
  { series, rules, end }: Judged,
  facts: Facts,
  { growth, level, isSeasonal, isScatterKnown, clump = 1 }: JudgedBy,
): Stage {
  const { p, slopePerWeek } = facts
  if (facts.observedDays < rules.minDays || facts.units90 < rules.minUnits * clump) return 'Unclear'
  if (facts.units90 >= rules.flashUnits && isFlash(series, rules, end, facts.units90)) return 'Flash'
  if (isSeasonal) return 'Seasonal'
  const trends = (way: 1 | -1) => isTrend(way, facts, growth, rules)
  const up = moves(1, growth, level, rules)
  // what is young has no growth yet: its trend is enough
  const isYoung = end - firstSale(series) < rules.youngDays
  if (isYoung && (up || (isLikely(p, rules.p) && (slopePerWeek ?? 0) > 0))) return 'Sprouting'
  if (up || trends(1)) return 'Ripening'
  if (moves(-1, growth, level, rules) || trends(-1)) return 'Fading'
  // where swings are not known nothing is known to be steady
  return isScatterKnown && isSteady(growth, level, isLikely(p, rules.p), rules) ? 'Ripe' : 'Unclear'
}

/** Do the last four weeks surely lie above (1) or below (−1) the half year before, and not against the four weeks before? */
function moves(way: 1 | -1, growth: Growth, level: Growth | null, rules: StageRules): boolean {
  const { low, high } = level ?? growth
  const isSure = way === 1 ? low !== null && low > 0 : high !== null && high < 0
  return isSure && isMove(way, growth.ratio, rules)
}

/** Is it a change of at least the share that counts as one, this way? */
const isMove = (way: 1 | -1, ratio: number | null, rules: StageRules) => ratio !== null && ratio * way >= rules.growth

const isLikely = (p: number | null, bound: number) => p !== null && p < bound

/** A trend counts where the last weeks bear it out; a very sure one, where they do not surely say otherwise. */
function isTrend(
  way: 1 | -1,
  { p, slopePerWeek }: Pick<Facts, 'p' | 'slopePerWeek'>,
  { ratio, low, high }: Growth,
  rules: StageRules,
): boolean {
  if (!isLikely(p, rules.p) || Math.sign(slopePerWeek ?? 0) !== way) return false
  return isMove(way, ratio, rules) || (isLikely(p, rules.surely) && isMove(way, way === 1 ? high : low, rules))
}

/** Nothing surely moved, and the interval is narrow enough to say so. */
function isSteady({ low, high }: Growth, level: Growth | null, trending: boolean, rules: StageRules): boolean {
  if (trending || low === null || high === null || low > 0 || high < 0) return false
  if (level && ((level.low ?? 0) > 0 || (level.high !== null && level.high < 0))) return false
  return 1 + high <= rules.steadyWithin * (1 + low)
}

function firstSale(series: UnitSeries): number {
  const at = series.values.findIndex((v) => v > 0)
  return at < 0 ? series.start : series.start + at * series.stepDays
}
