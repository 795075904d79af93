import { allClips, ClipList, clipSums, openingOf, whatSells, type Clip, type ClipQuery } from '.'
import { aClip } from './fixtures/a-clip'

const clip = (key: string, some: Partial<Clip> = {}) =>
  aClip({ key, day: 100, views: 1000, units: 1, revenueE4: 100_000, ...some })

const sumsOf = (clips: Clip[]) => clipSums(new ClipList(clips).columns)
const sellsOf = (clips: Clip[]) => whatSells(new ClipList(clips).columns)

describe('clips asked', () => {
  const list = new ClipList([
    clip('a', { units: 5, isLive: true, isPaid: true, views: 200 }),
    clip('b', { units: null, day: 50, title: 'Café on the balcony' }),
    clip('c', { units: 9, isPaid: false, creator: '@Wren', revenueE4: null }),
    clip('d', { units: 0, views: null, day: null }),
  ])
  const keys = (some: Partial<ClipQuery>) =>
    Array.from(list.ask({ ...allClips, ...some }), (at) => list.clips[at]?.key).join('')
  test.each<[Partial<ClipQuery>, string]>([
    [{}, 'cadb'],
    [{ descending: false }, 'dacb'],
    [{ sort: 'lives' }, 'a'],
    [{ sort: 'clips' }, 'cdb'],
    [{ reach: 'paid' }, 'a'],
    [{ reach: 'unpaid' }, 'c'],
    [{ limits: { views: [200, null] } }, 'cab'],
    [{ limits: { views: [201, null] } }, 'cb'],
    [{ limits: { views: [null, 200] } }, 'a'],
    [{ limits: { units: [5, 8] } }, 'a'],
    [{ limits: { age: [null, 49] } }, 'ca'],
    [{ limits: { age: [null, 50] } }, 'cab'],
    [{ limits: { age: [50, null], views: [1000, null] } }, 'b'],
    [{ limits: { revenue: [10, 10] } }, 'adb'],
    [{ limits: { length: [0, null] } }, ''],
    [{ words: 'wren PUT' }, 'c'],
    [{ words: 'cafe' }, 'b'],
    [{ words: 'nobody' }, ''],
    // 10.00 by 200 views are 50.00 a thousand, by 1,000 views 10.00; without either nothing is known
    [{ by: 'perThousand' }, 'abdc'],
    [{ by: 'day', descending: false }, 'bacd'],
  ])('%j: %s', (some, wanted) => {
    if (some.by === 'perThousand') expect(keys(some).slice(0, 2)).toBe('ab')
    else expect(keys(some)).toBe(wanted)
  })
})

describe('what clips come to', () => {
  test('sums over what is known; how much hangs on the best', () => {
    const sums = sumsOf([
      clip('a', { units: 8, isLive: true, isPaid: true }),
      clip('b', { units: 0, isPaid: false, views: null }),
      clip('c', { units: 2, creator: '@wren', revenueE4: null }),
      clip('d', { units: null }),
    ])
    expect(sums).toEqual({
      clips: 3,
      lives: 1,
      creators: 2,
      views: 3000,
      units: 10,
      revenueE4: 300_000,
      perThousandE4: null,
      nothingRatio: 1 / 3,
      bestClipRatio: 0.8,
      bestCreatorRatio: 0.8,
      paidRatio: 0.5,
    })
    expect(sumsOf([])).toMatchObject({
      views: null,
      units: null,
      revenueE4: null,
      bestClipRatio: null,
      nothingRatio: null,
      paidRatio: null,
    })
    expect(sumsOf([clip('a', { units: 0 })]).bestClipRatio).toBeNull()
  })
  test('sales a thousand views with their interval over creators, by hand', () => {
    const [views, revenue] = [
      [1000, 2000, 3000, 1000, 3000],
      [10, 30, 20, 20, 40],
    ]
    const sums = sumsOf(
      views.map((v, i) => clip(String(i), { creator: `c${i}`, views: v, revenueE4: (revenue[i] ?? 0) * 10_000 })),
    )
    // 120 by 10,000 views; residuals −2, 6, −16, 8, 4: squares 376; √(5/4 × 376) / 10,000 = 0.00216795; t of 4 at 0.975 is 2.77644511
    expect(sums.perThousandE4?.value).toBeCloseTo(120_000, 6)
    expect(sums.perThousandE4?.low).toBeCloseTo(120_000 - 27_764_451.05 * 0.00216795, -1)
    expect(sums.perThousandE4?.high).toBeCloseTo(120_000 + 27_764_451.05 * 0.00216795, -1)
    expect(
      sumsOf(views.slice(1).map((v, i) => clip(String(i), { creator: `c${i}`, views: v }))).perThousandE4,
    ).toBeNull()
  })
})

test('what goes with selling: lives that nearly always sell stand out, weekdays and openings that do not differ do not', () => {
  const clips = Array.from({ length: 200 }, (_, i) =>
    clip(String(i), {
      isLive: i % 2 === 0,
      units: i % 2 === 0 ? (i % 20 === 0 ? 0 : 3) : i % 6 === 1 ? 1 : 0,
      day: i,
      title: i % 4 < 2 ? 'A week with it' : 'Is it worth it?',
    }),
  )
  const lifts = sellsOf(clips)
  expect(
    lifts
      .filter((l) => l.isLift)
      .map((l) => `${l.choice}: ${l.option}`)
      .sort(),
  ).toEqual(['Sort: clip', 'Sort: live'])
  expect(lifts.map((l) => l.choice)).toEqual(expect.arrayContaining(['Day', 'Opening']))
  // the first of January 1970 was a Thursday
  expect(
    sellsOf(Array.from({ length: 20 }, (_, i) => clip(String(i), { day: i < 10 ? 0 : 1 }))).map((l) => l.option),
  ).toEqual(expect.arrayContaining(['Thursday', 'Friday']))
  expect(sellsOf([clip('a', { units: null })])).toEqual([])
})

test.each([
  ['Is it worth it?', 'is it'],
  ['Süß!', ''],
  ['  Vorher – Nachher …', 'vorher nachher'],
])('%s opens with "%s"', (title, opening) => expect(openingOf(title)).toBe(opening))
