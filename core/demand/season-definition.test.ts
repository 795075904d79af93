import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { chance } from '../../standins/random'
import { changeOf, noiseStrength, scatteredGrowth, seasonOf, stl, type UnitSeries } from '.'

const random = chance(52)
const dayMs = 86_400_000
const monthIn = (day: number) => {
  const date = new Date(day * dayMs)
  return date.getUTCFullYear() * 12 + date.getUTCMonth()
}

/** Units a day of every whole month, by the calendar; NaN where no day of it is known. */
function monthsBy({ start, stepDays, values }: UnitSeries): { month: number; rate: number }[] {
  const days = [...values].flatMap((v, i) =>
    Array.from({ length: stepDays }, (_, d) => ({ day: start + i * stepDays + d, units: v / stepDays })),
  )
  const end = start + days.length
  const months = [...new Set(days.map(({ day }) => monthIn(day)))]
  return months
    .filter((m) => {
      const [first, next] = [m, m + 1].map((k) => Date.UTC(Math.floor(k / 12), k % 12, 1) / dayMs)
      return (first as number) >= start && (next as number) <= end
    })
    .map((month) => {
      const known = days.filter(({ day, units }) => monthIn(day) === month && !Number.isNaN(units))
      return { month, rate: known.length === 0 ? NaN : known.reduce((sum, { units }) => sum + units, 0) / known.length }
    })
}

/** The season as it is described: STL of the logarithms of the longest run that is known. */
function seasonBy(series: UnitSeries) {
  let [run, best] = [[] as { month: number; rate: number }[], [] as { month: number; rate: number }[]]
  for (const one of monthsBy(series)) {
    run = Number.isNaN(one.rate) ? [] : [...run, one]
    if (run.length > best.length) best = run
  }
  if (best.length < 25 || new Set(best.map(({ rate }) => rate)).size === 1) return null
  const { seasonal, trend, rest } = stl(
    Float64Array.from(best, ({ rate }) => Math.log(1 + rate)),
    12,
  )
  const spread = (list: number[]) => {
    const mean = list.reduce((a, b) => a + b, 0) / list.length
    return list.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (list.length - 1)
  }
  const strength = (part: Float64Array) =>
    Math.max(0, 1 - spread([...rest]) / spread([...part].map((v, i) => v + (rest[i] as number))))
  const usual = Array.from({ length: 12 }, (_, m) =>
    Math.exp(seasonal[best.findIndex(({ month }) => month % 12 === m)] as number),
  )
  const mean = usual.reduce((a, b) => a + b, 0) / 12
  return {
    strength: strength(seasonal),
    trendStrength: strength(trend),
    months: usual.map((u) => u / mean),
    of: best.length,
  }
}

test('a season is worked out of the longest run of whole months, wherever sales begin, end and are not known', () => {
  let told = 0
  for (let round = 0; round < 40; round++) {
    const stepDays = round % 3 === 0 ? 7 : 1
    const start = 19_000 + Math.floor(random.next() * 400)
    const length = Math.ceil((740 + random.next() * 900) / stepDays)
    const values = Float64Array.from({ length }, (_, i) => {
      const wave = 3 + 2 * Math.sin((2 * Math.PI * (start + i * stepDays)) / 365.25) + i / length
      return stepDays * Math.max(0, wave + 2 * (random.next() - 0.5))
    })
    // single days and weeks, and now and then a stretch of some months
    for (let i = 0; i < length; i++) if (random.next() < 0.05) values[i] = NaN
    if (round % 2 === 0) {
      const [from, gap] = [Math.floor(random.next() * length), Math.floor((40 + random.next() * 100) / stepDays)]
      values.fill(NaN, from, from + gap)
    }
    const series: UnitSeries = { start, stepDays, values }
    const [ours, theirs] = [seasonOf(series), seasonBy(series)]
    expect(ours === null).toBe(theirs === null)
    if (!ours || !theirs) continue
    told++
    expect(ours.of).toBe(theirs.of)
    expect(ours.strength).toBeCloseTo(theirs.strength, 9)
    expect(ours.trendStrength).toBeCloseTo(theirs.trendStrength, 9)
    theirs.months.forEach((v, m) => expect(ours.months[m]).toBeCloseTo(v, 9))
  }
  expect(told).toBeGreaterThan(12)
  expect(told).toBeLessThan(40)
})

test('whole months from the first day to the last are all taken', () => {
  const start = Date.UTC(2024, 0, 1) / dayMs
  const length = Date.UTC(2026, 1, 1) / dayMs - start
  const values = Float64Array.from({ length }, (_, i) => 4 + (monthIn(start + i) % 12))
  expect(seasonOf({ start, stepDays: 1, values })?.of).toBe(25)
  expect(seasonOf({ start, stepDays: 1, values: values.subarray(0, -1) })).toBeNull()
  expect(seasonOf({ start: start + 1, stepDays: 1, values: values.subarray(1) })).toBeNull()
})

test('what noise reaches is a share, and less than all', () => {
  for (let months = 2; months < 120; months++) {
    expect(noiseStrength(months)).toBeGreaterThan(0)
    expect(noiseStrength(months)).toBeLessThan(0.81)
  }
})

test('growth beyond scatter lies between the shares that are just not refuted (Wilson 1927), found by halving', () => {
  for (let round = 0; round < 300; round++) {
    const [later, earlier] = [Math.floor(random.next() * 60), 1 + Math.floor(random.next() * 60)]
    const exposure = [1, 0.5, 4 / 9, 3][round % 4] as number
    const variance = round % 5 === 0 ? 0 : 0.5 * random.next()
    const freedom = 1 + Math.floor(random.next() * 20)
    const even = exposure / (1 + exposure)
    const n = later + earlier
    const added = variance * n * even * (1 - even)
    // Welch and Satterthwaite: a learned variance beside a known one
    const learned = added === 0 ? Infinity : freedom * (1 + 1 / added) ** 2
    const z = learned > 100 ? 1.959963984540054 : tQuantile(0.975, Math.max(1, Math.floor(learned)))
    const [p, counted] = [later / n, n / (1 + added)]
    const refuted = (q: number) => Math.abs(p - q) > z * Math.sqrt((q * (1 - q)) / counted)
    const edge = (from: number) => {
      let [inside, outside] = [p, from]
      for (let i = 0; i < 200; i++) {
        const middle = (inside + outside) / 2
        if (refuted(middle)) outside = middle
        else inside = middle
      }
      return inside
    }
    const toGrowth = (q: number) => q / (1 - q) / exposure - 1
    const got = scatteredGrowth(later, earlier, exposure, variance, freedom)
    expect(got.ratio).toBeCloseTo(later / earlier / exposure - 1, 9)
    expect(got.low).toBeCloseTo(later === 0 ? -1 : toGrowth(edge(0)), 6)
    expect((1 + (got.high as number)) / (1 + toGrowth(edge(1)))).toBeCloseTo(1, 6)
  }
})

test('a clear change of level is told of twelve weeks, as Pettitt’s probability allows, and of ten it is not', () => {
  const weeks = (n: number) => ({
    start: 20_000,
    stepDays: 7 as const,
    values: Float64Array.from({ length: n }, (_, i) => (i < n / 2 ? 70 : 700) + (i % 2)),
  })
  // K is 36 of 6 and 6 weeks: 2 exp(−6 · 36² / (12³ + 12²)) is 0.031; of 5 and 5: 0.066
  expect(changeOf(weeks(10))).toBeNull()
  expect(changeOf(weeks(12))).toMatchObject({ day: 20_042, before: expect.closeTo(10, 0) as number })
})
