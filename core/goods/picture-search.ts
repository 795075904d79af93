import { brightness, slowWaves } from './slow-waves'

/** Pixels of a picture, four bytes each, row by row. */
export interface Raster {
  rgba: ArrayLike<number>
  width: number
  height: number
}

interface Rect {
  left: number
  top: number
  right: number
  bottom: number
}

/** side of the square that a view is shrunk to, and of the corner of slow waves that is compared */
const [side, waves] = [32, 9]
/** slow waves without the first, which is the brightness of the whole */
const length = waves * waves - 1
/** waves no stronger are rounding: a plain picture has none */
const nothing = 1e-3
/** what a print of length 1 is kept as: whole numbers in a byte */
const scale = 127
/** a line of the edge belongs to the border while its colours differ by no more, 0–255 */
const borderSpread = 26
/** share of a line that may differ, and how much of a picture can be border, on each side */
const [strayShare, mostBorder] = [0.02, 0.35]
/** a frame, its blurred edge, and the ground within */
const mostRounds = 4

/** What a picture that was cropped shows of the whole: shares of its width and height. */
const views: readonly Rect[] = [1, 0.91, 0.82].flatMap((share) => {
  const rest = 1 - share
  const at = (x: number, y: number) => ({ left: x, top: y, right: x + share, bottom: y + share })
  return share === 1
    ? [at(0, 0)]
    : (
        [
          [0.5, 0.5],
          [0, 0],
          [1, 0],
          [0, 1],
          [1, 1],
        ] as const
      ).map(([x, y]) => at(x * rest, y * rest))
})

/**
 * Finds pictures that show the same by their slow cosine waves (the DCT of Zauner 2010, section 3.2, not cut to bits), of each picture as a whole
 * and of parts of it: so one that was cropped is found too. Borders of one colour are taken off first; brightness is compared and not colour.
 */
export class PictureIndex {
  readonly #keys: string[] = []
  /** prints of each picture end here, counted in prints */
  readonly #ends: number[] = []
  #prints = new Int8Array(0)

  get size(): number {
    return this.#keys.length
  }

  add(key: string, raster: Raster): void {
    const rects = insides(raster)
    // with what may be a border and without it, as a whole and in parts
    const ends = [rects[0], rects.at(-1)].filter((r, i, all): r is Rect => r !== undefined && all.indexOf(r) === i)
    const prints = ends.flatMap((rect) => views.map((view) => printOf(raster, part(rect, view))))
    const used = this.#ends.at(-1) ?? 0
    const needed = (used + prints.length) * length
    if (needed > this.#prints.length) {
      const larger = new Int8Array(Math.max(4096 * length, this.#prints.length * 2, needed))
      larger.set(this.#prints)
      this.#prints = larger
    }
    prints.forEach((print, i) => this.#prints.set(print, (used + i) * length))
    this.#keys.push(key)
    this.#ends.push(used + prints.length)
  }

  /**
   * The pictures most like one, the likest first.
   *
   * @returns likeness from −1 to 1, 1 for the same
   */
  find(raster: Raster, most: number): { key: string; likeness: number }[] {
    const rects = insides(raster)
    const [first, second] = rects as [Rect, Rect?]
    // what has an edge of its own all around may be framed: a frame says nothing of what is shown
    const shown = second && isInset(first, second) ? rects.slice(1) : rects
    const wholes = shown.map((rect) => printOf(raster, rect))
    const parts = views.slice(1).map((view) => printOf(raster, part(rects.at(-1) as Rect, view)))
    const found = this.#keys.map((key, i) => {
      const [from, to] = [this.#ends[i - 1] ?? 0, this.#ends[i] as number]
      let likeness = -Infinity
      for (let at = from; at < to; at++) {
        for (const whole of wholes) likeness = Math.max(likeness, this.#dot(whole, at * length))
        // the first of each lot of views is a whole
        if ((at - from) % views.length === 0)
          for (const print of parts) likeness = Math.max(likeness, this.#dot(print, at * length))
      }
      return { key, likeness: Math.min(1, likeness / (scale * scale)) }
    })
    return found.sort((a, b) => b.likeness - a.likeness).slice(0, most)
  }

  #dot(print: Int8Array, at: number): number {
    let sum = 0
    for (let i = 0; i < length; i++) sum += (print[i] as number) * (this.#prints[at + i] as number)
    return sum
  }
}

const part = ({ left, top, right, bottom }: Rect, view: Rect): Rect => ({
  left: left + view.left * (right - left),
  top: top + view.top * (bottom - top),
  right: left + view.right * (right - left),
  bottom: top + view.bottom * (bottom - top),
})

/** A picture as it is, and what is left once lines at the edges that are of one colour are taken off: a frame, its blurred edge, plain ground. */
function insides(raster: Raster): Rect[] {
  const rects: Rect[] = [{ left: 0, top: 0, right: raster.width, bottom: raster.height }]
  for (let round = 0; round < mostRounds; round++) {
    const last = rects.at(-1) as Rect
    const next = withoutOneColour(raster, last)
    if (area(next) === area(last)) break
    rects.push(next)
  }
  return rects
}

const isInset = (outer: Rect, inner: Rect) =>
  inner.left > outer.left && inner.top > outer.top && inner.right < outer.right && inner.bottom < outer.bottom

const area = ({ left, top, right, bottom }: Rect) => (right - left) * (bottom - top)

/** The same for the colour that each edge has now. */
function withoutOneColour({ rgba, width, height }: Raster, { left, top, right, bottom }: Rect): Rect {
  const isClose = (p: number, q: number) =>
    Math.abs((rgba[p] as number) - (rgba[q] as number)) <= borderSpread &&
    Math.abs((rgba[p + 1] as number) - (rgba[q + 1] as number)) <= borderSpread &&
    Math.abs((rgba[p + 2] as number) - (rgba[q + 2] as number)) <= borderSpread
  /** how many lines from an edge on are of the colour in the middle of the first */
  const plain = (first: number, perLine: number, perPixel: number, pixels: number, most: number): number => {
    const of = first + perPixel * (pixels >> 1)
    for (let line = 0; line < most; line++) {
      let off = 0
      for (let i = 0; i < pixels; i++) if (!isClose(first + line * perLine + i * perPixel, of)) off++
      if (off > pixels * strayShare) return line
    }
    return most
  }
  const [across, down] = [right - left, bottom - top]
  // no side goes beyond what can be border of the whole
  const leave = (edge: number, at: number, of: number) => Math.max(0, Math.floor(of * mostBorder) - Math.abs(at - edge))
  const pixel = (x: number, y: number) => (y * width + x) * 4
  const row = width * 4
  return {
    left: left + plain(pixel(left, top), 4, row, down, Math.min(across - 1, leave(0, left, width))),
    right: right - plain(pixel(right - 1, top), -4, row, down, Math.min(across - 1, leave(width, right, width))),
    top: top + plain(pixel(left, top), row, 4, across, Math.min(down - 1, leave(0, top, height))),
    bottom: bottom - plain(pixel(left, bottom - 1), -row, 4, across, Math.min(down - 1, leave(height, bottom, height))),
  }
}

/** Slow waves of the brightness of a part, of length 1. */
function printOf({ rgba, width, height }: Raster, { left, top, right, bottom }: Rect): Int8Array {
  const grey = new Float64Array(side * side)
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const [x0, x1] = span(left, right, x, width)
      const [y0, y1] = span(top, bottom, y, height)
      let sum = 0
      for (let v = y0; v < y1; v++)
        for (let u = x0; u < x1; u++) {
          const p = (v * width + u) * 4
          sum += brightness(rgba[p] as number, rgba[p + 1] as number, rgba[p + 2] as number)
        }
      grey[y * side + x] = sum / ((x1 - x0) * (y1 - y0))
    }
  const found = slowWaves(grey, side, waves).subarray(1)
  const size = Math.hypot(...found)
  return Int8Array.from(found, (w) => (size < nothing ? 0 : Math.round((w / size) * scale)))
}

/** Pixels of one of `side` equal parts between two edges, at least one. */
function span(from: number, to: number, at: number, most: number): [number, number] {
  const first = Math.min(most - 1, Math.floor(from + ((to - from) * at) / side))
  return [first, Math.max(first + 1, Math.min(most, Math.floor(from + ((to - from) * (at + 1)) / side)))]
}
