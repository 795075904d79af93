import tCdf from '@stdlib/stats-base-dists-t-cdf'
import { chance } from '../../standins/random'
import { addSeries, sameListings, scatteredGrowth, sumWindow, togetherOf, weeklyLogMeans, type UnitSeries } from '.'
import { falseDiscovery } from './false-discovery'
import { pullsOf } from './weekdays'

const random = chance(77)
const upTo = (most: number) => Math.floor(random.next() * most)

/** Sales with gaps, by the day or the week. */
function some(stepDays: 1 | 7, length: number, start = 20_000 + upTo(30)): UnitSeries {
  const values = Float64Array.from({ length }, () => (random.next() < 0.15 ? NaN : upTo(9)))
  return { start, stepDays, values }
}

/** day → units of it, a week's spread evenly; days without a figure are left out */
function byDay({ start, stepDays, values }: UnitSeries): Map<number, number> {
  const days = new Map<number, number>()
  values.forEach((v, i) => {
    for (let d = 0; d < stepDays; d++) if (!Number.isNaN(v)) days.set(start + i * stepDays + d, v / stepDays)
  })
  return days
}

const windowOf = (days: ReadonlyMap<number, number>, end: number, length: number) => {
  const known = Array.from({ length }, (_, d) => days.get(end - d)).filter((v) => v !== undefined)
  return { units: known.reduce((a, b) => a + b, 0), known: known.length }
}

test('a window holds the days in it that are known, and a part of a week for the days of it', () => {
  for (let round = 0; round < 400; round++) {
    const series = some(round % 2 ? 7 : 1, 1 + upTo(40))
    const [end, days] = [series.start - 10 + upTo(320), 1 + upTo(60)]
    const { units, known } = windowOf(byDay(series), end, days)
    const got = sumWindow(series, end, days)
    expect([got.known, got.days]).toEqual([known, days])
    expect(got.units).toBeCloseTo(units, 9)
  }
})

test('series by the day, or by weeks that begin together, are summed step by step where any is known', () => {
  for (let round = 0; round < 200; round++) {
    const stepDays = round % 2 ? 7 : 1
    const list = Array.from({ length: 2 + upTo(3) }, () => some(stepDays, 1 + upTo(20), 20_000 + stepDays * upTo(9)))
    const sum = addSeries(list)!
    const ends = list.map((s) => s.start + s.values.length * stepDays)
    expect([sum.start, sum.stepDays, sum.start + sum.values.length * stepDays]).toEqual([
      Math.min(...list.map((s) => s.start)),
      stepDays,
      Math.max(...ends),
    ])
    sum.values.forEach((v, i) => {
      const known = list
        .map((s) => s.values[(sum.start - s.start) / stepDays + i])
        .filter((k): k is number => k !== undefined && !Number.isNaN(k))
      expect(v).toBe(known.length === 0 ? NaN : known.reduce((a, b) => a + b, 0))
    })
  }
})

test('beside weeks, days are gathered into weeks that end with the last of them', () => {
  const daily: UnitSeries = {
    start: 20_003,
    stepDays: 1,
    values: Float64Array.from([9, 1, 2, 3, 4, NaN, 6, 5, NaN, NaN, NaN, NaN, NaN, NaN, NaN, NaN]),
  }
  const weekly: UnitSeries = { start: 19_998, stepDays: 7, values: Float64Array.of(70, 7, 14) }
  // 16 days end with 20,018: two weeks from 20,005 on, of which the first two days are no part; 20 in five known days, and none of the second
  expect(addSeries([daily, weekly])).toEqual({
    start: 19_998,
    stepDays: 7,
    values: Float64Array.of(70, 7 + (20 * 7) / 5, 14),
  })
})

test('weeks of a trend are whole ones that end with the last day, by the days of each that are known', () => {
  for (let round = 0; round < 200; round++) {
    const series = some(round % 2 ? 7 : 1, 1 + upTo(60))
    const end = series.start + series.values.length * series.stepDays - 1
    const days = 7 * (1 + upTo(12)) + (round % 7)
    const means = weeklyLogMeans(series, days)
    expect(means).toHaveLength(Math.floor(days / 7))
    ;[...means].reverse().forEach((mean, w) => {
      const { units, known } = windowOf(byDay(series), end - 7 * w, 7)
      if (known === 0) expect(mean).toBeNaN()
      else expect(mean).toBeCloseTo(Math.log(1 + units / known), 9)
    })
  }
})

test('what several sell together is what they would, were all of them always known', () => {
  for (let round = 0; round < 30; round++) {
    const length = 12 + upTo(20)
    const levels = Array.from({ length }, () => 1 + 4 * random.next())
    const sizes = Array.from({ length: 2 + upTo(4) }, () => 0.2 + 5 * random.next())
    const list = sizes.map((size) => ({
      start: 20_000,
      stepDays: 7 as const,
      values: Float64Array.from(levels, (level) => (random.next() < 0.25 ? NaN : level * size)),
    }))
    const all = sizes.reduce((a, b) => a + b, 0)
    togetherOf(list)!.values.forEach((v, t) => {
      const isKnown = list.some((s) => !Number.isNaN(s.values[t]))
      if (isKnown) expect(v / ((levels[t] as number) * all)).toBeCloseTo(1, 2)
      else expect(v).toBeNaN()
    })
  }
  // all know all: the plain sum, to the last digit
  const [a, b] = [some(1, 20, 20_000), some(1, 20, 20_000)].map((s) => ({ ...s, values: s.values.map((v) => v || 0) }))
  expect(togetherOf([a!, b!])).toEqual(addSeries([a!, b!]))
  expect(togetherOf([])).toBeNull()
})

test('the same listings in two windows are those that know half of each, scaled up to the whole', () => {
  for (let round = 0; round < 200; round++) {
    const list = Array.from({ length: 1 + upTo(4) }, () => some(random.next() < 0.3 ? 7 : 1, 10 + upTo(50)))
    const days = [28, 14, 9][round % 3] as number
    const end = Math.max(...list.map((s) => s.start + s.values.length * s.stepDays - 1))
    const expected = { later: 0, earlier: 0, listings: 0 }
    for (const series of list) {
      const [later, earlier] = [windowOf(byDay(series), end, days), windowOf(byDay(series), end - days, days)]
      if (later.known < days / 2 || earlier.known < days / 2) continue
      expected.later += (later.units / later.known) * days
      expected.earlier += (earlier.units / earlier.known) * days
      expected.listings++
    }
    const got = sameListings(list, days)
    expect(got.listings).toBe(expected.listings)
    expect(got.later).toBeCloseTo(expected.later, 9)
    expect(got.earlier).toBeCloseTo(expected.earlier, 9)
  }
})

test('parts of the days, by their definition: chi-square over its freedom, Student’s probability, the false discovery rate', () => {
  let lifts = 0
  for (let round = 0; round < 120; round++) {
    const parts = 2 + (round % 6)
    const weight = Array.from({ length: parts }, () => 0.5 + random.next())
    const length = 57 + upTo(80)
    const values = Float64Array.from({ length }, (_, i) =>
      random.next() < 0.08 ? NaN : upTo(Math.round(6 * (weight[i % parts] as number)) + (i % 30 < 15 ? 1 : 4)),
    )
    const series: UnitSeries = { start: 20_000, stepDays: 1, values }
    const partOf = (day: number) => day % parts
    const blockOf = (day: number) => Math.floor((day - 20_000) / (2 * parts))
    const days = [...values].flatMap((v, i) =>
      Number.isNaN(v) ? [] : [{ v, part: partOf(20_000 + i), block: blockOf(20_000 + i) }],
    )
    const total = (list: typeof days) => list.reduce((sum, d) => sum + d.v, 0)
    const inPart = (p: number) => days.filter((d) => d.part === p)
    const got = pullsOf(series, parts, partOf, blockOf)
    if (days.length < 56 || total(days) < 70) {
      expect(got).toBeNull()
      continue
    }
    const usual = Array.from({ length: parts }, (_, p) => total(inPart(p)) / inPart(p).length)
    const blocks = [...new Set(days.map((d) => d.block))]
    let [square, cells] = [0, 0]
    for (const block of blocks) {
      const own = days.filter((d) => d.block === block)
      const expected = own.reduce((sum, d) => sum + (usual[d.part] as number), 0)
      for (let p = 0; p < parts; p++) {
        const cell = own.filter((d) => d.part === p)
        if (cell.length === 0) continue
        cells++
        const mean = (cell.length * (usual[p] as number) * total(own)) / expected
        if (mean > 0) square += (total(cell) - mean) ** 2 / mean
      }
    }
    const freedom = Math.max(1, cells - blocks.length - parts + 1)
    const dispersion = Math.max(1, square / freedom)
    const all = total(days)
    const shares = Array.from({ length: parts }, (_, p) => inPart(p).length / days.length)
    const adjusted = falseDiscovery(
      shares.map((share, p) => {
        const z = (total(inPart(p)) - all * share) / Math.sqrt(dispersion * all * share * (1 - share))
        return 2 * tCdf(-Math.abs(z), freedom)
      }),
    )
    shares.forEach((share, p) => {
      const [sold, pull] = [total(inPart(p)), got![p]!]
      expect(pull.lift).toBeCloseTo(sold / share / ((all - sold) / (1 - share)) - 1, 9)
      if ((adjusted[p] as number) > 0.05) {
        expect(pull).toMatchObject({ low: null, high: null, isLift: false })
        return
      }
      const added = (dispersion - 1) / (all * share * (1 - share))
      const { low, high } = scatteredGrowth(sold, all - sold, share / (1 - share), added, freedom)
      expect([pull.low, pull.high]).toEqual([low, high].map((v) => expect.closeTo(v as number, 9) as number))
      expect(pull.isLift).toBe((low as number) > 0 || (high as number) < 0)
      if (pull.isLift) lifts++
    })
  }
  expect(lifts).toBeGreaterThan(10)
})
