import { readFileSync } from 'node:fs'
import { calibrated, calibrationOf, fromLog, z80, type Calibration, type JudgedEstimate } from '.'
import { extraVariance } from './calibration'
import { chance } from '../../standins/random'

/** Made by scripts/fixtures/estimates.py with statsmodels. */
const { calibration: s } = JSON.parse(
  readFileSync(new URL('./fixtures/statsmodels.json', import.meta.url), 'utf8'),
) as {
  calibration: { errors: number[]; logSd: number[]; extra: number; mean: number }
}
const judged = (errors: readonly number[], sds: readonly number[]): JudgedEstimate[] =>
  errors.map((e, i) => ({ estimate: fromLog('stock', Math.log(1000), sds[i] as number), truth: 1000 * Math.exp(e) }))
const learnt = (errors: readonly number[], sds: readonly number[]) => calibrationOf(judged(errors, sds)) as Calibration

test('the variance on top, and the middle error, are those of statsmodels’ iterated (Paule–Mandel) effects', () => {
  const variances = s.logSd.map((x) => x ** 2)
  expect(extraVariance(s.errors, variances)).toBeCloseTo(s.extra, 6)
  const found = learnt(s.errors, s.logSd)
  expect(found).toMatchObject({ scale: Math.sqrt(1 + 1 / 9), freedom: 8, of: 9 })
  // the middle is believed to be none, worth two pairs; the spread is known from nine
  expect(found.shift).toBeCloseTo((s.mean * 9) / 11, 6)
  expect(found.extraSd).toBeCloseTo(Math.sqrt(s.extra * (1 + 1 / 9)), 6)
})

test('errors that are narrower than said shrink the spread: by hand, four of 0.1 and four of −0.1 where 0.4 was said', () => {
  const found = learnt([0.1, -0.1, 0.1, -0.1, 0.1, -0.1, 0.1, -0.1], Array(8).fill(0.4))
  expect(found.shift).toBeCloseTo(0, 9)
  expect(found.extraSd).toBe(0)
  // squares 8 × (0.1 / 0.4)² over seven degrees of freedom, times what eight know of the middle
  expect(found.scale).toBeCloseTo(Math.sqrt((8 * 0.0625) / 7) * Math.sqrt(1 + 1 / 8), 9)
  const now = calibrated(fromLog('stock', Math.log(50), 0.4, 60), found)
  expect(now.units).toBeCloseTo(50, 9)
  // of the log-normal that is left: what was said of its mean rested on what was said of its spread
  expect(now.mean).toBeCloseTo(50 * Math.exp((0.4 * found.scale) ** 2 / 2), 9)
  // Student's t of seven degrees of freedom at 0.9 is 1.414924 (from memory; R: qt(0.9, 7))
  expect(Math.log(now.high / now.units)).toBeCloseTo(1.414924 * 0.4 * found.scale, 6)
  expect(Math.log(now.units / now.low)).toBeCloseTo(1.414924 * 0.4 * found.scale, 6)
  expect(now.logSd * z80).toBeCloseTo(1.414924 * 0.4 * found.scale, 6)
})

test('what lies off is moved, in the middle and in the mean', () => {
  const found = learnt(Array(10).fill(Math.log(2)), Array(10).fill(0.2))
  // ten pairs and two that say none
  expect(found.shift).toBeCloseTo((10 / 12) * Math.log(2), 9)
  const now = calibrated(fromLog('stock', Math.log(10), 0.2, 12), found)
  expect(now.units).toBeCloseTo(10 * 2 ** (10 / 12), 9)
  // all lay off by the same: no spread is left
  expect(now.mean).toBeCloseTo(10 * 2 ** (10 / 12), 9)
})

test('nothing is learned from few, from what sold less than five, or from what has no spread', () => {
  const eight = judged(Array(8).fill(0.1), Array(8).fill(0.3))
  expect(calibrationOf(eight)?.of).toBe(8)
  expect(calibrationOf(eight.slice(1))).toBeNull()
  expect(calibrationOf(eight.map((j, i) => (i === 0 ? { ...j, truth: 4.9 } : j)))).toBeNull()
  expect(calibrationOf(eight.map((j, i) => (i === 0 ? { ...j, truth: 5 } : j)))?.of).toBe(8)
  expect(calibrationOf(eight.map((j) => ({ ...j, estimate: { ...j.estimate, logSd: 0 } })))).toBeNull()
  expect(calibrationOf(eight.map((j) => ({ ...j, estimate: { ...j.estimate, units: 0 } })))).toBeNull()
  const plain = fromLog('stock', 3, 0.3)
  expect(calibrated(plain, null)).toBe(plain)
})

test.each([
  [0.1, 0.5],
  [0.6, 0.2],
])('thirty pairs bring an interval that says a spread of %d where it is %d to 72–88 %', (said, true_) => {
  const random = chance(7)
  let [held, of] = [0, 0]
  for (let world = 0; world < 60; world++) {
    const next = (): JudgedEstimate => ({
      estimate: fromLog('stock', Math.log(1000), said),
      truth: 1000 * Math.exp(0.4 + true_ * random.normal()),
    })
    const learned = calibrationOf(Array.from({ length: 30 }, next))
    for (let i = 0; i < 50; i++) {
      const { estimate, truth } = next()
      const { low, high } = calibrated(estimate, learned)
      of++
      if (low <= truth && truth <= high) held++
    }
  }
  expect(held / of).toBeGreaterThan(0.76)
  expect(held / of).toBeLessThan(0.84)
})
