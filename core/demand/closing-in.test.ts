import fc from 'fast-check'
import { closingIn, isZero } from './closing-in'

/** Slopes of all pairs, in order: the definition. */
function slopesOf(t: ArrayLike<number>, y: ArrayLike<number>): Float64Array {
  const slopes: number[] = []
  for (let i = 0; i < y.length; i++)
    for (let j = i + 1; j < y.length; j++)
      slopes.push(((y[j] as number) - (y[i] as number)) / ((t[j] as number) - (t[i] as number)))
  return Float64Array.from(slopes).sort()
}
const middles = (slopes: Float64Array) =>
  [(slopes.length - 1) >> 1, slopes.length >> 1].map((at) => slopes[at] as number) as [number, number]
const medianOf = (slopes: Float64Array) => middles(slopes).reduce((a, b) => a + b) / 2

/** values of which no two pairs rise alike, at steps with gaps between */
const course = (most: number) =>
  fc
    .array(fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.integer({ min: 1, max: 3 })), {
      minLength: 2,
      maxLength: most,
    })
    .chain((points) => fc.tuple(fc.constant(points), fc.double({ min: -40, max: 40, noNaN: true })))
    .map(([points, trend]) => {
      let at = 0
      const t = points.map(([, gap]) => (at += gap))
      return { t, y: t.map((step, i) => trend * step + ((points[i]?.[0] ?? 0) + Math.sin(i * i)) * 10) }
    })

test('bounds that close in find the median of all slopes, without looking at all pairs', () => {
  fc.assert(
    fc.property(course(120), ({ t, y }) => {
      const slopes = slopesOf(t, y)
      const differ = new Set(slopes).size === slopes.length
      const found = closingIn(t, y)
      if (found !== null || differ) expect(found).toBe(medianOf(slopes))
    }),
    { numRuns: 400 },
  )
})

test('of two points it is the slope between them, of a straight line its own', () => {
  expect(closingIn([3, 5], [1, 8])).toBe(3.5)
  const t = Array.from({ length: 12 }, (_, i) => i)
  expect(
    closingIn(
      t,
      t.map((step) => 7 - 2 * step),
    ),
  ).toBe(-2)
})

test('a median that most pairs share is not parted by bounds', () => {
  const t = Array.from({ length: 100 }, (_, i) => i)
  expect(
    closingIn(
      t,
      t.map((step) => (step % 25 === 0 ? step + 0.1 : step)),
    ),
  ).toBeNull()
})

test('the median is 0 where neither what rises nor what falls is half of all pairs', () => {
  const few = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 2, maxLength: 30 })
  fc.assert(
    fc.property(few, (values) => {
      const [low, high] = middles(slopesOf([...values.keys()], values))
      expect(isZero(values)).toBe(low === 0 && high === 0)
    }),
    { numRuns: 1500 },
  )
})
