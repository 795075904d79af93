import { postedAbout } from '.'
import { aClip } from './fixtures/a-clip'

const clip = (listing: string, some: object = {}) =>
  aClip({ listing: `Loopreel/${listing}`, day: 1, views: 100, units: 4, ...some })

test('what is posted about an item: of its own listings alone, sums of what is known', () => {
  const clips = [
    clip('1'),
    clip('1', {
      isLive: true,
      creator: '@wren',
      units: 9,
      day: 7,
      isPaid: true,
      commission: 0.2,
      revenueE4: 1_234_500,
    }),
    clip('2', { isPaid: false, units: null, commission: 0.1 }),
    clip('9', { units: 99 }),
  ]
  const ads = [
    { market: 'Loopreel', id: '2', advertiser: 'Sill', firstSeen: 5, lastSeen: 30 },
    { market: 'Elsewhere', id: '2', advertiser: 'X', firstSeen: null, lastSeen: null },
  ]
  const posted = postedAbout(clips, ads, new Set(['Loopreel/1', 'Loopreel/2']))
  expect(posted).toMatchObject({
    clips: 2,
    lives: 1,
    creators: 2,
    views: 300,
    units: 13,
    paid: 1,
    paidKnown: 2,
    ads: 1,
    adsFrom: 5,
    adsTo: 30,
    postedFrom: 1,
    postedTo: 7,
  })
  // by hand: a fifth of 123.45
  expect(posted.best[0]).toMatchObject({ earnedE4: 246_900 })
  expect(posted.best[1]?.earnedE4).toBeNull()
  expect(posted.commission).toBeCloseTo(0.15, 12)
  expect(posted.best.map((c) => [c.creator, c.isLive, c.isPaid])).toEqual([
    ['@wren', true, true],
    ['@tern', false, null],
    ['@tern', false, false],
  ])
  expect(postedAbout([], [], new Set())).toMatchObject({
    clips: 0,
    views: null,
    units: null,
    commission: null,
    adsTo: null,
    best: [],
  })
})
