import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { PictureIndex, type Raster } from '.'
import { readPack, type Packed } from './fixtures/read-pack'

/** 150 drawings and photographs of the Debian packages openclipart-png and tuxpaint-stamps-default, 50 of them changed in five ways. */
const pack = [...readPack(gunzipSync(readFileSync(new URL('./fixtures/pictures.pack.gz', import.meta.url))))]
const index = new PictureIndex()
const changed: (Packed & { way: string })[] = []
for (const picture of pack) {
  if (picture.way === undefined) index.add(String(picture.of), picture)
  else changed.push({ ...picture, way: picture.way })
}

// What it comes to among 10,000, half of it kept aside, stands in docs/checks.md.
test.each(['crop', 'colour', 'encoding', 'border', 'all'])('after %s the picture is found again', (way) => {
  const asked = changed.filter((p) => p.way === way).filter((_, i) => i % 2 === 0)
  expect([index.size, asked.length]).toEqual([150, 25])
  const found = asked.filter((p) => index.find(p, 5).some((f) => f.key === String(p.of)))
  expect(found.length / asked.length).toBeGreaterThanOrEqual(way === 'all' ? 0.8 : 0.92)
})

/** A picture of 40 × 30 by a function of place, 0–255. */
const drawn = (grey: (x: number, y: number) => number): Raster => {
  const rgba = new Uint8ClampedArray(40 * 30 * 4).fill(255)
  for (let i = 0; i < 40 * 30; i++) rgba.fill(grey(i % 40, Math.floor(i / 40)), i * 4, i * 4 + 3)
  return { rgba, width: 40, height: 30 }
}
const slope = drawn((x, y) => x * 4 + y * 2)
const blot = drawn((x, y) => 255 - 200 * Math.exp(-((x - 12) ** 2 + (y - 20) ** 2) / 40))

test('the same picture has a likeness of 1, its negative one of −1, and the likest stands first', () => {
  const small = new PictureIndex()
  small.add('slope', slope)
  small.add('blot', blot)
  expect(small.find(slope, 9).map((f) => f.key)).toEqual(['slope', 'blot'])
  expect(small.find(slope, 1)[0]?.likeness).toBeCloseTo(1, 1)
  expect(small.find(blot, 1)).toMatchObject([{ key: 'blot' }])
  expect(new PictureIndex().find(slope, 5)).toEqual([])
})
test('a plain picture is like nothing, and breaks nothing', () => {
  const small = new PictureIndex()
  small.add(
    'plain',
    drawn(() => 200),
  )
  expect(
    small.find(
      drawn(() => 10),
      5,
    ),
  ).toEqual([{ key: 'plain', likeness: 0 }])
  small.add('slope', slope)
  expect(small.find(slope, 1)[0]?.key).toBe('slope')
})

/** Another picture within lines of one colour, so many on each side. */
function framed(inner: Raster, { left = 0, right = 0, top = 0, bottom = 0 }, grey = 250): Raster {
  const [width, height] = [inner.width + left + right, inner.height + top + bottom]
  const rgba = new Uint8ClampedArray(width * height * 4).fill(grey)
  for (let y = 0; y < inner.height; y++)
    for (let x = 0; x < inner.width * 4; x++)
      rgba[((y + top) * width + left) * 4 + x] = inner.rgba[y * inner.width * 4 + x] as number
  return { rgba, width, height }
}
const likeness = (kept: Raster, asked: Raster): number => {
  const one = new PictureIndex()
  one.add('it', kept)
  return one.find(asked, 1)[0]?.likeness ?? NaN
}
/** Dark and uneven all around, so that no line of it is a border. */
const uneven = drawn((x, y) => 20 + ((x * 37 + y * 91) % 120) + (x > 12 && y > 9 && x < 26 ? 60 : 0))

test.each([{ left: 8 }, { right: 8 }, { top: 8 }, { bottom: 8 }, { left: 5, right: 9, top: 3, bottom: 6 }])(
  'lines of one colour at an edge say nothing of what is shown: %j',
  (lines) => {
    expect(likeness(uneven, framed(uneven, lines))).toBeGreaterThan(0.995)
    expect(likeness(framed(uneven, lines), uneven)).toBeGreaterThan(0.995)
  },
)
test('a border may be a third of a picture and no more, and differ by a tenth of its colours and no more', () => {
  // 20 of 60 are 33 %, 30 of 70 are 43 %
  expect(likeness(uneven, framed(uneven, { left: 20 }))).toBeGreaterThan(0.995)
  expect(likeness(uneven, framed(uneven, { left: 30 }))).toBeLessThan(0.99)
  const stained = (by: number) => {
    const it = framed(uneven, { left: 12 })
    const rgba = Uint8ClampedArray.from(it.rgba)
    for (let y = 0; y < it.height; y += 2)
      for (let x = 0; x < 12; x++) rgba.fill(250 - by, (y * it.width + x) * 4, (y * it.width + x) * 4 + 3)
    return { ...it, rgba }
  }
  expect(likeness(uneven, stained(26))).toBeGreaterThan(0.995)
  expect(likeness(uneven, stained(40))).toBeLessThan(0.99)
})
test('a frame within a frame is taken off too', () => {
  const twice = framed(
    framed(uneven, { left: 4, right: 4, top: 4, bottom: 4 }, 250),
    { left: 3, right: 3, top: 3, bottom: 3 },
    10,
  )
  expect(likeness(uneven, twice)).toBeGreaterThan(0.995)
})
test('pictures of a pixel or two are compared as they are', () => {
  const tiny = (...greys: number[]): Raster => ({
    rgba: greys.flatMap((g) => [g, g, g, 255]),
    width: 2,
    height: greys.length / 2,
  })
  const [a, b] = [tiny(0, 250, 250, 0), tiny(250, 0, 0, 250)]
  expect(likeness(a, a)).toBeGreaterThan(0.98)
  expect(likeness(a, b)).toBeLessThan(0)
})
