import { chance } from '../../standins/random'
import { PictureIndex, type Raster } from '.'

const random = chance(19)
const upTo = (most: number) => Math.floor(random.next() * most)

type Rect = [left: number, top: number, right: number, bottom: number]
type Colour = readonly [number, number, number]

/** A made picture: waves of grey with blots of colour, on its ground or in its frame, a few pixels of which are dirt. */
function some(width: number, height: number): Raster {
  const rgba: number[] = []
  const [a, b, c] = [3 * random.next(), 3 * random.next(), 6 * random.next()]
  const colour = (): Colour => [upTo(256), upTo(256), upTo(256)]
  const frame = Array.from({ length: 4 }, () => (random.next() < 0.6 ? upTo(Math.floor(width / 2.2)) : 0))
  const [ground, isOfOne] = [colour(), random.next() < 0.7]
  const sides = frame.map(() => (isOfOne ? ground : colour()))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const depth = [
        x - (frame[0] as number),
        y - (frame[1] as number),
        width - 1 - x - (frame[2] as number),
        height - 1 - y - (frame[3] as number),
      ]
      const at = depth.findIndex((d) => d < 0)
      const grey =
        128 + 80 * Math.sin((a * x) / width + (b * y) / height + c) + 40 * Math.sin((9 * x * y) / (width * height) + c)
      const own: Colour = x % 7 < 3 ? [grey, grey * 0.8, 90] : [grey, grey, grey]
      const [red, green, blue] = at < 0 || random.next() < 0.002 ? own : (sides[at] as Colour)
      // edges are a little uneven, as pictures that were packed are
      const dust = () => upTo(9) - 4
      rgba.push(...[red, green, blue].map((v) => Math.max(0, Math.min(255, Math.round(v + dust())))), 255)
    }
  return { rgba, width, height }
}

const pixel = ({ rgba, width }: Raster, x: number, y: number): Colour =>
  [0, 1, 2].map((k) => rgba[(y * width + x) * 4 + k]) as unknown as Colour

/** How many lines from an edge on are, but for a fiftieth of their pixels, of the colour in the middle of the outermost. */
function plainLines(lines: readonly (readonly Colour[])[], most: number): number {
  const of = lines[0]![lines[0]!.length >> 1]!
  const isPlain = (line: readonly Colour[]) =>
    line.filter((c) => c.some((v, k) => Math.abs(v - of[k]!) > 26)).length <= line.length / 50
  const end = lines.slice(0, Math.max(0, most)).findIndex((line) => !isPlain(line))
  return end < 0 ? Math.max(0, most) : end
}

function peeled(raster: Raster, [left, top, right, bottom]: Rect): Rect {
  const { width, height } = raster
  const [xs, ys] = [
    Array.from({ length: right - left }, (_, i) => left + i),
    Array.from({ length: bottom - top }, (_, i) => top + i),
  ]
  const columns = xs.map((x) => ys.map((y) => pixel(raster, x, y)))
  const rows = ys.map((y) => xs.map((x) => pixel(raster, x, y)))
  // thirty-five hundredths of the whole at most on each side, and one line is left
  const most = (taken: number, whole: number, here: number) =>
    Math.min(here - 1, Math.max(0, Math.floor(0.35 * whole) - taken))
  return [
    left + plainLines(columns, most(left, width, xs.length)),
    top + plainLines(rows, most(top, height, ys.length)),
    right - plainLines(columns.toReversed(), most(width - right, width, xs.length)),
    bottom - plainLines(rows.toReversed(), most(height - bottom, height, ys.length)),
  ]
}

/** The whole, and what is left as borders come off, four rounds at most. */
function insides(raster: Raster): Rect[] {
  const found: Rect[] = [[0, 0, raster.width, raster.height]]
  for (let round = 0; round < 4; round++) {
    const next = peeled(raster, found.at(-1)!)
    if (next.join() === found.at(-1)!.join()) break
    found.push(next)
  }
  return found
}

const parts: Rect[] = [
  [0, 0, 1, 1],
  ...[0.91, 0.82].flatMap((share) =>
    (
      [
        [0.5, 0.5],
        [0, 0],
        [1, 0],
        [0, 1],
        [1, 1],
      ] as const
    ).map(([x, y]): Rect => {
      const [left, top] = [x * (1 - share), y * (1 - share)]
      return [left, top, left + share, top + share]
    }),
  ),
]
const partOf = ([left, top, right, bottom]: Rect, [l, t, r, b]: Rect): Rect => [
  left + l * (right - left),
  top + t * (bottom - top),
  left + r * (right - left),
  top + b * (bottom - top),
]

/** The 80 slowest waves but the first of a part shrunk to 32 × 32, of length 127 in whole numbers. */
function printBy(raster: Raster, [left, top, right, bottom]: Rect): number[] {
  const cells = (from: number, to: number, most: number) =>
    Array.from({ length: 32 }, (_, i) => {
      const first = Math.min(most - 1, Math.floor(from + ((to - from) * i) / 32))
      const end = Math.min(most, Math.floor(from + ((to - from) * (i + 1)) / 32))
      return Array.from({ length: Math.max(1, end - first) }, (_c, k) => first + k)
    })
  const [xs, ys] = [cells(left, right, raster.width), cells(top, bottom, raster.height)]
  const grey = ys.map((rows) =>
    xs.map((columns) => {
      const all = rows.flatMap((y) => columns.map((x) => pixel(raster, x, y)))
      return all.reduce((sum, [r, g, b]) => sum + 0.299 * r + 0.587 * g + 0.114 * b, 0) / all.length
    }),
  )
  const cos = Array.from({ length: 9 }, (_, k) =>
    Array.from({ length: 32 }, (_c, i) => Math.cos((Math.PI * k * (2 * i + 1)) / 64)),
  )
  const along = cos.map((wave) => grey.map((row) => row.reduce((sum, v, x) => sum + v * wave[x]!, 0)))
  const waves = cos.flatMap((wave) => along.map((line) => line.reduce((sum, v, y) => sum + v * wave[y]!, 0)))
  const slow = waves.slice(1)
  const size = Math.sqrt(slow.reduce((sum, w) => sum + w * w, 0))
  return slow.map((w) => (size < 0.001 ? 0 : Math.round((w / size) * 127)))
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, v, i) => sum + v * b[i]!, 0)

function likenessBy(kept: Raster, asked: Raster): number {
  const [mine, theirs] = [insides(kept), insides(asked)]
  const lots = mine.length === 1 ? mine : [mine[0]!, mine.at(-1)!]
  const prints = lots.map((rect) => parts.map((view) => printBy(kept, partOf(rect, view))))
  const [outer, inner] = theirs
  // an edge of its own all around is a frame, which says nothing of what is shown
  const isFramed = inner && inner[0] > outer![0] && inner[1] > outer![1] && inner[2] < outer![2] && inner[3] < outer![3]
  const wholes = (isFramed ? theirs.slice(1) : theirs).map((rect) => printBy(asked, rect))
  const views = parts.slice(1).map((view) => printBy(asked, partOf(theirs.at(-1)!, view)))
  const all = [
    ...prints.flat().flatMap((print) => wholes.map((whole) => dot(print, whole))),
    ...prints.flatMap(([print]) => views.map((view) => dot(print!, view))),
  ]
  return Math.min(1, Math.max(-1, Math.max(...all) / 127 ** 2))
}

test('pictures are as like as their slow waves, whole and in part, without frame and ground', () => {
  const rounds = Array.from(
    { length: 12 },
    () => [some(33 + upTo(30), 33 + upTo(30)), some(33 + upTo(30), 20 + upTo(40))] as const,
  )
  const framed = rounds.filter(([a]) => insides(a).length > 1).length
  expect(framed).toBeGreaterThan(4)
  expect(framed).toBeLessThan(12)
  for (const [kept, asked] of rounds) {
    const index = new PictureIndex()
    index.add('kept', kept)
    index.add('asked', asked)
    expect(index.size).toBe(2)
    const wanted = [
      { key: 'asked', likeness: expect.closeTo(likenessBy(asked, asked), 9) as number },
      { key: 'kept', likeness: expect.closeTo(likenessBy(kept, asked), 9) as number },
    ]
    expect(index.find(asked, 9)).toEqual(wanted)
    expect(index.find(asked, 1)).toHaveLength(1)
  }
})
