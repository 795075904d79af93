import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import {
  addSeries,
  mannKendall,
  stageOfLife,
  sumWindow,
  theilSenSlope,
  weeklyLogMeans,
  wilsonInterval,
  type UnitSeries,
} from '.'

/** Made by scripts/fixtures/reference.R with R 4.2.2. */
const r = JSON.parse(readFileSync(new URL('./fixtures/r-reference.json', import.meta.url), 'utf8')) as {
  kendall: Record<string, { values: number[]; s: number; variance: number; z: number; p: number; sen: number }>
  wilson: { hits: number; of: number; low: number; high: number }[]
}

test.each(Object.entries(r.kendall))('Mann–Kendall and Theil–Sen of %s agree with R', (_, ref) => {
  const got = mannKendall(ref.values)
  expect(got?.s).toBe(ref.s)
  expect(got?.variance).toBeCloseTo(ref.variance, 6)
  expect(got?.z).toBeCloseTo(ref.z, 8)
  expect(got?.p).toBeCloseTo(ref.p, 8)
  expect(theilSenSlope(ref.values)).toBeCloseTo(ref.sen, 8)
})

test('the check values of method.md on Nile', () => {
  const nile = mannKendall(r.kendall.Nile?.values ?? [])
  expect(nile).toMatchObject({ s: -1387 })
  expect(nile?.variance).toBeCloseTo(112728.33, 2)
  expect(nile?.z).toBeCloseTo(-4.1281, 4)
  expect(nile?.p).toBeCloseTo(3.66e-5, 7)
  expect(theilSenSlope(r.kendall.Nile?.values ?? [])).toBeCloseTo(-2.6, 6)
})

test('merge counting agrees with counting pairs', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 3, maxLength: 60 }), (x) => {
      let s = 0
      for (let i = 0; i < x.length; i++)
        for (let j = i + 1; j < x.length; j++) s += Math.sign((x[j] as number) - (x[i] as number))
      expect(mannKendall(x)?.s).toBe(s)
    }),
  )
})

test.each(r.wilson)('Wilson interval of $hits of $of agrees with R prop.test', ({ hits, of, low, high }) => {
  const got = wilsonInterval(hits, of)
  expect(got?.low).toBeCloseTo(low, 8)
  expect(got?.high).toBeCloseTo(high, 8)
})

test('81 of 263 (Newcombe 1998), and the share of nothing is unknown', () => {
  expect(wilsonInterval(81, 263)).toMatchObject({
    low: expect.closeTo(0.2553, 4) as number,
    high: expect.closeTo(0.3662, 4) as number,
  })
  expect(wilsonInterval(0, 0)).toBeNull()
  expect((wilsonInterval(3, 3)?.low ?? 1) < (wilsonInterval(170, 200)?.low ?? 0)).toBe(true)
})

const daily = (values: (number | null)[], start = 20000): UnitSeries => ({
  start,
  stepDays: 1,
  values: Float64Array.from(values, (v) => v ?? NaN),
})

test('a gap is not zero: it is left out of sums and means', () => {
  const s = daily([1, 2, null, 4])
  expect(sumWindow(s, 20003, 4)).toEqual({ units: 7, known: 3, days: 4 })
  expect(sumWindow(s, 20003, 2)).toEqual({ units: 4, known: 1, days: 2 })
  expect(sumWindow(s, 20010, 3)).toEqual({ units: 0, known: 0, days: 3 })
})

test('a week counts by the part that lies in the window', () => {
  const weeks: UnitSeries = { start: 0, stepDays: 7, values: Float64Array.from([7, 14, 21]) }
  expect(sumWindow(weeks, 20, 7).units).toBe(21)
  // two whole weeks (14 + 21) and two days of the first (2)
  expect(sumWindow(weeks, 20, 16).units).toBeCloseTo(37, 10)
})

test('sums over listings: known where any is, never NaN spoiling a figure', () => {
  const sum = addSeries([daily([1, null, 3]), daily([10, null, 30])])
  expect([...(sum?.values ?? [])]).toEqual([11, NaN, 33])
  const shifted = addSeries([daily([1, 1], 100), daily([5], 101)])
  expect(shifted).toMatchObject({ start: 100, stepDays: 1 })
  expect([...(shifted?.values ?? [])]).toEqual([1, 6])
  expect(addSeries([])).toBeNull()
})

test('days and weeks together become weeks that end on the same day', () => {
  const days = daily(
    Array.from({ length: 14 }, () => 2),
    100,
  )
  const weeks: UnitSeries = { start: 100, stepDays: 7, values: Float64Array.from([10, 20]) }
  expect([...(addSeries([days, weeks])?.values ?? [])]).toEqual([24, 34])
})

test('weekly log means are taken of the days that are known', () => {
  const s = daily([...Array.from({ length: 7 }, () => 1), 3, 3, 3, null, null, null, null])
  expect([...weeklyLogMeans(s, 14)].map((v) => Math.expm1(v))).toEqual([expect.closeTo(1, 9), expect.closeTo(3, 9)])
})

describe('stage of life', () => {
  const wave = (n: number, f: (i: number) => number) =>
    daily(Array.from({ length: n }, (_, i) => Math.round(f(i) + (i % 3) - 1)))
  test.each([
    ['Unclear', wave(20, () => 5)],
    ['Unclear', daily(Array.from({ length: 180 }, (_, i) => (i % 30 === 0 ? 1 : 0)))],
    ['Ripe', wave(180, () => 10)],
    ['Ripening', wave(180, (i) => 5 + i / 6)],
    ['Fading', wave(180, (i) => 40 - i / 5)],
    ['Flash', daily(Array.from({ length: 180 }, (_, i) => (i > 120 && i < 132 ? 30 : i % 9 === 0 ? 1 : 0)))],
    ['Sprouting', daily(Array.from({ length: 180 }, (_, i) => (i < 130 ? 0 : i - 125)))],
  ])('%s', (stage, series) => expect(stageOfLife([series])?.stage).toBe(stage))
  test('what came before is no flash when it comes again', () => {
    const burst = (at: number[]) =>
      daily(Array.from({ length: 200 }, (_, i) => (at.some((b) => i > b && i < b + 12) ? 30 : i % 9 === 0 ? 1 : 0)))
    expect(stageOfLife([burst([140])])?.stage).toBe('Flash')
    expect(stageOfLife([burst([40, 140])])?.stage).not.toBe('Flash')
  })
  test('Seasonal only where more than two years show it', () => {
    const season = wave(1100, (i) => 20 + 15 * Math.cos((2 * Math.PI * i) / 365.25))
    expect(stageOfLife([season])).toMatchObject({ stage: 'Seasonal', seasonStrength: expect.closeTo(1, 1) as number })
    // a month before the peak, as if it simply grew
    const short = { ...season, values: season.values.subarray(0, 700) }
    expect(stageOfLife([short])).toMatchObject({ stage: 'Ripening', seasonStrength: null })
  })
})

test('Theil–Sen closing in on the median agrees with looking at every pair, with ties and gaps', () => {
  const value = fc.oneof(
    { weight: 8, arbitrary: fc.integer({ min: 0, max: 9 }) },
    { weight: 4, arbitrary: fc.double({ min: -50, max: 50, noNaN: true }) },
    { weight: 1, arbitrary: fc.constant(NaN) },
  )
  fc.assert(
    fc.property(fc.array(value, { minLength: 60, maxLength: 190 }), (values) => {
      const slopes = values
        .flatMap((a, i) => values.slice(i + 1).map((b, k) => (b - a) / (k + 1)))
        .filter((s) => !Number.isNaN(s))
        .sort((a, b) => a - b)
      const middle = slopes.length >> 1
      const plain = slopes.length % 2 ? slopes[middle] : ((slopes[middle - 1] ?? 0) + (slopes[middle] ?? 0)) / 2
      expect(theilSenSlope(values)).toBeCloseTo(plain ?? NaN, 12)
    }),
    { numRuns: 150 },
  )
})
