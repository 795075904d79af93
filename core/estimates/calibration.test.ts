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
  expect(found).toMatchObject({ scale: Math.sqrt(1 + 1 / 9), of: 9 })
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
  // Student's t of seven degrees of freedom at 0.9 is 1.414924 (from memory; R: qt(0.9, 7)); 0.8 × (8 + 1) is the eighth of eight pairs, one
  // of those above; it must reach to half a unit below what was truly sold
  const reached = Math.log(1000 * Math.exp(0.1) - 0.5) - Math.log(1000)
  const reach = (1.414924 * 0.4 * found.scale + reached) / 2
  expect(Math.log(now.high / now.units)).toBeCloseTo(reach, 6)
  expect(Math.log(now.units / now.low)).toBeCloseTo(reach, 6)
  expect(now.logSd * z80).toBeCloseTo(reach, 6)
})

test('the rank among the pairs: four of five, counting the one to come; an error in both ways, and none where whole units agree', () => {
  const errors = [0.5, -0.4, 0.3, -0.2, 0.1, 0.05, -0.05, 0, 0, 0, 0, 0, 0, 0]
  const found = learnt(errors, Array(14).fill(0.1))
  const spread = Math.hypot(found.scale * 0.1, found.extraSd)
  // 0.8 × 15 is the twelfth of fourteen: the third largest miss
  const miss = (e: number) => {
    const middle = Math.log(1000) + found.shift
    return e > 0 ? Math.log(1000 * Math.exp(e) - 0.5) - middle : middle - Math.log(1000 * Math.exp(e) + 0.5)
  }
  const third = [0.5, -0.4, 0.3].map(miss).sort((a, b) => b - a)[2]!
  // R: qt(0.9, 13) is 1.350171 (from memory)
  expect(found.reach).toBeCloseTo((1.350171 + third / spread) / 2, 5)
  // eight that agree to half a unit leave Student's alone
  const whole = Array.from({ length: 8 }, (_, i) => ({
    estimate: fromLog('stock', Math.log(10 + (i % 2 ? 0.4 : -0.4)), 0.1),
    truth: 10,
  }))
  expect(calibrationOf(whole)!.reach).toBeCloseTo(1.414924 / 2, 5)
})

test('however alike errors are, a hundredth of what was said of the spread stays', () => {
  expect(learnt(Array(10).fill(0), Array(10).fill(0.2)).scale).toBeCloseTo(0.01 * Math.sqrt(1.1), 12)
})

test('what lies off is moved, in the middle and in the mean', () => {
  const found = learnt(Array(10).fill(Math.log(2)), Array(10).fill(0.2))
  // ten pairs and two that say none
  expect(found.shift).toBeCloseTo((10 / 12) * Math.log(2), 9)
  const now = calibrated(fromLog('stock', Math.log(10), 0.2, 12), found)
  expect(now.units).toBeCloseTo(10 * 2 ** (10 / 12), 9)
  // all lay off by the same: hardly a spread is left
  expect(now.mean).toBeCloseTo(10 * 2 ** (10 / 12), 3)
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
