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
