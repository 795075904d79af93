import cdf from '@stdlib/stats-base-dists-t-cdf'
import { chance } from '../../standins/random'
import { scatteredGrowth } from './growth'
import { falseDiscovery } from './false-discovery'
import { pullsOf, weekdayPull } from './weekdays'

const monday = 20_514 // 2 March 2026
const seriesOf = (values: ArrayLike<number>) => ({
  start: monday,
  stepDays: 1 as const,
  values: Float64Array.from(values),
})

/**
 * Pearson's chi-square of a table of weeks by weekdays, by its definition: Σ (o − e)² / e, e being row sum × column sum / all (Pearson 1900;
 * R: chisq.test(x)$statistic), over (weeks − 1)(7 − 1).
 */
function dispersionOf(weeks: readonly (readonly number[])[]): { dispersion: number; freedom: number } {
  const all = weeks.flat().reduce((a, b) => a + b, 0)
  const rows = weeks.map((w) => w.reduce((a, b) => a + b, 0))
  const columns = weeks[0]!.map((_, d) => weeks.reduce((sum, w) => sum + w[d]!, 0))
  const square = weeks.reduce(
    (sum, week, w) =>
      sum +
      week.reduce((s, o, d) => {
        const e = (rows[w]! * columns[d]!) / all
        return e === 0 ? s : s + (o - e) ** 2 / e
      }, 0),
    0,
  )
  const freedom = (weeks.length - 1) * 6
  return { dispersion: Math.max(1, square / freedom), freedom }
}

test.each([1, 2, 3, 4, 5])('weekdays are told by the scatter of their own table, by its definition (%d)', (seed) => {
  const random = chance(seed)
  // ever wilder weeks, and a Sunday that sells half as much again
  const weeks = Array.from({ length: 12 }, () => {
    const level = 4 * Math.exp(0.3 * random.normal())
    return Array.from({ length: 7 }, (_, d) =>
      random.poisson(level * (d === 6 ? 1.6 : 1) * Math.exp(0.15 * seed * random.normal())),
    )
  })
  const { dispersion, freedom } = dispersionOf(weeks)
  const sold = Array.from({ length: 7 }, (_, d) => weeks.reduce((sum, w) => sum + w[d]!, 0))
  const all = sold.reduce((a, b) => a + b, 0)
  const share = 1 / 7
  const variance = dispersion * all * share * (1 - share)
  const ps = falseDiscovery(sold.map((n) => 2 * cdf(-Math.abs(n - all * share) / Math.sqrt(variance), freedom)))
  const found = weekdayPull(seriesOf(weeks.flat()))!
  found.forEach((pull, d) => {
    expect(pull.weekday).toBe(d)
    expect(pull.lift).toBeCloseTo(sold[d]! / ((all - sold[d]!) / 6) - 1, 9)
    if (ps[d]! > 0.05) return expect(pull).toMatchObject({ low: null, high: null, isLift: false })
    // the variance beyond counting, as one of the logarithm of both rates' ratio
    const added =
      ((dispersion - 1) * (1 / sold[d]! + 1 / (all - sold[d]!)) * sold[d]! * (all - sold[d]!)) /
      (all ** 2 * share * (1 - share))
    expect(pull.low).toBeCloseTo(scatteredGrowth(sold[d]!, all - sold[d]!, 1 / 6, added, freedom).low!, 9)
    expect(pull.high).toBeCloseTo(scatteredGrowth(sold[d]!, all - sold[d]!, 1 / 6, added, freedom).high!, 9)
    expect(pull.isLift).toBe(pull.low! > 0 || pull.high! < 0)
  })
})

test('eight weeks and seventy units are enough, with every weekday among them; days without a figure do not count', () => {
  const told = (values: ArrayLike<number>) => weekdayPull(seriesOf(values)) !== null
  const even = (days: number, units: number) => Array.from({ length: days }, (_, i) => (i < units ? 1 : 0))
  expect([told(even(56, 56)), told(Array(56).fill(1.25)), told(Array(56).fill(1.24)), told(Array(55).fill(2))]).toEqual(
    [false, true, false, false],
  )
  const gap = Array.from({ length: 63 }, (_, i) => (i % 9 === 0 ? NaN : 2))
  expect(told(gap)).toBe(true)
  expect(told([...gap.slice(0, 62), NaN])).toBe(false)
  // no Monday is known at all
  expect(told(Array.from({ length: 84 }, (_, i) => (i % 7 === 0 ? NaN : 2)))).toBe(false)
})

test('a part in which all is sold is without bound, and one in which nothing is sold loses all', () => {
  const halves = pullsOf(
    seriesOf(Array.from({ length: 80 }, (_, i) => (i % 2 ? 4 : 0))),
    2,
    (day) => day % 2,
    (day) => Math.floor(day / 8),
  )!
  expect(halves.map((p) => p.lift).sort((a, b) => a - b)).toEqual([-1, Infinity])
  expect(halves.every((p) => p.isLift)).toBe(true)
})
