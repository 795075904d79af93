import { landedCurve } from './landed-curve'

const steps = [1, 9, 10, 100].map((quantity, i) => ({
  quantity,
  landedE4: [80_000, 60_000, 40_000, 30_000][i] as number,
}))
const curve = landedCurve(steps, { width: 256, height: 130, lot: 10 })

test('quantities lie on a log scale, cost begins at zero, my lot lies on the curve', () => {
  // 200 px from 1 to 100: 10 is in the middle
  expect(curve?.lot).toEqual({ x: 44 + 100, y: 60, landedE4: 40_000 })
  expect(curve?.ticks.map((t) => t.quantity)).toEqual([1, 10, 100])
  expect(curve?.levels[0]).toEqual({ e4: 0, y: 110 })
  expect(curve?.path.startsWith('M44,10')).toBe(true)
})
test('few quantities have finer ticks', () => {
  expect(landedCurve(steps.slice(0, 3), { width: 256, height: 130, lot: 3 })?.ticks.map((t) => t.quantity)).toEqual([
    1, 2, 5, 10,
  ])
})
test('without two quantities there is no curve, and a lot that is not on it has no mark', () => {
  expect(landedCurve([], { width: 256, height: 130, lot: 1 })).toBeNull()
  expect(landedCurve(steps.slice(0, 1), { width: 256, height: 130, lot: 1 })).toBeNull()
  expect(landedCurve(steps, { width: 256, height: 130, lot: 7 })?.lot).toBeNull()
})
