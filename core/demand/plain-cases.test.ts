import { scatteredGrowth, scatterOf, stageOfLife, theilSenSlope, weekdayPull, weeksOf, type UnitSeries } from '.'
import { scatteredOver } from './own-scatter'
import { stageRules } from './stage-rules'

const daily = (values: ArrayLike<number>, start = 20_000): UnitSeries => ({
  start,
  stepDays: 1,
  values: Float64Array.from(values),
})

test('of a window in which more came back than was sold no growth is told, whichever it is', () => {
  const unknown = { ratio: null, low: null, high: null }
  expect(scatteredGrowth(-1, 9, 1, 0.1, 20)).toEqual(unknown)
  expect(scatteredGrowth(9, -1, 1, 0.1, 20)).toEqual(unknown)
  expect(scatteredGrowth(0, 0, 1, 0.1, 20)).toEqual(unknown)
  expect(scatteredGrowth(0, 9, 1, 0.1, 20).ratio).toBe(-1)
  expect(scatteredGrowth(9, 0, 1, 0.1, 20)).toMatchObject({ ratio: null, high: null })
})

test('weeks in which nothing sold at all do not spoil the scatter of the others', () => {
  const units = [7, 9, 5, 8, 6, 9, 7, 5, 8, 6, 7, 9, 0, 0, 0, 0]
  const found = scatterOf({ units, days: Array<number>(16).fill(7) })!
  expect(Object.values(found).every(Number.isFinite)).toBe(true)
  // the first sale is where it begins: four weeks of nothing before change nothing
  const later = scatterOf({
    units: [0, 0, 0, 0, ...units],
    days: Array<number>(20).fill(7),
  })
  expect(later).toEqual(found)
})

test('the last four weeks against the half year is told of a single day that is known of them', () => {
  const values = [...Array<number>(140).fill(2), ...Array<number>(27).fill(NaN), 2]
  const level = scatteredOver(daily(values), 26).level(stageRules)
  expect(level?.ratio).toBeCloseTo(0, 9)
  const none = [...Array<number>(140).fill(2), ...Array<number>(28).fill(NaN)]
  expect(scatteredOver(daily(none), 26).level(stageRules)).toBeNull()
  const one = [...Array<number>(139).fill(NaN), 2, ...Array<number>(28).fill(2)]
  expect(scatteredOver(daily(one), 26).level(stageRules)?.ratio).toBeCloseTo(0, 9)
})

test('a weekday that sells half as much again is a lift, and one that sells half as much is one as well', () => {
  const pull = weekdayPull(daily(Array.from({ length: 280 }, (_, i) => (i % 7 === 2 ? 30 : i % 7 === 5 ? 8 : 20))))!
  const lifts = pull.filter((p) => p.isLift)
  const [more, less] = [pull.find((p) => p.lift > 0.4)!, pull.find((p) => p.lift < -0.4)!]
  // 30 beside 20, 20, 20, 20, 20 and 8; and 8 beside five of 20 and 30
  expect(more.lift).toBeCloseTo(30 / 18 - 1, 9)
  expect(less.lift).toBeCloseTo(8 / (130 / 6) - 1, 9)
  expect(lifts).toContain(more)
  expect(lifts).toContain(less)
  expect(more.low).toBeGreaterThan(0)
  expect(more.low).toBeLessThan(1)
  expect(less.high).toBeLessThan(0)
})

test('weekly goods are as old as their first week of sales, counted in days', () => {
  // 30 weeks of nothing, then 8 that rise steeply: 56 days old
  const values = Float64Array.from({ length: 38 }, (_, w) => (w < 30 ? 0 : 10 * (w - 29) ** 2))
  const series: UnitSeries = { start: 20_000, stepDays: 7, values }
  expect(stageOfLife([series])?.stage).toBe('Sprouting')
  const old = { ...series, values: Float64Array.from(values, (v, w) => (w === 0 ? 1 : v)) }
  expect(stageOfLife([old])?.stage).not.toBe('Sprouting')
})

test('many values of which half and more are level have no slope, however the rest lies', () => {
  const slowly = (values: number[]) => {
    const slopes: number[] = []
    for (let i = 0; i < values.length; i++)
      for (let j = i + 1; j < values.length; j++) slopes.push(((values[j] as number) - (values[i] as number)) / (j - i))
    slopes.sort((a, b) => a - b)
    const middle = slopes.length >> 1
    return slopes.length % 2 ? slopes[middle]! : (slopes[middle - 1]! + slopes[middle]!) / 2
  }
  // runs of one value, then some that rise: the share of level pairs passes a half somewhere between
  for (const length of [49, 50, 52, 53])
    for (let level = 20; level < length; level++) {
      const up = Array.from({ length }, (_, i) => (i < level ? 3 : 3 + i))
      expect(theilSenSlope(up)).toBeCloseTo(slowly(up), 12)
      expect(theilSenSlope(up.map((v) => -v))).toBeCloseTo(slowly(up.map((v) => -v)), 12)
    }
})

test('weeks are whole ones, the last ending with the last day, and no more than are asked for', () => {
  const { units, days } = weeksOf(daily(Array.from({ length: 24 }, (_, i) => (i === 23 ? NaN : 1))), 2)
  expect([[...units], [...days]]).toEqual([
    [7, 6],
    [7, 6],
  ])
  expect([...weeksOf(daily(Array(20).fill(1))).units]).toEqual([7, 7])
})

test('what is taken where too little is known is what its words say: swings by half, a pull of 0.6, ten sold in a week', () => {
  const { scatter, isKnown } = scatteredOver(daily(Array<number>(30).fill(2)), 26)
  expect(isKnown).toBe(false)
  // the variance of a level whose logarithm swings by a half is exp(0.25) − 1 of its square; that of counting ten is a tenth
  expect(scatter.variance).toBeCloseTo(Math.expm1(0.5 ** 2), 2)
  expect([scatter.pull, scatter.counting, scatter.freedom]).toEqual([0.6, 1 / 10, 100])
})

test('of weeks that swing less than chance makes them nothing is known of their pull but what is usual', () => {
  const n = 20
  const even = scatterOf({ units: Array<number>(n).fill(9), days: Array<number>(n).fill(7) })!
  // no pull of its own, freed of a bias of 1 / n, beside eight weeks of 0.6
  expect(even.pull).toBeCloseTo(((1 / n) * n + 0.6 * 8) / (n + 8), 9)
  expect(even.variance).toBeCloseTo(0, 9)
})

test('a trend is that of the last half year: what rose before it and stays is level', () => {
  const flat = stageOfLife([daily(Array.from({ length: 420 }, (_, i) => (i < 238 ? 1 + Math.floor(i / 14) : 20)))])
  expect(flat?.slopePerWeek).toBe(0)
  const rising = stageOfLife([daily(Array.from({ length: 420 }, (_, i) => 20 + Math.floor(i / 7)))])
  expect(rising?.slopePerWeek).toBeGreaterThan(0.01)
})

test('a level that was one a day and is three has trebled; where nothing sold before, there is no such figure', () => {
  const stepped = (before: number) =>
    stageOfLife([daily(Array.from({ length: 168 }, (_, i) => (i < 84 ? before : 3 + (i % 2))))])
  expect(stepped(1)?.levelChange).toBeCloseTo(2.5, 9)
  expect(stepped(2)?.levelChange).toBeCloseTo(0.75, 9)
  expect(stepped(0)?.levelChange).toBeNull()
})
