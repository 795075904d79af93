import { PictureIndex, type Raster } from '.'

const likeness = (kept: Raster, asked: Raster): number => {
  const one = new PictureIndex()
  one.add('it', kept)
  return one.find(asked, 1)[0]?.likeness ?? NaN
}

/** Waves of several lengths, 0–255: no line of it is of one colour, and no part of it is like another. */
const wavy = (x: number, y: number, width: number, height: number) => {
  const [u, v] = [x / width, y / height]
  const wave = (a: number, b: number, at: number) => Math.sin(2 * Math.PI * (a * u + b * v) + at)
  return 128 + 34 * wave(1.3, 0.4, 0.2) + 30 * wave(-0.6, 1.9, 1) + 26 * wave(2.7, 2.2, 2.5) + 22 * wave(3.4, -1.8, 0.7)
}
const [wide, high] = [300, 240]
const whole: Raster = {
  rgba: Array.from({ length: wide * high }, (_, i) => {
    const grey = Math.round(wavy(i % wide, Math.floor(i / wide), wide, high))
    return [grey, grey, grey, 255]
  }).flat(),
  width: wide,
  height: high,
}
function cropped({ rgba, width }: Raster, left: number, top: number, w: number, h: number): Raster {
  const rows = Array.from({ length: h }, (_, y) => {
    const from = ((top + y) * width + left) * 4
    return Array.prototype.slice.call(rgba, from, from + w * 4) as number[]
  })
  return { rgba: rows.flat(), width: w, height: h }
}

test.each([
  [0.91, 0.5, 0.5],
  [0.91, 0, 0],
  [0.91, 1, 0],
  [0.91, 0, 1],
  [0.91, 1, 1],
  [0.82, 0.5, 0.5],
  [0.82, 0, 0],
  [0.82, 1, 0],
  [0.82, 0, 1],
  [0.82, 1, 1],
])(
  'of a picture cropped to %d from a corner or the middle (%d, %d) the whole is found, and the other way round',
  (share, x, y) => {
    const [w, h] = [wide * share, high * share].map(Math.round) as [number, number]
    const part = cropped(whole, Math.round((wide - w) * x), Math.round((high - h) * y), w, h)
    expect(likeness(whole, part)).toBeGreaterThan(0.99)
    expect(likeness(part, whole)).toBeGreaterThan(0.99)
  },
)

test('what is much smaller than the whole is not found by it', () => {
  expect(likeness(whole, cropped(whole, 0, 0, wide * 0.6, high * 0.6))).toBeLessThan(0.95)
})
