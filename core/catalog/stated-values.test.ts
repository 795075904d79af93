import fc from 'fast-check'
import { recordKind } from '../records'
import { itemFields, listingFields } from './listing-fields'
import type { Listing } from './listing'
import { statedBy } from './stated-values'

const figure = fc.option(fc.integer({ min: 0, max: 9999 }))
const listing = fc.record({
  rank: figure,
  stock: figure,
  commission: figure,
  rating: fc.option(fc.integer({ min: 1, max: 5 })),
  reviews: figure,
  country: fc.option(fc.constantFrom('IE', 'PT', 'NL')),
  category: fc.option(fc.constantFrom('Garden', 'Balcony')),
}) as unknown as fc.Arbitrary<Listing>
const known = (list: Listing[], name: keyof Listing) =>
  list.map((l) => l[name]).filter((v) => v !== null && v !== undefined)

test('least, most, sum, first and words are those of what is known; of nothing they are unknown', () => {
  fc.assert(
    fc.property(fc.array(listing, { minLength: 1, maxLength: 8 }), (list) => {
      const stated = statedBy(list)
      const figures = (name: keyof Listing) => known(list, name) as number[]
      expect(stated.rank).toBe(figures('rank').length ? Math.min(...figures('rank')) : null)
      expect(stated.commission).toBe(figures('commission').length ? Math.max(...figures('commission')) : null)
      expect(stated.stock).toBe(figures('stock').length ? figures('stock').reduce((a, b) => a + b, 0) : null)
      expect(stated.category).toBe(known(list, 'category')[0] ?? null)
      expect(stated.country).toEqual([...new Set(known(list, 'country'))].sort())
    }),
  )
})

test('a rating is weighed by its reviews, and one without reviews counts once', () => {
  const of = (rating: number | null, reviews: number | null) => ({ rating, reviews }) as unknown as Listing
  // by hand: (5 × 10 + 2 × 1 + 4 × 1) ÷ 12
  expect(statedBy([of(5, 10), of(2, null), of(4, 0), of(null, 900)]).rating).toBeCloseTo(56 / 12, 12)
  // the heavy one last: (2 × 1 + 5 × 10 + 3 × 5) ÷ 16
  expect(statedBy([of(2, 1), of(5, 10), of(3, 5)]).rating).toBeCloseTo(67 / 16, 12)
  expect(statedBy([of(null, 3)]).rating).toBeNull()
})

test('every entry of the table can be worked out', () => {
  const fields = new Map(recordKind('listings').fields.map((f) => [f.name, f]))
  for (const { name, item, type } of itemFields) {
    const isText = !['money', 'count', 'ratio', 'rating', 'day', 'lead', 'weight'].includes(type)
    expect([name, isText]).toEqual([name, item.as === 'first' || item.as === 'words'])
    // a sum over listings of several currencies would mean nothing
    expect([name, type]).not.toEqual([name, 'money'])
    if (item.weight !== undefined) expect(fields.get(item.weight)?.type).toBe('count')
    if (item.measure) expect(item.measure.scale.from).toBeLessThan(item.measure.scale.to)
    if (item.measure?.scale.kind === 'log') expect(item.measure.scale.from).toBeGreaterThan(0)
  }
  const stores = new Set(recordKind('stores').fields.map((f) => f.name))
  for (const f of listingFields) if (f.storeField !== undefined) expect(stores).toContain(f.storeField)
})
