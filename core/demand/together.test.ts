import { chance } from '../../standins/random'
import { sameListings, togetherOf } from './same-listings'
import type { UnitSeries } from './series'

const daily = (start: number, values: readonly number[]): UnitSeries => ({
  start,
  stepDays: 1,
  values: Float64Array.from(values),
})

test('where all know every day, it is the plain sum; of one it is that one; of none it is nothing', () => {
  const [a, b] = [daily(100, [1, 2, 3]), daily(100, [4, 0, 2])]
  expect(togetherOf([a, b])).toEqual(daily(100, [5, 2, 5]))
  const gap = daily(100, [1, NaN, 3])
  expect(togetherOf([gap])).toEqual(gap)
  expect(togetherOf([])).toBeNull()
})

test('by hand: one sells twice as much as the other; days that one alone knows are scaled by both', () => {
  // sizes 1 and 2 of levels 1, 2, 1, 3: what is missing of the second follows from the first
  const together = togetherOf([daily(100, [1, 2, 1, 3]), daily(100, [2, 4, NaN, NaN])])!
  expect([...together.values].map((v) => Math.round(v * 1e3) / 1e3)).toEqual([3, 6, 3, 9])
  expect([together.start, together.stepDays]).toEqual([100, 1])
  // a day that nobody knows is not known
  const hole = togetherOf([daily(100, [1, NaN, 1, 3]), daily(100, [2, NaN, NaN, 6])])!
  expect(Number.isNaN(hole.values[1])).toBe(true)
  expect([hole.values[0], hole.values[2], hole.values[3]].map((v) => Math.round(v! * 1e3) / 1e3)).toEqual([3, 3, 9])
})

test('a listing that sold nothing adds nothing to days that it does not know, and none is divided by', () => {
  const none = togetherOf([daily(100, [2, 3, 4]), daily(100, [0, 0, NaN])])!
  expect([...none.values].map((v) => Math.round(v * 1e9) / 1e9)).toEqual([2, 3, 4])
  const zeros = togetherOf([daily(100, [0, 0, 0]), daily(100, [0, NaN, 0])])!
  expect([...zeros.values].every((v) => v === 0 || Number.isNaN(v))).toBe(true)
})

test('what is fitted keeps the sums of each day and of each listing over what is known', () => {
  const random = chance(3)
  const list = Array.from({ length: 6 }, (_, i) =>
    daily(
      200,
      Array.from({ length: 40 }, (_, t) => (random.next() < 0.25 && t > 2 ? NaN : 1 + random.poisson(2 * (i + 1)))),
    ),
  )
  const { values } = togetherOf(list)!
  // levels × sizes: the size of a listing is its units over the levels of the days that it knows, those being shares of the whole
  const shares = list.map((s) => {
    let [units, of] = [0, 0]
    s.values.forEach((v, t) => {
      if (v === v) [units, of] = [units + v, of + values[t]!]
    })
    return units / of
  })
  expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 4)
  values.forEach((level, t) => {
    const known = list.flatMap((s, i) => (s.values[t] === s.values[t] ? [{ v: s.values[t]!, share: shares[i]! }] : []))
    const sold = known.reduce((sum, k) => sum + k.v, 0)
    expect(sold / known.reduce((sum, k) => sum + k.share, 0) / level).toBeCloseTo(1, 3)
  })
})

test('windows are compared over listings that know half of both, scaled up to the whole', () => {
  const flat = (start: number, days: number, perDay: number) => daily(start, Array(days).fill(perDay) as number[])
  // days 100–155, windows of 28: 128–155 and 100–127
  expect(sameListings([flat(100, 56, 2)], 28)).toEqual({ later: 56, earlier: 56, listings: 1 })
  // fourteen days of the earlier window are half of it, thirteen are not
  expect(sameListings([flat(114, 42, 2)], 28)).toEqual({ later: 56, earlier: 56, listings: 1 })
  expect(sameListings([flat(115, 41, 2)], 28)).toEqual({ later: 0, earlier: 0, listings: 0 })
  expect(sameListings([flat(100, 56, 2), flat(100, 42, 3)], 28)).toEqual({ later: 140, earlier: 140, listings: 2 })
  expect(sameListings([flat(100, 56, 2), flat(100, 41, 3)], 28)).toEqual({ later: 56, earlier: 56, listings: 1 })
  // the windows end where they are told to
  expect(sameListings([flat(100, 56, 2)], 14, 127)).toEqual({ later: 28, earlier: 28, listings: 1 })
})
