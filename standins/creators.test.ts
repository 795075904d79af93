import { creatorsOf, fitting, type About, type Clip } from '@sickle/core/social'
import { cast, clipsAbout, kindFactor } from './creators'
import { hitClips, hits, hitUnits, lucky } from './demo-hits'
import { demoWorld } from './demo-stores'

const about = { seed: 7, count: 40, units: 4000, topic: 'Garden' }

test('nobody of the cast is named twice; the same thing has the same clips', () => {
  expect(new Set(cast.map((c) => c.name)).size).toBe(cast.length)
  expect(clipsAbout(about)).toEqual(clipsAbout(about))
  expect(clipsAbout({ ...about, seed: 8 })).not.toEqual(clipsAbout(about))
})

test('clips sell together what they are to, by those who show such things, at hours that there are', () => {
  const clips = clipsAbout(about)
  expect(clips).toHaveLength(40)
  expect(clips.reduce((sum, c) => sum + c.units, 0)).toBeGreaterThan(3600)
  expect(clips.reduce((sum, c) => sum + c.units, 0)).toBeLessThan(4400)
  const by = new Map(cast.map((c) => [c.name, c]))
  for (const clip of clips) {
    expect(by.get(clip.creator)?.topics).toContain('Garden')
    expect(clip.hour).toBeGreaterThanOrEqual(0)
    expect(clip.hour).toBeLessThan(24)
    expect(clip.length).toBeGreaterThan(5)
    expect(clip.views).toBeGreaterThan(clip.units)
  }
})

test.each([
  [{ isLive: true, length: 20, caption: 'A week with it' }, 2],
  [{ isLive: false, length: 15, caption: 'A week with it' }, 1],
  [{ isLive: false, length: 16, caption: 'A week with it' }, 1.5],
  [{ isLive: false, length: 30, caption: 'Before and after' }, 2.25],
  [{ isLive: false, length: 31, caption: 'Before and after' }, 1.5],
])('truth of kinds: %j sells %d times as much', (clip, factor) => expect(kindFactor(clip)).toBe(factor))

test('who fits a kind of goods shows that kind: by the cast’s own truth, among three kinds', () => {
  const topics = ['Garden', 'Home', 'Paper']
  const made = Array.from({ length: 120 }, (_, i) => {
    const topic = topics[i % 3] ?? ''
    return clipsAbout({ seed: i, count: 6, units: 60, topic }).map((c): [Clip, About] => [
      {
        ...c,
        key: `${i}`,
        market: 'Loopreel',
        listing: null,
        title: c.caption,
        day: 20_000 - c.daysAgo,
        likes: null,
        comments: null,
        shares: null,
        revenueE4: null,
        commission: null,
        url: null,
      },
      { item: i, category: topic },
    ])
  }).flat()
  const [clips, things] = [made.map(([c]) => c), made.map(([, a]) => a)]
  const goods = { items: new Set([1]), categories: new Set(['Home']) }
  const fits = fitting(creatorsOf(clips, things), clips, things, goods).sort(
    (a, b) => (b.fitUnits ?? 0) - (a.fitUnits ?? 0),
  )
  const topicsOf = new Map(cast.map((c) => [c.name, c.topics]))
  expect(fits.slice(0, 20).every((c) => topicsOf.get(c.name)?.includes('Home'))).toBe(true)
  expect(fits.filter((c) => c.shows > 0).every((c) => topicsOf.get(c.name)?.includes('Home'))).toBe(true)
})

test('the hits: sold by the thousand, a spike and a fading one among them, and one that a single clip carries', () => {
  const world = demoWorld()
  const units = hitUnits(world, 30)
  const before = hitUnits(world, 60)
  expect(units.size).toBe(hits.length)
  expect(Math.min(...units.values())).toBeGreaterThan(1000)
  const faded = hits.findIndex((h) => h.course === 'fading')
  const key = [...units.keys()][faded] ?? ''
  expect(units.get(key)).toBeLessThan((before.get(key) ?? 0) / 2)
  for (const [at, { clips }] of hitClips(world).entries()) {
    const all = clips.reduce((sum, c) => sum + c.units, 0)
    const best = Math.max(...clips.map((c) => c.units))
    expect(best / all > 0.5).toBe(at === lucky)
  }
})
