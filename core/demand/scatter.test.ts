import { readFileSync } from 'node:fs'
import { course, courseMakes } from '../../standins/courses'
import {
  contrastVariance,
  growthOfMany,
  pairedGrowth,
  pettitt,
  pettittP,
  sameListings,
  scatteredGrowth,
  scatterOf,
  serialFactor,
  stageOfLife,
  sumFactor,
  togetherOf,
  trendOf,
  weeksOf,
  type UnitSeries,
} from '.'

/** Made by scripts/fixtures/scatter.R with R 4.2.2. */
const r = JSON.parse(readFileSync(new URL('./fixtures/r-scatter.json', import.meta.url), 'utf8')) as {
  dependence: Record<string, { values: number[]; factor: number }>
  plain: { later: number; earlier: number; exposure: number; low: number; high: number }[]
  scattered: {
    later: number
    earlier: number
    exposure: number
    variance: number
    freedom: number
    low: number
    high: number
  }[]
  contrast: { variance: number; pull: number; later: number; earlier: number; of: number }[]
  many: { later: number[]; earlier: number[]; ratio: number; whole: number }
  paired: { later: number[]; earlier: number[]; low: number; high: number }
  together: { units: (number | null)[][]; all: number[] }
}
const daily = (values: ArrayLike<number | null>, start = 20_000): UnitSeries => ({
  start,
  stepDays: 1,
  values: Float64Array.from(values, (v) => v ?? NaN),
})
const steady = (n: number, level: number) => Array.from({ length: n }, (_, i) => level + (i % 3) - 1)

test.each(Object.entries(r.dependence))(
  'the serial factor of %s is that of Hamed & Rao’s definition in R',
  (_, ref) => {
    // ranks of values that rounding alone parts may differ
    expect(serialFactor(ref.values)).toBeCloseTo(ref.factor, 3)
    expect(serialFactor([...ref.values.slice(0, 9), NaN, ...ref.values.slice(9)])).toBeCloseTo(ref.factor, 3)
  },
)

test.each(r.plain)('without scatter $earlier → $later agrees with R prop.test', (ref) => {
  const got = scatteredGrowth(ref.later, ref.earlier, ref.exposure, 0, 20)
  expect(got.low).toBeCloseTo(ref.low, 8)
  expect(got.high).toBeCloseTo(ref.high, 8)
})
test.each(r.scattered)('with a scatter of $variance by $freedom weeks it agrees with R', (ref) => {
  const got = scatteredGrowth(ref.later, ref.earlier, ref.exposure, ref.variance, ref.freedom)
  expect(got.low).toBeCloseTo(ref.low, 7)
  expect(got.high).toBeCloseTo(ref.high, 7)
  expect(got.ratio).toBeCloseTo(ref.later / ref.earlier / ref.exposure - 1, 12)
})
test('growth from nothing is open above, to nothing it is all of it, and of nothing it is not known', () => {
  expect(scatteredGrowth(5, 0, 1, 0.1, 20)).toMatchObject({ ratio: null, high: null })
  expect(scatteredGrowth(0, 5, 1, 0.1, 20)).toMatchObject({ ratio: -1, low: -1 })
  expect(scatteredGrowth(0, 0, 1, 0.1, 20)).toEqual({ ratio: null, low: null, high: null })
})

test.each(r.contrast)('the scatter of $later weeks against $earlier is that of R’s matrices', (ref) => {
  const scatter = { variance: ref.variance, pull: ref.pull, counting: 0.1, freedom: 9 }
  expect(contrastVariance(scatter, ref.later, ref.earlier)).toBeCloseTo(ref.of, 10)
})

const sumsOf = (later: number[], earlier: number[]) => {
  const sum = (of: (l: number, e: number) => number) => later.reduce((s, l, i) => s + of(l, earlier[i] as number), 0)
  return {
    later: sum((l) => l),
    earlier: sum((_, e) => e),
    laterSquared: sum((l) => l * l),
    earlierSquared: sum((_, e) => e * e),
    product: sum((l, e) => l * e),
    of: later.length,
  }
}
test('growth of many things has the scatter between them, as R’s weighted regression', () => {
  const { later, earlier, ratio, whole } = r.many
  const sums = sumsOf(later, earlier)
  const got = growthOfMany(sums)
  const added = whole - 1 / sums.later - 1 / sums.earlier
  expect(added).toBeGreaterThan(0)
  expect(got.ratio).toBeCloseTo(ratio, 10)
  const same = scatteredGrowth(sums.later, sums.earlier, 1, added, 7)
  expect([got.low, got.high]).toEqual([expect.closeTo(same.low ?? 0, 8), expect.closeTo(same.high ?? 0, 8)])
  // things that all grow alike leave the chance of counting, and no less
  const alike = growthOfMany(sumsOf([20, 40, 60, 80, 100], [10, 20, 30, 40, 50]))
  const counted = scatteredGrowth(300, 150, 1, 0, 4)
  expect(alike.low).toBeCloseTo(counted.low ?? 0, 10)
  expect(growthOfMany(sumsOf([20, 40, 60, 80], [10, 20, 30, 40]))).toEqual({ ratio: 1, low: null, high: null })
  expect(growthOfMany(sumsOf([1, 2, 3, 4, 5], [0, 0, 0, 0, 0])).ratio).toBeNull()
})
test('months against those a year before have Student’s interval, as R’s t.test', () => {
  const got = pairedGrowth(r.paired.later, r.paired.earlier)
  expect(got.low).toBeCloseTo(r.paired.low, 3)
  expect(got.high).toBeCloseTo(r.paired.high, 3)
  expect(pairedGrowth([5], [4])).toMatchObject({ ratio: 0.25, low: null })
  expect(pairedGrowth([5, 0], [4, 3])).toMatchObject({ low: null, high: null })
  expect(pairedGrowth([5, 1], [0, 0]).ratio).toBeNull()
})

test('scatter: none of even weeks, that of a known spread, and none told from too few', () => {
  const weeks = (units: number[]) => ({
    units,
    days: units.map(() => 7),
  })
  const long = Array.from({ length: 400 }, (_, i) => (i % 2 ? 14_000 : 6000))
  // ±0.4 of the mean, by turns: a variance of 0.16, and no pull forwards
  expect(scatterOf(weeks(long))?.variance).toBeCloseTo(0.16, 1)
  expect(scatterOf(weeks(long))?.pull).toBeLessThan(0.05)
  const slow = Array.from({ length: 400 }, (_, i) => (i % 20 < 10 ? 14_000 : 6000))
  expect(scatterOf(weeks(slow))?.pull).toBeGreaterThan(0.75)
  expect(scatterOf(weeks([...Array<number>(22).fill(10), ...Array<number>(4).fill(30)]))?.variance).toBeLessThan(0.03)
  expect(scatterOf(weeks([1, 2, 3, 4, 5, 6, 7]))).toBeNull()
  expect(scatterOf(weeks(Array<number>(26).fill(0)))).toBeNull()
  // a cut elsewhere: a step there is not scatter
  const step = weeks([...Array<number>(10).fill(1000), ...Array<number>(16).fill(3000)])
  expect(scatterOf(step, 10)?.variance).toBeLessThan(0.01)
  expect(scatterOf(step)?.variance).toBeGreaterThan(0.05)
})

test('weeks that pull on each other make a trend and a change of level less sure', () => {
  const scatter = { variance: 0.3, pull: 0.6, counting: 0.02, freedom: 22 }
  const rising = Float64Array.from({ length: 26 }, (_, i) => i / 13 + ((i * 7) % 5) / 2)
  const plain = trendOf(rising, { ...scatter, variance: 0 }).p as number
  expect(plain).toBeLessThan(0.05)
  expect(trendOf(rising, scatter).p).toBeGreaterThan(2 * plain)
  // 1 + 2 Σ (1 − k/3) 0.5^k of three weeks, by hand: 1 + 2 (2/3 · 1/2 + 1/3 · 1/4)
  expect(sumFactor({ variance: 1, pull: 0.5, counting: 0, freedom: 9 }, 3)).toBeCloseTo(1 + 2 * (1 / 3 + 1 / 12), 12)
  const found = pettitt(Float64Array.from({ length: 20 }, (_, i) => (i < 10 ? i % 3 : 3 + (i % 3))))
  expect(found?.p).toBe(pettittP(found?.k ?? 0, 20))
  expect(pettitt([5, 5, NaN, 5, 5, 5])).toMatchObject({ at: 0, next: 0, k: 0, n: 5, p: 1 })
  expect(pettittP(found?.k ?? 0, 20, 3)).toBeGreaterThan(found?.p ?? 1)
})

test('listings with days of their own: the level of each day is that of R’s main-effects Poisson model', () => {
  const all = togetherOf(r.together.units.map((u) => daily(u)))
  r.together.all.forEach((expected, t) => expect(all?.values[t]).toBeCloseTo(expected, 1))
  const whole = [daily([1, 2, 3]), daily([10, 20, 30])]
  expect([...(togetherOf(whole)?.values ?? [])]).toEqual([11, 22, 33])
  expect(togetherOf([])).toBeNull()
})

test('two flat listings, of which one file is three weeks older, do not fade', () => {
  const list = [daily(steady(180, 6)), daily(steady(159, 6))]
  const life = stageOfLife(list)
  expect(life).toMatchObject({ stage: 'Ripe', compared: 1, listings: 2 })
  expect(Math.abs(life?.growth ?? 1)).toBeLessThan(0.02)
  const pair = sameListings(list, 28)
  expect(pair.listings).toBe(1)
  expect(Math.abs(pair.later - 168) + Math.abs(pair.earlier - 168)).toBeLessThan(3)
  // and one that was put up three weeks ago does not make the others grow
  const young = stageOfLife([daily(steady(180, 6)), daily(steady(21, 6), 20_159)])
  expect(young).toMatchObject({ stage: 'Ripe', compared: 1, listings: 2 })
  // where none knows both windows growth is not known
  expect(stageOfLife([daily(steady(150, 6)), daily(steady(20, 6), 20_160)])).toMatchObject({
    growth: null,
    compared: 0,
  })
})

/** Share of series of one make that get one of some words. */
function said(
  make: number,
  words: readonly string[],
  some: { perDay: number; change?: number; days?: number },
): number {
  const tries = 150
  let hits = 0
  for (let seed = 0; seed < tries; seed++) {
    const values = course(courseMakes[make] as (typeof courseMakes)[number], {
      perDay: some.perDay,
      days: some.days ?? 182,
      seed: 31 * seed + 7,
      change: some.change ? { daysAgo: 28, times: some.change } : undefined,
    })
    if (words.includes(stageOfLife([daily(values)])?.stage ?? '')) hits++
  }
  return hits / tries
}
const moving = ['Ripening', 'Sprouting', 'Fading', 'Flash']

test.each([0.3, 1, 3, 10])('steady at %d a day: few are said to move, Poisson or with weekly swings', (perDay) => {
  // 10 % and two standard errors of 150 tries
  expect(said(0, moving, { perDay })).toBeLessThan(0.08)
  expect(said(1, moving, { perDay })).toBeLessThan(0.15)
})

test('where too few weeks tell of swings they are taken for usual ones, and nothing is called steady', () => {
  for (const perDay of [1, 3, 10]) {
    expect(said(1, moving, { perDay, days: 50 })).toBeLessThan(0.12)
    expect(said(0, ['Ripe'], { perDay, days: 50 })).toBe(0)
    expect(said(1, moving, { perDay, days: 60 })).toBeLessThan(0.16)
  }
  expect(said(0, ['Ripe'], { perDay: 3, days: 60 })).toBeGreaterThan(0.9)
})

test.each([
  [3, 2, 0.85],
  [3, 0.5, 0.85],
  [1, 2, 0.6],
  [1, 0.5, 0.5],
])('at %d a day what sells ×%d since four weeks is told', (perDay, change, least) => {
  const way = change > 1 ? ['Ripening'] : ['Fading']
  expect(said(0, way, { perDay, change })).toBeGreaterThanOrEqual(least)
  // and never called steady where it surely moved
  if (perDay === 3) expect(said(0, ['Ripe'], { perDay, change })).toBeLessThan(0.03)
})

test('weeks end with the last day, and know how many of their days have a figure', () => {
  const weeks = weeksOf(daily([9, 1, 1, 1, 1, 1, 1, 1, 2, null, 2, 2, 2, 2, null]))
  expect([...weeks.units]).toEqual([7, 10])
  expect([...weeks.days]).toEqual([7, 5])
  expect(weeksOf(daily(steady(60, 3)), 4).units).toHaveLength(4)
})
