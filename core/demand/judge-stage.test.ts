import { isFlash } from './flash'
import type { Growth } from './growth'
import { judgeStage, type Facts, type JudgedBy } from './judge-stage'
import type { SeasonIndex } from './season-index'
import type { UnitSeries } from './series'
import { stageOfLife } from './stage-of-life'
import { stageRules as rules } from './stage-rules'

const end = 20_200
const daily = (values: ArrayLike<number>): UnitSeries => ({
  start: end - values.length + 1,
  stepDays: 1,
  values: Float64Array.from(values),
})
const days = (n: number, of: (day: number) => number) => daily(Array.from({ length: n }, (_, i) => of(i)))
const old = days(180, () => 1)

const even: Growth = { ratio: 0, low: -0.2, high: 0.25 }
const plain: Facts = { slopePerWeek: 0, p: 0.5, observedDays: 180, units90: 90 }
const steady: JudgedBy = { growth: even, level: even, isSeasonal: false, isScatterKnown: true }
const stage = (facts: Partial<Facts>, by: Partial<JudgedBy> = {}, series = old) =>
  judgeStage({ series, rules, end }, { ...plain, ...facts }, { ...steady, ...by })

test('too few days or units say nothing, the bounds themselves are enough', () => {
  expect(stage({})).toBe('Ripe')
  expect(stage({ observedDays: rules.minDays })).toBe('Ripe')
  expect(stage({ observedDays: rules.minDays - 1 })).toBe('Unclear')
  expect(stage({ units90: rules.minUnits })).toBe('Ripe')
  expect(stage({ units90: rules.minUnits - 1 })).toBe('Unclear')
  // where orders are of two pieces, twice as many units tell as much
  expect(stage({ units90: 2 * rules.minUnits }, { clump: 2 })).toBe('Ripe')
  expect(stage({ units90: 2 * rules.minUnits - 1 }, { clump: 2 })).toBe('Unclear')
  // few of either are enough to say nothing
  expect(stage({ observedDays: 1, units90: 500 }, { isSeasonal: true })).toBe('Unclear')
  expect(stage({ observedDays: 500, units90: 1 }, { isSeasonal: true })).toBe('Unclear')
  expect(stage({}, { isSeasonal: true })).toBe('Seasonal')
})

test('what moved by a tenth and more, and surely stands above or below half a year, moves', () => {
  const grew = (ratio: number, low: number, high: number): Growth => ({ ratio, low, high })
  const up = { growth: grew(0.1, -0.1, 0.4), level: grew(0.3, 0.01, 0.7) }
  expect(stage({}, up)).toBe('Ripening')
  expect(stage({}, { ...up, growth: grew(0.09, -0.1, 0.4) })).not.toBe('Ripening')
  expect(stage({}, { ...up, level: grew(0.3, 0, 0.7) })).toBe('Ripe')
  const down = { growth: grew(-0.1, -0.4, 0.1), level: grew(-0.3, -0.7, -0.01) }
  expect(stage({}, down)).toBe('Fading')
  expect(stage({}, { ...down, growth: grew(-0.09, -0.4, 0.1) })).not.toBe('Fading')
  expect(stage({}, { ...down, level: grew(-0.3, -0.7, 0) })).toBe('Ripe')
  expect(stage({}, { ...down, level: grew(-0.3, -0.7, 0), growth: { ratio: -0.5, low: null, high: null } })).toBe(
    'Unclear',
  )
  // without a half year growth itself must be sure; an end that is not known is none
  expect(stage({}, { growth: grew(0.5, 0.1, 0.9), level: null })).toBe('Ripening')
  expect(stage({}, { growth: grew(0.5, -0.1, 0.9), level: null })).toBe('Ripe')
  expect(stage({}, { growth: grew(-0.5, -0.9, -0.1), level: null })).toBe('Fading')
  expect(stage({}, { growth: { ratio: -0.5, low: null, high: null }, level: null })).toBe('Unclear')
  expect(stage({}, { growth: { ratio: null, low: null, high: null } })).toBe('Unclear')
})

test('a trend counts where the last weeks bear it out; a very sure one unless they surely say otherwise', () => {
  const likely = { p: rules.p - 0.001, slopePerWeek: 0.02 }
  const stays: Growth = { ratio: 0.05, low: -0.2, high: 0.3 }
  expect(stage(likely, { growth: { ...stays, ratio: 0.1 } })).toBe('Ripening')
  expect(stage(likely, { growth: stays })).toBe('Unclear')
  expect(stage({ ...likely, p: rules.p }, { growth: { ...stays, ratio: 0.1 } })).toBe('Ripe')
  expect(stage({ ...likely, p: rules.surely - 0.001 }, { growth: stays })).toBe('Ripening')
  expect(stage({ ...likely, p: rules.surely }, { growth: stays })).toBe('Unclear')
  expect(stage({ ...likely, p: 0.001 }, { growth: { ...stays, high: 0.09 } })).toBe('Unclear')
  expect(stage({ ...likely, p: 0.001 }, { growth: { ...stays, high: 0.1 } })).toBe('Ripening')
  expect(stage({ ...likely, p: 0.001 }, { growth: { ratio: null, low: null, high: null } })).toBe('Unclear')
  const falls = { p: 0.001, slopePerWeek: -0.02 }
  expect(stage(falls, { growth: { ratio: -0.05, low: -0.1, high: 0.3 } })).toBe('Fading')
  expect(stage(falls, { growth: { ratio: -0.05, low: -0.09, high: 0.3 } })).toBe('Unclear')
  // no slope is no trend, either way
  expect(stage({ p: 0.001, slopePerWeek: 0 }, { growth: { ratio: 0.5, low: -0.4, high: 0.9 } })).toBe('Unclear')
  expect(stage({ p: 0.001, slopePerWeek: null }, { growth: { ratio: -0.5, low: -0.9, high: 0.4 } })).toBe('Unclear')
})

test('young goods sprout by their trend alone, from their first sale on', () => {
  const first = (day: number) => days(180, (i) => Number(i >= day))
  const likely = { p: 0.02, slopePerWeek: 0.02 }
  const none = { growth: { ratio: null, low: null, high: null } }
  expect(stage(likely, none, first(120))).toBe('Sprouting')
  expect(stage(likely, none, first(119))).toBe('Unclear')
  expect(stage({ ...likely, slopePerWeek: -0.02 }, none, first(120))).toBe('Unclear')
  expect(stage({ ...likely, slopePerWeek: 0 }, none, first(120))).toBe('Unclear')
  expect(stage({ ...likely, slopePerWeek: null }, none, first(120))).toBe('Unclear')
  expect(stage({ ...likely, p: 0.025 }, none, first(120))).toBe('Unclear')
  expect(stage({ ...likely, p: null }, none, first(120))).toBe('Unclear')
  const up = { growth: { ratio: 0.5, low: 0.1, high: 2 }, level: null }
  expect(stage({}, up, first(120))).toBe('Sprouting')
  expect(stage({}, up, first(119))).toBe('Ripening')
  // what never sold has been there since its first figure
  expect(
    stage(
      likely,
      none,
      days(60, () => 0),
    ),
  ).toBe('Sprouting')
  expect(
    stage(
      likely,
      none,
      days(61, () => 0),
    ),
  ).toBe('Unclear')
})

test('steady is said where swings are known, nothing surely moved and the interval is narrow', () => {
  expect(stage({}, { isScatterKnown: false })).toBe('Unclear')
  expect(stage({ p: 0.02 }, {})).toBe('Unclear')
  const growth = (low: number | null, high: number | null): Growth => ({ ratio: 0, low, high })
  expect(stage({}, { growth: growth(-0.5, 3.5) })).toBe('Ripe')
  expect(stage({}, { growth: growth(-0.5, 3.6) })).toBe('Unclear')
  expect(stage({}, { growth: growth(0.01, 0.2) })).toBe('Unclear')
  expect(stage({}, { growth: growth(-0.2, -0.01) })).toBe('Unclear')
  expect(stage({}, { growth: growth(0, 0) })).toBe('Ripe')
  expect(stage({}, { growth: growth(null, 0.2) })).toBe('Unclear')
  expect(stage({}, { growth: growth(-0.2, null) })).toBe('Unclear')
  expect(stage({}, { level: growth(0.01, 0.2) })).toBe('Unclear')
  expect(stage({}, { level: growth(-0.2, -0.01) })).toBe('Unclear')
  expect(stage({}, { level: growth(null, null) })).toBe('Ripe')
  expect(stage({}, { level: null })).toBe('Ripe')
})

test('a flash: half of 90 days in one fortnight, little since, and nothing alike before', () => {
  // 28 units in a fortnight that ends so many days before the end, and one a day so long before that
  const lump = (daysAgo: number, rest: number, before = 0) =>
    days(180, (i) => (i >= 180 - daysAgo - 14 && i < 180 - daysAgo ? 2 : i >= 180 - 14 ? rest : i < 90 ? before : 0))
  const flash = (series: UnitSeries, units90: number) => isFlash(series, rules, end, units90)
  expect(flash(lump(30, 0), 28)).toBe(true)
  expect(flash(lump(30, 0), 56)).toBe(true)
  expect(flash(lump(30, 0), 57)).toBe(false)
  // a quarter of its rate since is little: 7 of 28
  expect(flash(lump(30, 0.5), 35)).toBe(true)
  expect(flash(lump(30, 0.51), 35)).toBe(false)
  // two fifths of it in a fortnight before: 11.2 of 28
  expect(flash(lump(30, 0, 0.79), 28)).toBe(true)
  expect(flash(lump(30, 0, 0.8), 28)).toBe(false)
  // gaps are no sales
  const gaps = lump(30, 0)
  gaps.values[100] = NaN
  expect(flash(gaps, 28)).toBe(true)
  gaps.values[140] = NaN
  expect(flash(gaps, 52)).toBe(true)
  expect(flash(gaps, 53)).toBe(false)
  // a lump of less than the least units is chance
  const by = { growth: { ratio: null, low: null, high: null } }
  expect(stage({ units90: 28 }, by, lump(30, 0))).toBe('Flash')
  expect(stage({ units90: rules.flashUnits }, by, lump(30, 0))).toBe('Flash')
  expect(stage({ units90: rules.flashUnits - 1 }, by, lump(30, 0))).toBe('Unclear')
  // weeks as steps
  const weekly: UnitSeries = { start: end - 180 * 7 + 1, stepDays: 7, values: new Float64Array(180) }
  weekly.values[170] = 10
  weekly.values[171] = 10
  expect(isFlash(weekly, rules, end, 40)).toBe(true)
  expect(isFlash(weekly, rules, end, 41)).toBe(false)
})

test('a flash of goods that are known for less than 90 days has as much more in its fortnight than in the rest', () => {
  // half of 90 days in 14 is 76 / 14 times as much a day as in the other 76; of 40 days that is 76 in 102 of all
  const young = days(40, (i) => (i < 14 ? 2 : 0))
  expect(isFlash(young, rules, end, 37)).toBe(true)
  expect(isFlash(young, rules, end, 38)).toBe(false)
  // of a fortnight all is the last fortnight
  expect(
    isFlash(
      days(14, () => 2),
      rules,
      end,
      28,
    ),
  ).toBe(false)
})

test('a flash is what stands in the 90 days, and what stood before is looked for from the first day on', () => {
  const once = (at: number, units: number, first = 0) => days(180, (i) => (i === at ? units : i === 0 ? first : 0))
  expect(isFlash(once(90, 28), rules, end, 28)).toBe(true)
  expect(isFlash(once(89, 28), rules, end, 28)).toBe(false)
  expect(isFlash(once(120, 2), rules, end, 2)).toBe(true)
  // two fifths of 28 are 11.2
  expect(isFlash(once(120, 28, 11), rules, end, 28)).toBe(true)
  expect(isFlash(once(120, 28, 12), rules, end, 28)).toBe(false)
  // of weeks two are a fortnight
  const weekly: UnitSeries = { start: end - 180 * 7 + 1, stepDays: 7, values: new Float64Array(180) }
  weekly.values.set([10, 10, 10], 169)
  expect(isFlash(weekly, rules, end, 40)).toBe(true)
  expect(isFlash(weekly, rules, end, 45)).toBe(false)
})

test('what is shown beside a stage: units of 90 days and of two windows, the days known, growth without the season of its category', () => {
  const facts = stageOfLife([days(180, (i) => (i < 90 ? 5 : i < 152 ? 2 : 4))])
  expect(facts).toMatchObject({ observedDays: 180, units90: 62 * 2 + 28 * 4, units28: 112, units28Before: 56 })
  expect(facts?.growth).toBeCloseTo(1, 12)
  expect(facts?.growthSeasonless).toBeNull()
  // 20,200 is the 22nd of April; a season that usually doubles between the 11th of March and the 8th of April: nothing grew
  const of = Float64Array.from({ length: 366 }, (_, day) => (day >= 80 ? 2 : 1))
  const season: SeasonIndex = { months: new Float64Array(12), days: of }
  const seasonal = stageOfLife([days(180, (i) => (i < 152 ? 2 : 4))], { season })
  expect(seasonal?.growth).toBeCloseTo(1, 12)
  expect(seasonal?.growthSeasonless).toBeCloseTo(0, 12)
  expect(stageOfLife([])).toBeNull()
})

test('the season of a window is that of its middle: 14 and 42 days back, the 8th of April and the 11th of March', () => {
  const season = { months: new Float64Array(12), days: Float64Array.from({ length: 366 }, (_, day) => 1 + day / 1000) }
  const facts = stageOfLife([days(180, (i) => (i < 152 ? 2 : 4))], { season })
  // days of the year from 0, the 29th of February among them: 91 + 7 and 60 + 10
  expect(facts?.growthSeasonless).toBeCloseTo(2 / (1.098 / 1.07) - 1, 12)
})

test('units of two windows that no listing knows both of are not known, and not none', () => {
  const facts = stageOfLife([days(40, () => 3)])
  expect(facts).toMatchObject({
    compared: 0,
    listings: 1,
    units28: null,
    units28Before: null,
    growth: null,
    units90: 120,
  })
  const season = { months: new Float64Array(12), days: new Float64Array(366).fill(1) }
  expect(stageOfLife([days(40, () => 3)], { season })?.growthSeasonless).toBeNull()
})

test('windows of 90 and 180 days are compared with as many before, and the trend is told in shares a week', () => {
  const facts = stageOfLife([days(360, (i) => (i < 180 ? 1 : i < 270 ? 3 : 2))])
  // 180 × 1, then 90 × 3 and 90 × 2
  expect(facts?.growth180).toBeCloseTo(450 / 180 - 1, 12)
  expect(facts?.growth90).toBeCloseTo(2 / 3 - 1, 12)
  // by 2 % a week, of so many that one more or less is nothing
  expect(stageOfLife([days(200, (i) => 5000 * 1.02 ** (i / 7))])?.slopePerWeek).toBeCloseTo(0.02, 4)
  expect(stageOfLife([days(200, (i) => 5000 * 0.97 ** (i / 7))])?.slopePerWeek).toBeCloseTo(-0.03, 4)
  // of a week no trend can be told
  expect(stageOfLife([days(7, () => 5)])?.slopePerWeek).toBeNull()
})

test('nothing is said of fewer than twenty-one days or ten units', () => {
  const stageAfter = (known: number, of: (i: number) => number) => stageOfLife([days(known, of)])?.stage
  const lump = (i: number) => (i < 5 ? 10 : 0)
  expect([stageAfter(21, lump), stageAfter(20, lump)]).toEqual(['Flash', 'Unclear'])
  // eight weeks of a young thing that sells ever more, ten in all, or nine
  const weekly = (units: readonly number[]) => (i: number) => (i % 7 < (units[Math.floor(i / 7)] ?? 0) ? 1 : 0)
  expect(stageAfter(56, weekly([0, 0, 0, 1, 1, 2, 3, 3]))).toBe('Sprouting')
  expect(stageAfter(56, weekly([0, 0, 0, 1, 1, 2, 2, 3]))).toBe('Unclear')
})
