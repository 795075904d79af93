import { improvementsOf, judgementsFor } from '.'

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

test('the checklist says what is known beside what only the eye sees', () => {
  const hint = (some: object, id: string) =>
    judgementsFor({
      priceLowE4: 120_000,
      rating: 3.5,
      best: { margin: 0.1 },
      offer: { offer: { stock: 40 } },
      ...some,
    }).find((j) => j.id === id)?.hint
  expect(hint({}, 'impulse')).toBe('its price lies in the usual band')
  expect(hint({ priceLowE4: 900_000 }, 'impulse')).toBe('its price is above the usual band')
  expect(hint({}, 'stock')).toBe('the supplier holds 40, under 1,000')
  expect(hint({}, 'rated')).toBe('3.5 stars, under 4')
  expect(hint({}, 'margin')).toBe('10 %, under 20 %')
  expect(hint({ offer: null, rating: null, best: null, priceLowE4: null }, 'stock')).toBeNull()
  expect(
    new Set(judgementsFor({ priceLowE4: null, rating: null, best: null, offer: null }).map((j) => j.id)).size,
  ).toBe(14)
})
