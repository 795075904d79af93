import { course, courseMakes } from '../../standins/courses'
import { clumpOf } from './clumps'
import { stageOfLife } from '.'

const daily = (values: number[]) => ({ start: 20_000, stepDays: 1 as const, values: Float64Array.from(values) })

test('by hand: days of 0 and 4 in turn are four times as uneven as single orders, even days not at all', () => {
  // every neighbours differ by 4: 16 over a sum of 4
  expect(clumpOf(daily([0, 4, 0, 4, 0, 4]))).toBe(4)
  expect(clumpOf(daily([2, 2, 2, 2]))).toBe(1)
  expect(clumpOf(daily([0, 0, 0]))).toBe(1)
  expect(clumpOf(daily([]))).toBe(1)
  // a day that nobody counted has no neighbours
  expect(clumpOf(daily([0, 4, NaN, 9, 9, 0]))).toBeCloseTo((16 + 0 + 81) / (4 + 18 + 9), 9)
  expect(clumpOf({ ...daily([0, 4, 0, 4]), stepDays: 7 })).toBe(1)
  // one piece in all is as even as single orders are, and so is less
  expect(clumpOf(daily([0, 0.5, 0]))).toBe(1)
  // of ninety days where nobody says of how many
  expect(clumpOf(daily([0, 900, ...Array<number>(90).fill(2)]))).toBe(1)
  expect(clumpOf(daily([0, 900, ...Array<number>(88).fill(2)]))).toBeGreaterThan(400)
  // of the last days alone
  expect(clumpOf(daily([0, 90, 0, 90, 2, 2, 2]), 3)).toBe(1)
})

test('orders of three in the mean are five times as uneven (geometric: 2 × 3 − 1); a doubling is not', () => {
  const several = courseMakes.find((m) => m.name.startsWith('orders of several'))!
  const poisson = courseMakes[0]!
  const mean = (make: typeof poisson, change?: { daysAgo: number; times: number }) => {
    const all = Array.from({ length: 60 }, (_, seed) =>
      clumpOf({ start: 20_000, stepDays: 1, values: course(make, { perDay: 2, days: 182, seed, change }) }),
    )
    return all.reduce((a, b) => a + b, 0) / all.length
  }
  expect(mean(several)).toBeGreaterThan(4.2)
  expect(mean(several)).toBeLessThan(5.8)
  expect(mean(poisson)).toBeLessThan(1.15)
  expect(mean(poisson, { daysAgo: 28, times: 2 })).toBeLessThan(1.15)
})

test('a handful of orders of several pieces is no stage of life', () => {
  const values = Array.from({ length: 60 }, (_, d) => (d % 12 === 5 && d > 20 ? 6 : 0))
  // 18 units, and three orders
  expect(values.reduce<number>((a, b) => a + b, 0)).toBe(18)
  expect(stageOfLife([daily(values)])?.stage).toBe('Unclear')
})
