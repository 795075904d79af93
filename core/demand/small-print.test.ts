import { chance } from '../../standins/random'
import { optionLifts } from './option-lift'
import { growthOfMany } from './growth'
import { mannKendall } from './mann-kendall'
import { middleOf } from './middle'
import { scatteredOver } from './own-scatter'
import { addSeries } from './series'
import { stageRules } from './stage-rules'
import { theilSenSlope } from './theil-sen'
import { weekdayPull } from './weekdays'

test('ties, gaps and many values: the slope is the median of all pairs, looked at one by one', () => {
  const random = chance(31)
  const plain = (values: readonly number[]) => {
    const slopes: number[] = []
    for (let i = 0; i < values.length; i++)
      for (let j = i + 1; j < values.length; j++) {
        const slope = ((values[j] as number) - (values[i] as number)) / (j - i)
        if (!Number.isNaN(slope)) slopes.push(slope)
      }
    slopes.sort((a, b) => a - b)
    const middle = slopes.length / 2
    return slopes.length % 2 === 1
      ? slopes[Math.floor(middle)]
      : ((slopes[middle - 1] as number) + (slopes[middle] as number)) / 2
  }
  for (let n = 0; n < 60; n++) {
    // few different counts, as sales have, some of them missing; with and without a slope
    const values = Array.from({ length: 60 + n }, (_, i) =>
      random.happens(0.15) ? NaN : random.poisson(0.4 + (n % 4) * 0.02 * i),
    )
    expect(theilSenSlope(values)).toBeCloseTo(plain(values) as number, 9)
  }
})

test('the middle of an odd number of values is one of them, of an even number the mean of two', () => {
  expect(middleOf([])).toBeNull()
  expect(middleOf([4])).toBe(4)
  expect(middleOf([9, 1, 4])).toBe(4)
  expect(middleOf([9, 1, 4, 2])).toBe(3)
  expect(middleOf(new Set([10, 2, 1, 3, 9, 4]))).toBe(3.5)
})

test('what never differs has no trend, however long', () => {
  expect(mannKendall([5, 5, 5, 5])).toEqual({ s: 0, variance: 0, z: 0, p: 1 })
  expect(mannKendall([1, 2])).toBeNull()
  // one pair of four turned: S = 4, its variance 26 / 3 (Kendall 1975)
  expect(mannKendall([1, 3, 2, 4])).toMatchObject({ s: 4, variance: expect.closeTo(26 / 3, 9) as number })
})

test('the level of the last four weeks is told against more than four before', () => {
  const weeks = (n: number) => ({ start: 20_000, stepDays: 1 as const, values: new Float64Array(7 * n).fill(3) })
  expect(scatteredOver(weeks(8), 26).level(stageRules)).toBeNull()
  expect(scatteredOver(weeks(9), 26).level(stageRules)?.ratio).toBeCloseTo(0, 9)
})

test('growth of many things together: nothing before, nothing now, and few of them', () => {
  const many = { later: 30, earlier: 20, laterSquared: 300, earlierSquared: 200, product: 240, of: 40 }
  expect(growthOfMany(many).low).not.toBeNull()
  expect(growthOfMany(many).ratio).toBeCloseTo(0.5, 9)
  expect(growthOfMany({ ...many, earlier: 0, earlierSquared: 0, product: 0 })).toEqual({
    ratio: null,
    low: null,
    high: null,
  })
  expect(growthOfMany({ ...many, later: 0, laterSquared: 0, product: 0 })).toEqual({ ratio: -1, low: null, high: null })
  // one sale is a growth with an interval, of however little
  expect(growthOfMany({ ...many, later: 1, laterSquared: 1, product: 1 }).low).not.toBeNull()
  expect(growthOfMany({ ...many, of: 1 })).toEqual({ ratio: 0.5, low: null, high: null })
})

test('what control of false discovery leaves out is no lift, whatever its own interval says', () => {
  const option = (name: string, sold: number, of: number) =>
    Array.from({ length: of }, (_, i) => ({ options: { C: name }, sold: i < sold }))
  // one in twenty would be surely better if it were looked at alone
  const others = Array.from({ length: 20 }, (_, k) => option(`o${k}`, 20, 40)).flat()
  const found = optionLifts([...others, ...option('best', 27, 40)]).find((l) => l.option === 'best')
  expect(found?.lift.low).toBeGreaterThan(0)
  expect(found?.isLift).toBe(false)
  const alone = optionLifts([...option('best', 27, 40), ...option('rest', 400, 800)]).find((l) => l.option === 'best')
  expect(alone?.isLift).toBe(true)
})

test('an option is beside ten others at least, and ten at least have it', () => {
  const chosen = (name: string, many: number) =>
    Array.from({ length: many }, (_, i) => ({ options: { C: name }, sold: i % 2 === 0 }))
  const told = (a: number, b: number) => optionLifts([...chosen('a', a), ...chosen('b', b)]).map((l) => l.option)
  expect(told(10, 10)).toEqual(['a', 'b'])
  expect(told(9, 10)).toEqual([])
  expect(told(10, 9)).toEqual([])
  const [lift] = optionLifts([...chosen('a', 11), ...chosen('b', 20)])
  expect(lift).toMatchObject({ choice: 'C', option: 'a', sold: 6, of: 11, isLift: false })
})

test('a weekday that chance explains is told without an interval', () => {
  const random = chance(5)
  const values = Float64Array.from({ length: 140 }, (_, d) => random.poisson(d % 7 === 2 ? 9 : 3))
  const pulls = weekdayPull({ start: 20_000, stepDays: 1, values }) ?? []
  expect(pulls.filter((p) => p.isLift && p.lift > 0)).toHaveLength(1)
  expect(pulls.filter((p) => p.low === null && p.high === null).length).toBeGreaterThan(0)
  for (const p of pulls) if (p.low === null) expect(p.isLift).toBe(false)
})

test('days and weeks of other ends are summed on weeks that end with the last day', () => {
  // a week of 14 ending on day 106, and ten days of 1 ending on day 109: the last week is 103–109, the one before 96–102
  const weeks = { start: 100, stepDays: 7 as const, values: Float64Array.of(14) }
  const days = { start: 100, stepDays: 1 as const, values: new Float64Array(10).fill(1) }
  const sum = addSeries([weeks, days])
  // the days make one whole week, 103–109; the week that begins on day 100 lies in the one from 96 on
  expect(sum).toEqual({ start: 96, stepDays: 7, values: Float64Array.of(14, 7) })
  // whatever their order, and with an earlier series that begins in the middle of a week
  expect(addSeries([days, weeks])).toEqual(sum)
  const early = { start: 90, stepDays: 7 as const, values: Float64Array.of(3) }
  expect(addSeries([early, days])).toEqual({ start: 89, stepDays: 7, values: Float64Array.of(3, NaN, 7) })
})

test('an option needs ten listings, and so does the rest of its choice', () => {
  const option = (name: string, of: number) => Array.from({ length: of }, () => ({ options: { C: name }, sold: true }))
  expect(optionLifts([...option('a', 10), ...option('b', 10)])).toHaveLength(2)
  expect(optionLifts([...option('a', 40), ...option('b', 9)])).toHaveLength(0)
})
