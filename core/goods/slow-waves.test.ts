import { readFileSync } from 'node:fs'
import { brightness, slowWaves } from './slow-waves'

/** Made by scripts/fixtures/prints.py with SciPy's dct. */
const drawn = JSON.parse(readFileSync(new URL('./fixtures/scipy-prints.json', import.meta.url), 'utf8')) as {
  name: string
  grey: number[]
  slow: number[]
}[]

test.each(drawn)('the slow waves of $name are those of SciPy', ({ grey, slow }) => {
  const found = slowWaves(Float64Array.from(grey), 32, 9)
  expect(slow).toHaveLength(81)
  const off = slow.map((wanted, i) => Math.abs((found[i] as number) - wanted))
  expect(Math.max(...off)).toBeLessThan(1e-4)
})
test('fewer of them are the same ones', () => {
  const grey = Float64Array.from(drawn[0]?.grey ?? [])
  expect(slowWaves(grey, 32, 2)[3]).toBeCloseTo(slowWaves(grey, 32, 9)[10] as number, 9)
})
// ITU-R BT.601: green counts most, blue least, white is white.
test('brightness', () => {
  expect(brightness(255, 255, 255)).toBeCloseTo(255, 9)
  expect(brightness(100, 0, 0)).toBeCloseTo(29.9, 9)
  expect(brightness(0, 100, 0)).toBeCloseTo(58.7, 9)
  expect(brightness(0, 0, 100)).toBeCloseTo(11.4, 9)
})
