import { brightness, slowWaves } from './slow-waves'

/** side of the square that a picture is shrunk to before it is looked at */
export const printSide = 32
/** side of the corner of slow waves that is kept */
const kept = 8

/** What is remembered of a picture, to tell whether another shows the same. */
export interface PicturePrint {
  /** 64 bits as 16 hexadecimal digits: which of its slow waves are above the middle one */
  hash: string
  /** colour of what stands out from the ground, 0–255 each */
  rgb: Colour
}

/**
 * The print of a picture of 32 × 32 pixels. The hash is the DCT perceptual hash: of the two-dimensional cosine transform (type II)
 * of its brightness the 8 × 8 slowest waves, each a bit for whether it is above their median. Source: Zauner 2010, Implementation and
 * Benchmarking of Perceptual Image Hash Functions, section 3.2; brightness by ITU-R BT.601.
 *
 * @param rgba four bytes a pixel, row by row
 * @throws RangeError where there are not 32 × 32 pixels
 */
export function picturePrint(rgba: ArrayLike<number>): PicturePrint {
  const pixels = printSide * printSide
  if (rgba.length !== pixels * 4) throw new RangeError(`a print is made of ${pixels} pixels, not of ${rgba.length / 4}`)
  const grey = Float64Array.from({ length: pixels }, (_, i) => {
    const [r, g, b] = pixelAt(rgba, i)
    return brightness(r, g, b)
  })
  // What is nothing but for rounding is nothing: a plain picture has one print, not a print by chance.
  const slow = slowWaves(grey, printSide, kept).map((v) => Math.round(v * 1000) / 1000)
  return { hash: hashOf(slow), rgb: colourOfThing(rgba) }
}

type Colour = [number, number, number]

function pixelAt(rgba: ArrayLike<number>, i: number): Colour {
  return [rgba[i * 4] as number, rgba[i * 4 + 1] as number, rgba[i * 4 + 2] as number]
}

const distance = (a: Colour, b: Colour) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])

/**
 * The mean colour of a picture, each pixel weighing as much as it stands out from the ground, which is the middle colour of its
 * edge: a small blue pot on a large white ground is blue. A plain picture has its own colour.
 */
function colourOfThing(rgba: ArrayLike<number>): Colour {
  const all = Array.from({ length: printSide * printSide }, (_, i) => pixelAt(rgba, i))
  const isEdge = (i: number) => [0, printSide - 1].some((e) => i % printSide === e || Math.floor(i / printSide) === e)
  const edge = all.filter((_, i) => isEdge(i))
  const middle = (k: 0 | 1 | 2) => edge.map((c) => c[k]).sort((a, b) => a - b)[edge.length >> 1] as number
  const ground: Colour = [middle(0), middle(1), middle(2)]
  const sum: Colour = [0, 0, 0]
  let weight = 0
  for (const colour of all) {
    const w = distance(colour, ground)
    weight += w
    for (const k of [0, 1, 2] as const) sum[k] += w * colour[k]
  }
  return weight === 0 ? ground : (sum.map((v) => Math.round(v / weight)) as Colour)
}

function hashOf(slow: Float64Array): string {
  const sorted = [...slow].sort((a, b) => a - b)
  const half = sorted.length / 2
  const median = ((sorted[half - 1] as number) + (sorted[half] as number)) / 2
  let hash = ''
  for (let i = 0; i < slow.length; i += 4) {
    let digit = 0
    for (let bit = 0; bit < 4; bit++) digit = digit * 2 + Number((slow[i + bit] as number) > median)
    hash += digit.toString(16)
  }
  return hash
}

/** How many of 64 bits differ. */
export function hashDistance(a: string, b: string): number {
  let bits = 0
  for (let i = 0; i < a.length; i++) {
    let differing = Number(`0x${a[i] as string}`) ^ Number(`0x${b[i] as string}`)
    for (; differing > 0; differing &= differing - 1) bits++
  }
  return bits
}

/** How two pictures compare: shape by their hashes, colour by the mean. */
export type PictureLikeness = 'same picture' | 'other colour' | 'alike' | 'unlike'

/** bits up to which two hashes are of one picture (Zauner 2010: about a tenth of 64), or of pictures that are alike; colours of 0–255 */
const [sameBits, alikeBits, sameColour] = [6, 16, 18]

export function comparePictures(a: PicturePrint, b: PicturePrint): PictureLikeness {
  const bits = hashDistance(a.hash, b.hash)
  if (bits <= sameBits) return distance(a.rgb, b.rgb) <= sameColour ? 'same picture' : 'other colour'
  return bits <= alikeBits ? 'alike' : 'unlike'
}
