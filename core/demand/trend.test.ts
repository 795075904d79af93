import { mannKendall, trendOf, usualScatter } from '.'
import { pullFactor } from './serial-dependence'
import { theilSenSlope } from './theil-sen'

// four values rise by 1 to 3: too few for the correlations of Hamed & Rao, which need five
const four = Float64Array.of(1, 2, 4, 7)
// of twelve that rise each but one, S is 64
const twelve = Float64Array.of(1, 3, 2, 4, 5, 6, 7, 8, 9, 10, 11, 12)
const alone = { ...usualScatter, variance: 0 }
test('where nothing pulls, the test is Mann–Kendall’s own, at once and with its variance looked at', () => {
  expect(trendOf(four, alone)).toEqual({ slope: theilSenSlope(four), p: mannKendall(four)?.p })
  const { z = 0, p = 0 } = mannKendall(twelve) ?? {}
  // (S − 1) / √(n (n − 1) (2n + 5) / 18)
  expect(z).toBeCloseTo(63 / Math.sqrt((12 * 11 * 29) / 18), 12)
  const told = trendOf(twelve, alone)
  expect(told.slope).toBe(1)
  expect(told.p).toBeCloseTo(p, 12)
})

test('what is no trend by the plain test is not looked at further, however its weeks pull', () => {
  const wavering = Float64Array.of(3, 1, 4, 2, 5, 3, 6, 2, 4, 5, 3, 5)
  const plain = mannKendall(wavering)
  expect(Math.abs(plain?.z ?? 9)).toBeLessThan(1.9)
  expect(trendOf(wavering, { ...usualScatter, pull: 0.9, variance: 9, counting: 1 }).p).toBe(plain?.p)
})

test('where weeks pull on each other, z is less by the root of the factor', () => {
  const { z = 0 } = mannKendall(twelve) ?? {}
  const scatterOf = (variance: number) => ({ ...usualScatter, pull: 0.6, variance, counting: 1 })
  const zOf = (variance: number) => z / Math.sqrt(pullFactor(scatterOf(variance), 12))
  // how much they vary where z comes to 3.291, by halving; beyond that lies 0.001 of the standard normal distribution, two-sided (any table of it)
  let [low, high] = [0, 1000]
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2
    if (zOf(middle) > 3.291) low = middle
    else high = middle
  }
  expect(zOf(low)).toBeCloseTo(3.291, 9)
  expect(trendOf(twelve, scatterOf(low)).p).toBeCloseTo(0.001, 5)
})

test('fewer than two values have no slope, fewer than three no test', () => {
  expect(trendOf(Float64Array.of(), usualScatter)).toEqual({ slope: null, p: null })
  expect(trendOf(Float64Array.of(3, NaN), usualScatter)).toEqual({ slope: null, p: null })
  expect(trendOf(Float64Array.of(3, NaN, 7), usualScatter)).toEqual({ slope: 2, p: null })
})
