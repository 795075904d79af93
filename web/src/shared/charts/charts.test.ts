import { ladder } from './ladder'
import { salesGeometry } from './sales-geometry'
import { sparkPath } from './sparkline'
import { stripPaths } from './strip-geometry'
import { waterfall } from './waterfall'

test('waterfall: each bar begins where the one before ended, and the last ends at the profit', () => {
  const line = (id: string, amountE4: number | null) => ({ id, label: id, group: 'goods' as const, amountE4 })
  const { bars, zero } = waterfall([line('price', 1000), line('fee', -250), line('goods', -500)])
  expect(zero).toBe(0)
  expect(bars.map((b) => [b.from, b.width])).toEqual([
    [0, 1],
    [0.75, 0.25],
    [0.25, 0.5],
  ])
  expect(bars.at(-1)?.remains).toBe(250)
  const loss = waterfall([line('price', 100), line('goods', -300)])
  expect(loss.zero).toBeCloseTo(2 / 3)
  expect(loss.bars[1]).toMatchObject({ from: 0, width: 1, remains: -200 })
  expect(waterfall([line('price', 100), line('goods', null), line('fee', -1)]).bars.at(-1)?.remains).toBeNull()
})

test('ladder: dear is up, prices stand true, labels keep clear of each other and of mine', () => {
  const rungs = [9.9, 9.95, 10, 12, 14].map((p, i) => ({ id: String(i), label: 's', priceE4: p * 10_000, profitE4: 0 }))
  const shape = ladder(rungs, { mineE4: 98_900, marksE4: [70_200, 47_100], height: 600 })
  const [top] = shape.rungs
  expect(top?.priceE4).toBe(140_000)
  for (const r of shape.rungs) {
    expect(r.y).toBeCloseTo(shape.y(r.priceE4), 9)
    expect(shape.priceAt(r.y)).toBeCloseTo(r.priceE4, 3)
    expect(Math.abs(r.labelY - shape.y(98_900))).toBeGreaterThan(14)
  }
  const labels = shape.rungs.map((r) => r.labelY)
  labels.slice(1).forEach((y, i) => expect(y - (labels[i] as number)).toBeGreaterThanOrEqual(16.9))
  expect(shape.low).toBeLessThan(47_100)
})

test('strips: heights grow with the square root, nothing is no bar, something always shows', () => {
  const strip = { measure: 'x', all: [100, 25, 0, 1], passing: [100, 0, 0, 1], wouldReturn: 0, unknown: 0 }
  const paths = stripPaths(strip, { width: 40, height: 50, isInside: (i) => i < 2 })
  expect(paths.all).toBe('M0 0h9v50h-9zM10 25h9v25h-9zM30 45h9v5h-9z')
  expect(paths.inside).toBe('M0 0h9v50h-9z')
  expect(paths.outside).toBe('M30 45h9v5h-9z')
})

test('a gap breaks the line', () => {
  expect(sparkPath([1, null, 1], 10, 10).match(/M/g)).toHaveLength(2)
  expect(sparkPath([], 10, 10)).toBe('')
})

test('sales: gaps are marked and are not zero; the mean needs four known days of seven', () => {
  const values = Float64Array.from({ length: 28 }, (_, i) => (i >= 10 && i < 14 ? NaN : 2))
  const shape = salesGeometry({ start: 100, stepDays: 1, values }, 28, 280, 90)
  expect(shape.gaps).toHaveLength(4)
  expect(shape.bars).toHaveLength(24)
  expect(shape.points.find((p) => p.day === 113)?.units).toBeNull()
  expect(shape.points.at(-1)).toEqual({ day: 127, units: 2 })
  const weeks = salesGeometry({ start: 100, stepDays: 7, values: Float64Array.from([7, 14, NaN, 21]) }, 28, 280, 90)
  expect(weeks.points.map((p) => p.units)).toEqual([1, 2, null, 3])
  expect(weeks.bars).toEqual([])
})
