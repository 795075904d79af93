import { scatteredGrowth, type Growth } from './growth'
import { contrastVariance, scatterOf, usualScatter } from './scatter'
import type { UnitSeries } from './series'
import type { StageRules } from './stage-rules'
import { weeksOf } from './weeks'

/** How a series' own scatter widens what two windows of it say. @param most weeks that it is learned from, from the last one back */
export function scatteredOver(series: UnitSeries, most: number) {
  const weeks = weeksOf(series, most)
  const known = scatterOf(weeks)
  const scatter = known ?? usualScatter
  const over = (later: number, earlier: number, times = 1) => times * contrastVariance(scatter, later, earlier)
  const { freedom } = scatter
  return {
    scatter,
    isKnown: known !== null,
    /** four weeks against the four before */
    growth: (later: number, earlier: number) => scatteredGrowth(later, earlier, 1, over(4, 4), freedom),
    /** the last four weeks against all before them, of half a year; null where those are not more than four */
    level(rules: StageRules): Growth | null {
      const before = weeks.units.length - 4
      if (before <= 4) return null
      const [days, daysBefore] = [sumOf(weeks.days, before), sumOf(weeks.days, 0, before)]
      if (days === 0 || daysBefore === 0) return null
      const [later, earlier] = [sumOf(weeks.units, before), sumOf(weeks.units, 0, before)].map(Math.round) as [
        number,
        number,
      ]
      const against = (times: number) =>
        scatteredGrowth(later, earlier, days / daysBefore, over(4, before, times), freedom)
      return { ...against(rules.riseScatter), high: against(rules.fallScatter).high }
    },
  }
}

function sumOf(values: readonly number[], from: number, to = values.length): number {
  let sum = 0
  for (let i = from; i < to; i++) sum += values[i] as number
  return sum
}
