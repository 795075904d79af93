import { chance } from '../../standins/random'
import { comparePictures, hashDistance, picturePrint, printSide } from '.'

const random = chance(23)
const side = 32
type Colour = [number, number, number]

/** Grounds with a blot of another colour, and pictures of noise. */
const some = (): number[] => {
  const colour = (): Colour => [
    Math.floor(256 * random.next()),
    Math.floor(256 * random.next()),
    Math.floor(256 * random.next()),
  ]
  const [ground, blot, isNoise] = [colour(), colour(), random.next() < 0.3]
  const [x0, y0, size] = [4 + 10 * random.next(), 4 + 10 * random.next(), 5 + 12 * random.next()]
  return Array.from({ length: side * side }, (_, i) => {
    const [x, y] = [i % side, Math.floor(i / side)]
    const isIn = x >= x0 && x < x0 + size && y >= y0 && y < y0 + size
    return [...(isNoise ? colour() : isIn ? blot : ground), 255]
  }).flat()
}

/** Sixty-four waves across and down by the formula of the transform, each a bit for whether it is above their median. */
function hashBy(rgba: readonly number[]): string {
  const grey = Array.from(
    { length: side * side },
    (_, i) => 0.299 * rgba[4 * i]! + 0.587 * rgba[4 * i + 1]! + 0.114 * rgba[4 * i + 2]!,
  )
  const wave = (k: number, i: number) => Math.cos((Math.PI * k * (i + 0.5)) / side)
  const waves = Array.from({ length: 64 }, (_, at) => {
    const [v, u] = [Math.floor(at / 8), at % 8]
    let sum = 0
    for (let y = 0; y < side; y++) for (let x = 0; x < side; x++) sum += grey[y * side + x]! * wave(u, x) * wave(v, y)
    return Math.round(sum * 1000) / 1000
  })
  const sorted = [...waves].sort((a, b) => a - b)
  const bits = waves.map((w) => (w > (sorted[31]! + sorted[32]!) / 2 ? '1' : '0')).join('')
  return bits
    .match(/.{4}/g)!
    .map((four) => parseInt(four, 2).toString(16))
    .join('')
}

/** The mean colour by how far each pixel is from the middle colour of the edge. */
function colourBy(rgba: readonly number[]): Colour {
  const all = Array.from({ length: side * side }, (_, i) => ({
    x: i % side,
    y: Math.floor(i / side),
    c: rgba.slice(4 * i, 4 * i + 3),
  }))
  const edge = all.filter(({ x, y }) => x === 0 || y === 0 || x === side - 1 || y === side - 1)
  const ground = [0, 1, 2].map((k) => edge.map(({ c }) => c[k]!).sort((a, b) => a - b)[edge.length / 2]!)
  const far = all.map(({ c }) => ({ c, w: Math.sqrt(c.reduce((sum, v, k) => sum + (v - ground[k]!) ** 2, 0)) }))
  const whole = far.reduce((sum, { w }) => sum + w, 0)
  return (
    whole === 0 ? ground : ground.map((_, k) => Math.round(far.reduce((sum, { c, w }) => sum + w * c[k]!, 0) / whole))
  ) as Colour
}

test('a print is the hash of slow waves and the colour of what stands out, worked out by their formulas', () => {
  expect(printSide).toBe(side)
  for (let round = 0; round < 12; round++) {
    const rgba = some()
    expect(picturePrint(rgba)).toEqual({ hash: hashBy(rgba), rgb: colourBy(rgba) })
  }
  const plain = Array.from({ length: side * side }, () => [9, 90, 200, 255]).flat()
  expect(picturePrint(plain).rgb).toEqual([9, 90, 200])
  expect(() => picturePrint(plain.slice(4))).toThrow('a print is made of 1024 pixels, not of 1023')
})

test('of two prints six bits are of one picture and sixteen of alike ones; colours eighteen apart are one', () => {
  const bits = (n: number) => (2n ** BigInt(n) - 1n).toString(16).padStart(16, '0')
  const print = (n: number, rgb: Colour = [100, 100, 100]) => ({ hash: bits(n), rgb })
  for (const n of [0, 1, 6, 7, 16, 17, 64]) expect(hashDistance(bits(0), bits(n))).toBe(n)
  const none = print(0)
  expect([0, 6, 7, 16, 17].map((n) => comparePictures(none, print(n)))).toEqual([
    'same picture',
    'same picture',
    'alike',
    'alike',
    'unlike',
  ])
  expect(comparePictures(none, print(6, [100, 118, 100]))).toBe('same picture')
  expect(comparePictures(none, print(6, [100, 119, 100]))).toBe('other colour')
})
