import { readFileSync } from 'node:fs'
import { chance } from '../../standins/random'
import { dayOfIso } from '../identity'
import {
  allWeeks,
  changeOf,
  courseOf,
  falseDiscovery,
  isSeason,
  noiseStrength,
  pettitt,
  seasonOf,
  stl,
  strengths,
  weekdayPull,
  type UnitSeries,
} from '.'

/** Made by scripts/fixtures/seasons.R with R 4.2.2, on R's own data sets. */
const r = JSON.parse(readFileSync(new URL('./fixtures/r-seasons.json', import.meta.url), 'utf8')) as {
  stl: {
    name: string
    period: number
    season: number | 'periodic'
    values: number[]
    seasonal: number[]
    trend: number[]
    fs: number
    ft: number
  }[]
  bh: { p: number[]; adjusted: number[] }
  pettitt: { name: string; values: number[]; at: number; k: number; p: number }[]
}

test.each(r.stl)('STL of $name (season $season) agrees with R', (ref) => {
  const parts = stl(Float64Array.from(ref.values), ref.period, ref)
  const scale = Math.max(...ref.values.map(Math.abs))
  const off = (a: Float64Array, b: number[]) => Math.max(...b.map((v, i) => Math.abs(v - (a[i] as number)))) / scale
  expect(off(parts.seasonal, ref.seasonal)).toBeLessThan(1e-8)
  expect(off(parts.trend, ref.trend)).toBeLessThan(1e-8)
  const { season, trend } = strengths(parts)
  expect(season).toBeCloseTo(ref.fs, 8)
  expect(trend).toBeCloseTo(ref.ft, 8)
})

test('the strengths of method.md', () => {
  const of = (name: string) => strengths(stl(Float64Array.from(r.stl.find((s) => s.name === name)?.values ?? []), 12))
  expect(of('log AirPassengers').season).toBeCloseTo(0.937, 3)
  expect(of('log AirPassengers').trend).toBeCloseTo(0.994, 3)
  expect(of('nottem').season).toBeCloseTo(0.944, 3)
  expect(of('nottem').trend).toBeCloseTo(0.205, 3)
})

test.each(r.pettitt)('Pettitt on $name agrees with its definition in R', ({ values, at, k, p }) => {
  const got = pettitt(values)
  expect(got).toMatchObject({ at, k, next: at })
  expect(got?.p).toBeCloseTo(p, 10)
})

test('the check value of method.md on Nile: 1898, K 1617; gaps do not move the place', () => {
  const nile = r.pettitt.find((s) => s.name === 'Nile')?.values ?? []
  expect(pettitt(nile)).toMatchObject({ at: 28, k: 1617, up: false })
  expect(pettitt(nile)?.p).toBeCloseTo(3.59e-7, 9)
  expect(pettitt([NaN, ...nile.slice(0, 10), NaN, ...nile.slice(10)])).toMatchObject({ at: 28, next: 30, k: 1617 })
  expect(pettitt([1, 2, 3])).toBeNull()
  expect(pettitt([5, 5, 5, 5])?.p).toBe(1)
})

/** Days of whole years from January 2023, sold by a rate per month. */
function daily(years: number, rate: (month: number) => number): UnitSeries {
  const start = dayOfIso('2023-01-01') as number
  const days = (dayOfIso(`${2023 + years}-01-01`) as number) - start
  const month = (i: number) => new Date((start + i) * 86_400_000).getUTCMonth()
  return { start, stepDays: 1, values: Float64Array.from({ length: days }, (_, i) => rate(month(i))) }
}

test('a season known by construction is found month by month; less than two years is no season', () => {
  const summer = (m: number) => (m >= 4 && m <= 7 ? 20 : 4)
  const season = seasonOf(daily(3, summer))
  expect(season?.strength).toBeGreaterThan(0.99)
  expect(season?.of).toBe(36)
  expect([...(season?.months ?? [])].map((v) => v > 1)).toEqual(Array.from({ length: 12 }, (_, m) => m >= 4 && m <= 7))
  // log1p of 20 and 4, as a ratio, by hand
  expect((season?.months[5] ?? 0) / (season?.months[0] ?? 1)).toBeCloseTo(21 / 5, 1)
  expect(seasonOf(daily(2, summer))).toBeNull()
  expect(seasonOf(daily(3, () => 7))?.strength ?? 0).toBeLessThan(0.1)
  const gap = daily(3, summer)
  gap.values.fill(NaN, 100, 200)
  // 11 April to 19 July are gone, so July 2023 to December 2025
  expect(seasonOf(gap)?.of).toBe(30)
  gap.values.fill(NaN, 500, 560)
  expect(seasonOf(gap)).toBeNull()
})

/** Made by scripts/fixtures/tuna-course.R: 338 weeks of seven real items, bayesm's `tuna`. */
const tuna = JSON.parse(readFileSync(new URL('./fixtures/r-tuna.json', import.meta.url), 'utf8')) as {
  start: number
  items: {
    weeks: (number | null)[]
    months: number
    fs: number
    ft: number
    index: number[]
    change: Record<'day' | 'p' | 'before' | 'after', number>
  }[]
}

test.each(tuna.items.map((item, i) => [i + 1, item] as const))(
  'real sales, item %i: season and change of level agree with R',
  (_, item) => {
    const course = courseOf([
      { start: tuna.start, stepDays: 7, values: Float64Array.from(item.weeks, (v) => v ?? NaN) },
    ])
    expect(course?.season?.of).toBe(item.months)
    expect(course?.season?.strength).toBeCloseTo(item.fs, 8)
    expect(course?.season?.trendStrength).toBeCloseTo(item.ft, 8)
    item.index.forEach((v, m) => expect(course?.season?.months[m]).toBeCloseTo(v, 8))
    const series = { start: tuna.start, stepDays: 7 as const, values: Float64Array.from(item.weeks, (v) => v ?? NaN) }
    const found = pettitt(allWeeks(series))
    expect(found?.p).toBeCloseTo(item.change.p, 8)
    expect(tuna.start + (found?.next ?? 0) * 7).toBe(item.change.day)
    // real weeks pull on each other: told, where it is told, at the same day and less surely
    if (!course?.change) return
    expect(course.change.day).toBe(item.change.day)
    expect(course.change.p).toBeGreaterThanOrEqual(item.change.p)
    expect(course.change.before).toBeCloseTo(item.change.before, 8)
    expect(course.change.after).toBeCloseTo(item.change.after, 8)
  },
)

test('of seven real courses most still have a change of level once the pull of weeks is reckoned with', () => {
  const told = tuna.items.filter(({ weeks }) =>
    changeOf({ start: tuna.start, stepDays: 7, values: Float64Array.from(weeks, (v) => v ?? NaN) }),
  )
  expect(told.length).toBeGreaterThanOrEqual(5)
})

test('noise has no season at any length, nor have even or empty months', () => {
  const random = chance(3)
  for (const months of [25, 28, 32, 36, 48, 60]) {
    let hits = 0
    for (let i = 0; i < 200; i++) {
      const { season } = strengths(
        stl(
          Float64Array.from({ length: months }, () => random.normal()),
          12,
        ),
      )
      if (isSeason({ strength: season, trendStrength: 0, months: new Float64Array(12), of: months }, 0.64)) hits++
    }
    // 5 % and two standard errors of 200
    expect(hits / 200).toBeLessThan(0.08)
  }
  expect(noiseStrength(30)).toBeCloseTo((noiseStrength(28) + noiseStrength(32)) / 2, 10)
  expect([noiseStrength(20), noiseStrength(90)]).toEqual([noiseStrength(25), noiseStrength(84)])
  // the longer a record is, the less noise reaches
  const reached = Array.from({ length: 60 }, (_, i) => noiseStrength(25 + i))
  expect(reached.filter((s, i) => i > 0 && s >= (reached[i - 1] as number))).toEqual([])
  expect(strengths(stl(new Float64Array(30).fill(4), 12))).toEqual({ season: 0, trend: 0 })
  for (const level of [0, 7])
    expect(seasonOf({ start: 18_000, stepDays: 1, values: new Float64Array(1000).fill(level) })).toBeNull()
})

test('STL says what it lacks', () => {
  expect(() => stl(new Float64Array(24), 12)).toThrow('more than two periods of 12')
})

test('a change of level is dated to its week, with the levels on either side; an even series has none', () => {
  const start = dayOfIso('2026-01-01') as number
  const values = Float64Array.from({ length: 140 }, (_, i) => (i < 70 ? 2 : 6) + (i % 3) - 1)
  const change = changeOf({ start, stepDays: 1, values })
  expect(change).toMatchObject({
    day: start + 70,
    before: expect.closeTo(2, 1) as number,
    after: expect.closeTo(6, 1) as number,
  })
  expect(change?.p).toBeLessThan(0.01)
  expect(changeOf({ start, stepDays: 1, values: values.map((_, i) => 3 + (i % 5)) })).toBeNull()
  expect(changeOf({ start, stepDays: 1, values: values.slice(0, 50) })).toBeNull()
})

test('weekdays: a lift is told of where it is one, by hand; chance and thin figures are not', () => {
  const start = dayOfIso('2026-03-02') as number // a Monday
  const values = Float64Array.from({ length: 70 }, (_, i) => (i % 7 === 6 ? 9 : 3))
  const pull = weekdayPull({ start, stepDays: 1, values })
  expect(pull?.map((d) => d.isLift)).toEqual([false, false, false, false, false, false, true])
  expect(pull?.[6]?.lift).toBeCloseTo(2, 10)
  // Mondays: 30 units on 10 days against 240 on 60
  expect(pull?.[0]?.lift).toBeCloseTo(3 / 4 - 1, 10)
  expect(weekdayPull({ start, stepDays: 1, values: values.fill(1) })?.some((d) => d.isLift)).toBe(false)
  expect(weekdayPull({ start, stepDays: 1, values: values.slice(0, 50) })).toBeNull()
  expect(weekdayPull({ start, stepDays: 7, values })).toBeNull()
  // beside a listing that is told of by the week, the daily one still shows its weekdays
  const weekly: UnitSeries = { start, stepDays: 7, values: new Float64Array(10).fill(4) }
  const lively: UnitSeries = {
    start,
    stepDays: 1,
    values: Float64Array.from({ length: 70 }, (_, i) => (i % 7 === 6 ? 9 : 3)),
  }
  expect(courseOf([weekly, lively])?.weekdays).toEqual(weekdayPull(lively))
  expect(courseOf([weekly, { ...lively, values: lively.values.subarray(7) }])?.dailyDays).toBe(63)
  expect(courseOf([weekly])).toEqual({ season: null, change: null, weekdays: null, monthParts: null, dailyDays: 0 })
  expect(courseOf([])).toBeNull()
})

test('the false discovery rate agrees with R p.adjust', () => {
  falseDiscovery(r.bh.p).forEach((p, i) => expect(p).toBeCloseTo(r.bh.adjusted[i] as number, 12))
})

test('a month that nobody counted parts the record: the longer part keeps its months', () => {
  const start = dayOfIso('2023-01-01') as number
  const end = dayOfIso('2026-06-30') as number
  // twice as much every July; April 2023 is not known, so the longer part begins in May
  const values = Float64Array.from({ length: end - start + 1 }, (_, i) => {
    const day = new Date((start + i) * 86_400_000)
    if (day.getUTCFullYear() === 2023 && day.getUTCMonth() === 3) return NaN
    return day.getUTCMonth() === 6 ? 20 : 10
  })
  const season = seasonOf({ start, stepDays: 1, values })
  expect(season?.of).toBe(38)
  // by month from January
  expect([...season!.months].indexOf(Math.max(...season!.months))).toBe(6)
})
