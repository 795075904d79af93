import { readFileSync } from 'node:fs'
import { ClipList, earnsMore, type Clip } from '.'
import { aClip } from './fixtures/a-clip'

const of = (clips: Clip[]) => earnsMore(new ClipList(clips).columns)
const kind = (found: ReturnType<typeof earnsMore>, option: string) => found.find((f) => f.option === option)

test('the difference and its interval are those of R’s survey package, creators as clusters (scripts/fixtures/clip-kinds.R)', () => {
  const r = JSON.parse(readFileSync(new URL('fixtures/clip-kinds.json', import.meta.url), 'utf8')) as {
    clips: { creator: number; live: number; revenue: number }[]
    difference: number
    low: number
    high: number
    creators: number
  }
  const found = kind(
    of(
      r.clips.map(({ creator, live, revenue }, i) =>
        aClip({ key: String(i), title: '', creator: `@${creator}`, isLive: live === 1, revenueE4: revenue * 10_000 }),
      ),
    ),
    'live',
  )
  expect(found?.differenceE4).toBeCloseTo(r.difference * 10_000, 4)
  expect(found?.lowE4).toBeCloseTo(r.low * 10_000, 3)
  expect(found?.highE4).toBeCloseTo(r.high * 10_000, 3)
  expect(found?.creators).toBe(r.creators)
})

test('too few clips, or too few creators, are not compared; what is not known is left out', () => {
  const clips = (n: number, some: (i: number) => Partial<Clip>) =>
    Array.from({ length: n }, (_, i) =>
      aClip({ key: String(i), title: '', creator: `@${i}`, revenueE4: 10_000, ...some(i) }),
    )
  expect(of([])).toEqual([])
  expect(of(clips(19, (i) => ({ isLive: i < 10 })))).toEqual([])
  expect(of(clips(20, (i) => ({ isLive: i < 10 }))).map((f) => f.option)).toEqual(['clip', 'live'])
  expect(of(clips(40, (i) => ({ isLive: i % 2 === 0, creator: `@${i % 9}` })))).toEqual([])
  expect(of(clips(30, (i) => ({ isLive: i < 15, revenueE4: i % 2 ? null : 10_000 })))).toEqual([])
  // all alike: nothing is surer than that
  expect(of(clips(40, (i) => ({ isLive: i < 20 }))).every((f) => f.differenceE4 === 0 && !f.isSure)).toBe(true)
})

test('lengths are of clips alone, hours of all; their edges', () => {
  const clips = [15, 16, 30, 31, 60, 61].flatMap((length, l) =>
    Array.from({ length: 10 }, (_, i) =>
      aClip({
        key: `${l}.${i}`,
        title: '',
        creator: `@${i}`,
        revenueE4: (l + 1) * 10_000,
        length,
        hour: l * 4 + (i % 4),
      }),
    ),
  )
  const lives = clips.map((c) => ({ ...c, key: `live ${c.key}`, isLive: true, hour: null }))
  const found = of([...clips, ...lives])
  expect(
    ['up to 15 s', '16–30 s', '31–60 s', 'over 60 s'].map((o) => [kind(found, o)?.clips, kind(found, o)?.meanE4]),
  ).toEqual([
    [10, 10_000],
    [20, 25_000],
    [20, 45_000],
    [10, 60_000],
  ])
  expect(['0–4 h', '4–8 h', '20–24 h'].map((o) => kind(found, o)?.meanE4)).toEqual([10_000, 20_000, 60_000])
})

/** mulberry32 */
function randomOf(seed: number) {
  let a = seed
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
interface Make {
  creators: number
  clipsEach: number
  /** log-sd between creators, and between clips of one */
  between: number
  within: number
  /** share of clips that take nothing */
  nothing: number
  /** by how much lives take more */
  factor: number
}
function world({ creators, clipsEach, between, within, nothing, factor }: Make, seed: number): Clip[] {
  const random = randomOf(seed)
  const bell = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  return Array.from({ length: creators }, (_, who) => {
    const size = Math.exp(4 + between * bell())
    // whoever goes live does so often: kinds are not spread evenly over creators
    const lives = random() ** 2
    return Array.from({ length: 1 + Math.floor(2 * clipsEach * random()) }, (_, i) => {
      const isLive = random() < lives
      const took = random() < nothing ? 0 : size * Math.exp(within * bell()) * (isLive ? factor : 1)
      const [length, hour, day] = [Math.floor(90 * random()), Math.floor(24 * random()), Math.floor(300 * random())]
      const title = `${['See', 'Try', 'Look'][Math.floor(3 * random())] ?? ''} this`
      return aClip({
        key: `${who}.${i}`,
        creator: `@${who}`,
        isLive,
        length,
        hour,
        day,
        title,
        revenueE4: Math.round(1e4 * took),
      })
    })
  }).flat()
}
// every make is its own: few creators, many, heavy tails, most clips without a sale
test.each<[string, Make]>([
  ['30 creators', { creators: 30, clipsEach: 8, between: 0.8, within: 1, nothing: 0.4, factor: 1 }],
  ['400 creators of one or two clips', { creators: 400, clipsEach: 1, between: 1, within: 1, nothing: 0.6, factor: 1 }],
  ['heavy tails', { creators: 120, clipsEach: 4, between: 1.5, within: 1.5, nothing: 0.7, factor: 1 }],
])('where kinds make no difference, one is called sure in at most 8 of 100 worlds: %s', (_, make) => {
  const worlds = 100
  let [said, held, compared] = [0, 0, 0]
  for (let seed = 0; seed < worlds; seed++) {
    const found = of(world(make, seed))
    if (found.some((f) => f.isSure)) said++
    compared += found.length
    held += found.filter((f) => f.lowE4 <= 0 && f.highE4 >= 0).length
  }
  expect(said).toBeLessThanOrEqual(8)
  expect(held / compared).toBeGreaterThanOrEqual(0.9)
})

test('where lives take three times as much, that is told', () => {
  const make = { creators: 150, clipsEach: 6, between: 0.7, within: 0.8, nothing: 0.3, factor: 3 }
  const told = Array.from({ length: 30 }, (_, seed) => kind(of(world(make, seed)), 'live')?.isSure).filter(Boolean)
  expect(told.length).toBeGreaterThanOrEqual(27)
})
