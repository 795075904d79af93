import fc from 'fast-check'
import {
  courseOf,
  pairedGrowth,
  priceResponse,
  scatteredGrowth,
  seasonOf,
  stageOfLife,
  trendOf,
  usualScatter,
  weekdayPull,
  wilsonInterval,
  type UnitSeries,
} from '.'

/** Sales as files have them at their worst: nothing at all, gaps, only noughts, one day, returns of more than was sold. */
const values = fc.oneof(
  fc.array(fc.constantFrom(0, NaN), { maxLength: 900 }),
  fc.array(fc.constantFrom(-3, 0, 1, NaN, 1e9), { maxLength: 60 }),
  fc.array(fc.integer({ min: -5, max: 40 }), { minLength: 700, maxLength: 900 }),
)
const series = fc
  .record({
    values,
    stepDays: fc.constantFrom(1 as const, 7 as const),
    start: fc.integer({ min: 19_000, max: 20_600 }),
  })
  .map(({ values, ...rest }): UnitSeries => ({ ...rest, values: Float64Array.from(values) }))

/** Where a number is NaN or without end, by its path; what is not known is null. */
function broken(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} ${value}`]
  if (ArrayBuffer.isView(value) || value === null || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, part]) => broken(part, `${path}.${key}`))
}

test('whatever the sales, a figure is a number or not known', () => {
  fc.assert(
    fc.property(fc.array(series, { maxLength: 3 }), (list) => {
      expect(broken(stageOfLife(list))).toEqual([])
      expect(broken(courseOf(list))).toEqual([])
      for (const one of list) {
        expect(broken(seasonOf(one))).toEqual([])
        expect(broken(weekdayPull(one))).toEqual([])
        expect(broken(trendOf(one.values, usualScatter))).toEqual([])
      }
    }),
    { numRuns: 60 },
  )
})

test('growth that the arithmetic cannot tell from all of it is open above', () => {
  const values = Float64Array.of(1, 1, -3, -3, -3, 1e9)
  expect(broken(stageOfLife([{ start: 19_000, stepDays: 7, values }]))).toEqual([])
  expect(scatteredGrowth(1e17, 1, 1, 0, 20).high).toBeNull()
})

test('shares, growth and prices of nothing, of less than nothing and of one thing', () => {
  expect(wilsonInterval(0, 0)).toBeNull()
  expect(broken([pairedGrowth([0, 0, 0], [0, 0, 0]), pairedGrowth([], []), pairedGrowth([5], [0])])).toEqual([])
  for (const [later, earlier] of [
    [0, 0],
    [5, 0],
    [0, 5],
    [-2, 5],
    [5, -2],
  ] as const)
    expect([later, earlier, ...broken(scatteredGrowth(later, earlier, 1, 0.1, 20))]).toEqual([later, earlier])
  const same = Array.from({ length: 40 }, () => ({ price: 10, units: 0, promoted: null }))
  expect(priceResponse(same)).toBeNull()
  expect(priceResponse(same.map((p) => ({ ...p, units: 3 })))).toBeNull()
})
