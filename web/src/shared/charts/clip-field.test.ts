import { clipField } from './clip-field'

const size = { width: 500, height: 200 }
const clips = (rows: [age: number, views: number, units: number, isFound?: number][]) => ({
  places: rows.map((_, i) => i + 7),
  age: rows.map((r) => r[0]),
  views: rows.map((r) => r[1]),
  units: rows.map((r) => r[2]),
  isFound: rows.map((r) => r[3] ?? 1),
})

test('the newest stand at the right, the most seen at the top, and size is what they sold', () => {
  const { points, area } = clipField(clips([[0, 100, 0], [50, 100_000, 400, 0], [10, 1_000, 100]]), size) // prettier-ignore
  const [fresh, seen, middle] = points
  expect(points.map((p) => p.place)).toEqual([7, 8, 9])
  expect(fresh!.x).toBeCloseTo(area.right, 6)
  expect(seen!.x).toBeLessThan(middle!.x)
  expect(seen!.y).toBeLessThan(middle!.y)
  expect(points.map((p) => p.hasSold)).toEqual([false, true, true])
  expect(points.map((p) => p.isFound)).toEqual([true, false, true])
  // area is units: a quarter of the units has half of what the largest has above the smallest
  expect(middle!.r - fresh!.r).toBeCloseTo((seen!.r - fresh!.r) / 2, 9)
})

test('what has no known day or no views has no place; what sold an unknown number is the smallest', () => {
  const shape = clipField(clips([[NaN, 100, 1], [3, NaN, 1], [3, 0, 1], [3, 10, NaN]]), size) // prettier-ignore
  expect([shape.points.length, shape.without]).toEqual([1, 3])
  expect(shape.points[0]).toMatchObject({ r: 2, hasSold: false })
  expect(clipField(clips([]), size).points).toEqual([])
})

test('a brush reads where points lie, and lies where it says', () => {
  const shape = clipField(clips([[40, 100, 1], [8, 10_000, 1]]), size) // prettier-ignore
  const [first] = shape.points
  expect(shape.spanAt(first!.x, first!.y)).toEqual({ x: 40, y: 100 })
  expect(shape.placeOf.x(40, 0)).toBeCloseTo(first!.x, 6)
  expect(shape.placeOf.y(100, 0)).toBeCloseTo(first!.y, 6)
  expect([shape.placeOf.x(null, 5), shape.placeOf.y(null, 6)]).toEqual([5, 6])
  expect(shape.placeOf.x(9999, 0)).toBe(shape.area.left)
  expect(shape.nearest(first!.x + 3, first!.y, 5)?.place).toBe(7)
  expect(shape.nearest(first!.x + 30, first!.y, 5)).toBeNull()
})
