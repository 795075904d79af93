import fc from 'fast-check'
import { scatterOf, usualScatter } from '.'
import { caution } from './scatter'

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
interface Week {
  units: number
  days: number
  at: number
}

/** What is expected of each week: one level before the cut and one from it on; null where nothing sold at that level. */
function bySteps(weeks: readonly Week[], cut: number): (number | null)[] {
  const level = (some: readonly Week[]) => {
    const units = sum(some.map((w) => w.units))
    return units > 0 ? units / sum(some.map((w) => w.days)) : null
  }
  const [before, after] = [level(weeks.filter((w) => w.at < cut)), level(weeks.filter((w) => w.at >= cut))]
  return weeks.map((w) => (w.at < cut ? before : after))
}

/** The same by a line through the weeks, each weighing as its days; nowhere lower than a tenth of the mean. */
function byLine(weeks: readonly Week[]): number[] {
  const days = sum(weeks.map((w) => w.days))
  const [mean, middle] = [sum(weeks.map((w) => w.units)) / days, sum(weeks.map((w) => w.days * w.at)) / days]
  const spread = sum(weeks.map((w) => w.days * (w.at - middle) ** 2))
  const slope = sum(weeks.map((w) => (w.at - middle) * (w.units - w.days * mean))) / spread
  return weeks.map((w) => Math.max(mean / 10, mean + slope * (w.at - middle)))
}

/** Shares by which weeks lie off what is expected, each weighing as much as that. */
function offOf(weeks: readonly Week[], means: readonly (number | null)[]) {
  const told = weeks.flatMap((w, i) => {
    const mean = means[i]
    return w.days === 0 || mean == null ? [] : [{ at: w.at, mean, days: w.days, off: w.units / w.days / mean - 1 }]
  })
  const all = sum(told.map((t) => t.mean))
  return {
    told,
    worth: all ** 2 / sum(told.map((t) => t.mean ** 2)),
    squares: sum(told.map((t) => t.mean * t.off ** 2)) / all,
    counting: sum(told.map((t) => 1 / t.days)) / all,
  }
}

/** The method in its own words (method: Demand over time), week by week. */
function byDefinition(all: readonly Omit<Week, 'at'>[], cut = Math.max(0, all.length - 4)) {
  const first = all.findIndex((w) => w.units > 0)
  if (first < 0) return null
  const weeks = all.map((w, at) => ({ ...w, at })).slice(first)
  const [steps, line] = [offOf(weeks, bySteps(weeks, Math.max(first, cut))), offOf(weeks, byLine(weeks))]
  const { told, worth, squares, counting } = line.squares < steps.squares ? line : steps
  const known = told.length
  if (known < 8) return null
  const freedom = Math.max(1, worth - 2)
  const whole = (squares * worth) / freedom
  const variance = Math.max(0, whole - counting)
  const pairs = told.flatMap((a) => told.filter((b) => b.at === a.at + 1).map((b) => [a, b] as const))
  const weights = pairs.map(([a, b]) => (a.mean + b.mean) / 2)
  const products = pairs.map(([a, b], i) => (weights[i] as number) * a.off * b.off)
  const raw = variance === 0 ? 0 : sum(products) / sum(weights) / variance
  // Kendall 1954: the correlation of neighbours in a short series comes out low by (1 + 4 r) / n
  const pullOwn = Math.min(0.9, Math.max(0, raw + (1 + 4 * raw) / known))
  const pull = (pullOwn * known + 0.6 * 8) / (known + 8)
  const lost = Math.min(0.5, ((1 + pull) / (1 - pull) - 1) / known)
  const own = variance / (1 - lost) + caution * whole * Math.sqrt(2 / freedom)
  const usual = Math.max(0, 12 - known) / (Math.max(0, 12 - known) + 3 * known)
  return { variance: (1 - usual) * own + usual * usualScatter.variance, counting, pull, freedom }
}

const week = fc.record({ units: fc.integer({ min: 0, max: 60 }), days: fc.constantFrom(7, 7, 7, 7, 5, 0) })
const weeks = fc
  .array(week, { minLength: 1, maxLength: 40 })
  .map((list) => list.map(({ units, days }) => ({ days, units: days === 0 ? 0 : units })))

test('scatter and pull are those of their definition, whatever the weeks', () => {
  fc.assert(
    fc.property(weeks, fc.option(fc.nat({ max: 30 })), fc.integer({ min: 1, max: 9 }), (list, cut, rise) => {
      // some courses rise, so that a line fits better than two levels
      const all = list.map((w, i) => ({ ...w, units: Math.round(w.units * (rise > 6 ? i * rise : 1)) }))
      const [units, days] = [all.map((w) => w.units), all.map((w) => w.days)]
      const at = cut === null ? undefined : Math.min(cut, all.length)
      const found = scatterOf({ units: units, days: days }, ...(at === undefined ? [] : ([at] as [number])))
      const wanted = byDefinition(all, at)
      if (wanted === null || found === null) return expect(found).toBe(wanted)
      for (const name of ['variance', 'counting', 'pull', 'freedom'] as const)
        expect([name, found[name]]).toEqual([name, expect.closeTo(wanted[name], 9)])
    }),
    { numRuns: 400 },
  )
})
