import { readFileSync } from 'node:fs'
import { comparePictures, hashDistance, picturePrint } from '.'

/** Made by scripts/fixtures/prints.py with SciPy's dct. */
const drawn = JSON.parse(readFileSync(new URL('./fixtures/scipy-prints.json', import.meta.url), 'utf8')) as {
  name: string
  grey: number[]
  hash: string
}[]
const inGrey = (grey: readonly number[]) => picturePrint(grey.flatMap((v) => [v, v, v, 255]))

test.each(drawn)('the hash of $name is that of SciPy', ({ grey, hash }) => expect(inGrey(grey).hash).toBe(hash))

test('the same picture in other light or slightly blurred is the same; another is not; the same in another colour is said to be', () => {
  const grey = drawn.find((d) => d.name === 'box')?.grey ?? []
  const other = drawn.find((d) => d.name === 'waves')?.grey ?? []
  const blurred = grey.map((v, i) => ((grey[i - 1] ?? v) + v + (grey[i + 1] ?? v)) / 3)
  expect(comparePictures(inGrey(grey), inGrey(blurred))).toBe('same picture')
  expect(hashDistance(inGrey(grey).hash, inGrey(grey.map((v) => v * 0.9)).hash)).toBeLessThanOrEqual(2)
  expect(comparePictures(inGrey(grey), inGrey(other))).toBe('unlike')
  const red = picturePrint(grey.flatMap((v) => [v, v * 0.5, v * 0.5, 255]))
  expect(comparePictures(inGrey(grey), red)).toBe('other colour')
  expect(hashDistance('00ff', '0100')).toBe(9)
  expect(() => picturePrint([1, 2, 3])).toThrow(RangeError)
})

test('six of 64 bits and eighteen of 255 are the same picture, sixteen bits are alike', () => {
  const print = (bits: number, rgb: [number, number, number] = [0, 0, 0]) => ({
    hash: ((1n << BigInt(bits)) - 1n).toString(16).padStart(16, '0'),
    rgb,
  })
  const none = print(0)
  expect(hashDistance(none.hash, print(6).hash)).toBe(6)
  expect(comparePictures(none, print(6))).toBe('same picture')
  expect(comparePictures(none, print(6, [18, 0, 0]))).toBe('same picture')
  expect(comparePictures(none, print(6, [0, 18.5, 0]))).toBe('other colour')
  expect(comparePictures(none, print(6, [11, 11, 11]))).toBe('other colour')
  expect(comparePictures(none, print(7))).toBe('alike')
  expect(comparePictures(none, print(16))).toBe('alike')
  expect(comparePictures(none, print(17))).toBe('unlike')
  expect(() => picturePrint(Array<number>(4 * 1025).fill(0))).toThrow('not of 1025')
})

test('the colour of a thing is its own, however much ground is around it', () => {
  const ground = [241, 230, 207]
  const on = (colour: number[]) =>
    picturePrint(
      Array.from({ length: 1024 }, (_, i) => [
        ...(i % 32 > 12 && i % 32 < 18 && i > 320 && i < 640 ? colour : ground),
        255,
      ]).flat(),
    )
  // by hand: every pixel but those of the thing weighs nothing
  expect(on([95, 134, 171]).rgb).toEqual([95, 134, 171])
  expect(comparePictures(on([95, 134, 171]), on([207, 159, 61]))).toBe('other colour')
  expect(comparePictures(on([95, 134, 171]), on([99, 130, 168]))).toBe('same picture')
  expect(picturePrint(Array.from({ length: 1024 }, () => [9, 8, 7, 255]).flat()).rgb).toEqual([9, 8, 7])
})
