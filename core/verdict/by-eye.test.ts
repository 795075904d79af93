import { improvementsOf, judgementsFor, sellerKinds, type SellerKind } from '.'

const listing = (title: string, tags: string | null = null, deliveryE4: number | null = 0) => ({
  title,
  tags,
  deliveryE4,
})

test('improvements are what the figures show, and nothing where all is well', () => {
  const long = 'Clip-on window feeder for small garden birds, 15 cm, green'
  const well = {
    listings: [listing(long, Array.from({ length: 13 }, (_, i) => `t${i}`).join('|'))],
    rating: 4.6,
    reviews: 90,
    units: 40,
    pack: 1,
  }
  expect(improvementsOf(well)).toEqual([])
  const found = improvementsOf({
    listings: [listing('FEEDERS HERE', 'a,b', null)],
    rating: 3.2,
    reviews: 3,
    units: 40,
    pack: 2,
  })
  expect(found.map((f) => f.what.split(' ')[0])).toEqual([
    'Buyers',
    'Few',
    'Tags',
    'Titles',
    'Titles',
    'Delivery',
    'The',
  ])
  expect(found[2]?.figure).toBe('at most 2 used, by 1 of 1 listings with tags known')
  expect(improvementsOf({ ...well, rating: 3.2, units: 4 })).toEqual([])
})

describe('the checklist', () => {
  const judged = {
    title: 'Nest box',
    priceLowE4: 120_000,
    rating: 3.5,
    best: { margin: 0.1 },
    offer: { offer: { stock: 40, weightG: 900 } },
  }
  const point = (some: object, id: string, kind?: SellerKind, isElectric?: boolean) =>
    judgementsFor({ ...judged, ...some }, kind, isElectric).find((j) => j.id === id)
  test.each<[string, object, string | undefined, SellerKind, boolean]>([
    ['impulse', {}, 'its price lies in the usual 5–40', 'dropshipped', false],
    ['impulse', { priceLowE4: 50_000 }, 'its price lies in the usual 5–40', 'dropshipped', false],
    ['impulse', { priceLowE4: 49_900 }, 'its price is under the usual 5–40', 'dropshipped', false],
    ['impulse', { priceLowE4: 400_100 }, 'its price is above the usual 5–40', 'dropshipped', true],
    ['impulse', {}, 'its price is under the usual 20–100', 'social', false],
    ['impulse', { priceLowE4: 1_000_100 }, 'its price is above the usual 20–100', 'social', true],
    ['stock', {}, 'the supplier holds 40, under 1,000', 'social', true],
    ['stock', { offer: { offer: { stock: 1000, weightG: null } } }, 'the supplier holds 1,000', 'social', false],
    ['rated', {}, '3.5 stars, under 4', 'printed', true],
    ['rated', { rating: 4 }, '4.0 stars', 'printed', false],
    ['margin', {}, '10 %, under 20 %', 'digital', true],
    ['margin', { best: { margin: 0.2 } }, '20 %', 'digital', false],
    ['bulky', { offer: { offer: { stock: null, weightG: 5000 } } }, 'weighs 5.0 kg', 'social', true],
    ['fragile', { title: 'Glass bowl' }, 'its words say so', 'social', true],
  ])('%s, %j: %s', (id, some, hint, kind, isWarning) =>
    expect(point(some, id, kind)).toMatchObject({ hint, isWarning }),
  )
  test('what is not known says nothing, and what is electric warns', () => {
    const nothing = { priceLowE4: null, rating: null, best: null, offer: null }
    expect(judgementsFor({ ...judged, ...nothing }).every((j) => j.hint === null && !j.isWarning)).toBe(true)
    expect(point({}, 'impulse', 'printed')?.hint).toBeNull()
    expect(point({ offer: { offer: { stock: null, weightG: 4999 } } }, 'bulky')?.hint).toBeNull()
    expect(point({}, 'hazard')?.hint).toBeNull()
    expect([point({}, 'hazard', 'social', true)?.isWarning, point({}, 'returns', 'social', true)?.isWarning]).toEqual([true, true]) // prettier-ignore
  })
  test('each kind of seller has its own points, each once', () => {
    const ids = (kind: SellerKind) => judgementsFor(judged, kind).map((j) => j.id)
    expect(sellerKinds.map((kind) => new Set(ids(kind)).size)).toEqual([14, 14, 13, 9])
    expect(ids('printed')).not.toContain('stock')
    expect(ids('digital')).not.toContain('bulky')
    expect(point({}, 'show', 'social')?.text).not.toBe(point({}, 'show')?.text)
  })
})
