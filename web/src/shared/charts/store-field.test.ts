import type { StoreList } from '@sickle/core/stores'
import { storeField } from './store-field'

const list = (sales: number[], age: number[], units: number[] = sales.map(() => NaN)): StoreList => ({
  count: sales.length,
  markets: sales.map(() => 'Marrowgate'),
  names: sales.map((_, i) => `Store ${i}`),
  age: Float64Array.from(age),
  figures: { unitsTotal: Float64Array.from(sales), units: Float64Array.from(units) },
  from: {},
  facets: {} as StoreList['facets'],
})
const criteria = { leastSales: 10_000, mostMonths: 36 }
const size = { width: 600, height: 300 }
const all = (n: number) => Array.from({ length: n }, (_, i) => i)

test('older is further right, more sales further up, and the corner lies at the criteria', () => {
  const shape = storeField(list([10_000, 100, 40_000], [36, 12, 60]), all(3), criteria, size)
  const [edge, low, old] = shape.points
  expect([edge!.x, edge!.y]).toEqual([shape.corner.x, shape.corner.y])
  expect(low!.x).toBeLessThan(edge!.x)
  expect(old!.x).toBeGreaterThan(edge!.x)
  expect(old!.y).toBeLessThan(edge!.y)
  expect(low!.y).toBeGreaterThan(edge!.y)
  for (const { x, y } of shape.points) {
    expect(x).toBeGreaterThanOrEqual(shape.area.left)
    expect(x).toBeLessThanOrEqual(shape.area.right)
    expect(y).toBeGreaterThanOrEqual(shape.area.top)
    expect(y).toBeLessThanOrEqual(shape.area.bottom)
  }
})

test('the largest points lie whole within the field, also where they sold most', () => {
  const shape = storeField(list([175_000, 160_000, 50], [52, 0, 3], [7000, 7000, 0]), all(3), criteria, size)
  for (const { y, r } of shape.points) {
    expect(y - r).toBeGreaterThanOrEqual(shape.area.top)
    expect(y + r).toBeLessThanOrEqual(size.height)
  }
})

test('what is not known has no place, and is counted; nor has a store that sold nothing', () => {
  const shape = storeField(list([500, NaN, 700, 0], [10, 10, NaN, 10]), all(4), criteria, size)
  expect(shape.points.map((p) => p.store)).toEqual([0])
  expect(shape.without).toBe(3)
  expect(storeField(list([], []), [], criteria, size).points).toEqual([])
})

test('a point is found near the mouse alone, and the corner is read where it is dragged to', () => {
  const shape = storeField(list([10_000, 100], [36, 12]), all(2), criteria, size)
  const [first] = shape.points
  expect(shape.nearest(first!.x + 5, first!.y, 12)?.store).toBe(0)
  expect(shape.nearest(first!.x + 40, first!.y, 12)).toBeNull()
  expect(shape.valueAt(shape.corner.x, shape.corner.y)).toEqual(criteria)
  // beyond the field the last that is in it counts
  const beyond = shape.valueAt(-500, 9000)
  expect(beyond.mostMonths).toBe(1)
  expect(beyond.leastSales).toBeGreaterThan(0)
})

test('what a brush covers is read where it lies, and lies where it says', () => {
  const shape = storeField(list([10_000, 100], [36, 12]), all(2), criteria, size)
  const [first] = shape.points
  const at = shape.spanAt(first!.x, first!.y)
  expect(at).toEqual({ x: 36, y: 10_000 })
  expect(shape.placeOf.x(at.x, 0)).toBeCloseTo(first!.x, 6)
  expect(shape.placeOf.y(at.y, 0)).toBeCloseTo(first!.y, 6)
  // an open end is the edge that is given, and one beyond the field the edge of it
  expect(shape.placeOf.x(null, 77)).toBe(77)
  expect(shape.placeOf.x(9999, 0)).toBe(shape.area.right)
  expect(shape.placeOf.y(0, 0)).toBe(shape.area.bottom)
})

test('area is what it sells now; names do not lie over one another', () => {
  const shape = storeField(list([900, 900, 900], [5, 20, 40], [400, 100, NaN]), all(3), criteria, size)
  const [big, small, unknown] = shape.points.map((p) => p.r - 2.5)
  expect(big! / small!).toBeCloseTo(2, 9) // four times the units are twice the radius
  expect(unknown).toBe(0)
  const crowd = storeField(
    list(
      all(60).map(() => 900),
      all(60).map(() => 20),
    ),
    all(60),
    criteria,
    size,
  ) // one place for all
  expect(crowd.labels).toHaveLength(1)
})
