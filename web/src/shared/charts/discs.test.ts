import { paintDiscs, pixelsOf, type Disc } from './discs'

const size = { width: 20, height: 10 }
const painted = (discs: Disc[]) => pixelsOf(paintDiscs(discs, size))
const at = (pixels: Uint8ClampedArray, x: number, y: number) => [
  ...pixels.subarray((y * size.width + x) * 4, (y * size.width + x) * 4 + 4),
]
const disc = { x: 5, y: 5, r: 3, colour: '#ff8000', alpha: 1 }

test('a disc covers its middle whole, its edge in part, and nothing beyond', () => {
  const pixels = painted([disc])
  expect(at(pixels, 5, 5)).toEqual([255, 128, 0, 255])
  expect(at(pixels, 7, 5)).toEqual([255, 128, 0, 255])
  const edge = at(pixels, 8, 5)[3] as number
  expect(edge).toBeGreaterThan(100)
  expect(edge).toBeLessThan(160)
  expect(at(pixels, 9, 5)).toEqual([0, 0, 0, 0])
  // what is covered is as large as a disc is
  const area = pixels.filter((_, i) => i % 4 === 3).reduce((sum, a) => sum + a / 255, 0)
  expect(area).toBeCloseTo(Math.PI * 9, 0)
})

test('a later one lies over an earlier one, by its alpha', () => {
  const half = { ...disc, colour: ' #0000ff', alpha: 0.5 }
  expect(at(painted([disc, half]), 5, 5)).toEqual([128, 64, 128, 255])
  expect(at(painted([half]), 5, 5)).toEqual([0, 0, 255, 128])
  // painted over a layer it is the same, and that stays as it was
  const under = paintDiscs([disc], size)
  expect(at(pixelsOf(paintDiscs([half], size, under)), 5, 5)).toEqual([128, 64, 128, 255])
  expect(at(pixelsOf(under), 5, 5)).toEqual([255, 128, 0, 255])
  // two halves are three quarters
  expect(at(painted([half, half]), 5, 5)[3]).toBeCloseTo(191, -1)
})

test('what reaches beyond the picture is cut off, on every side', () => {
  const corners = [
    [0, 0],
    [19, 0],
    [0, 9],
    [19, 9],
  ] as const
  const pixels = painted(corners.map(([x, y]) => ({ ...disc, x, y })))
  for (const [x, y] of corners) expect(at(pixels, x, y)[3]).toBe(255)
  expect(at(pixels, 10, 5)[3]).toBe(0)
  expect(painted([{ ...disc, x: -50 }]).every((v) => v === 0)).toBe(true)
})
