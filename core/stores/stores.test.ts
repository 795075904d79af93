import fc from 'fast-check'
import { buildCatalog, sumListings } from '../catalog'
import { textAt, textColumn } from '../tables'
import { concentrationOf } from './concentration'
import { ageInMonths } from './figures'
import { knownStores, origins } from './store-list'
import { capture, end, euro as rules, listing } from './test-stores'

const at = (known: ReturnType<typeof knownStores>, name: string, market = 'Marrowgate') =>
  known.places.find(market, name) as number
const figuresOf = (known: ReturnType<typeof knownStores>, store: number) =>
  Object.fromEntries(Object.entries(known.list.figures).map(([name, of]) => [name, of[store]]))

test('a store is what its listings sum to, worked out by hand', async () => {
  const catalog = await buildCatalog([
    capture('listings', [
      listing('1', { units: 6, unitsTotal: 40, storeSince: end - 365 }),
      listing('2', { units: 0, unitsTotal: 5, price: 300_000, storeSince: end - 400 }),
      listing('3', { units: null, unitsTotal: null, price: 50_000 }),
      listing('4', { store: 'Rail', units: 4, price: 200_000, currency: 'GBP' }),
      listing('5', { store: 'Rail', market: 'Gavelhop', units: 1 }),
      listing('6', { store: null }),
    ]),
  ])
  const known = knownStores(catalog, [], rules)
  expect(known.list.count).toBe(3)
  expect(figuresOf(known, at(known, 'Sill'))).toEqual({
    unitsTotal: 45,
    units: 6,
    revenue: 600_000, // 6 at 10.00; the other known one sold none
    listings: 3,
    sellThrough: 0.5, // of two that are known one sold
    unitsPerListing: 3,
    averagePrice: 100_000,
    runRate: 73, // 6 × 365 / 30
    feedback: NaN,
    positive: NaN,
    rating: NaN,
  })
  // 4 at 20.00 pounds
  expect(figuresOf(known, at(known, 'Rail'))).toMatchObject({
    units: 4,
    revenue: 960_000,
    averagePrice: 240_000,
    unitsTotal: NaN,
  })
  expect(known.list.age[at(known, 'Sill')]).toBeCloseTo(400 / 30.4375, 9)
  expect(known.list.age[at(known, 'Rail')]).toBeNaN()
})

test('what a list of stores states stands before what listings sum to; what it leaves out does not; a later list says what it knows', async () => {
  const listings = capture('listings', [listing('1', { units: 6, unitsTotal: 40 })])
  const first = capture(
    'stores',
    [
      { market: 'Marrowgate', store: 'Sill', unitsTotal: 9000, listings: 300, since: end - 304, feedback: 4000 },
      { market: 'Marrowgate', store: 'Far', unitsTotal: 12_000, since: end - 700, units: 180 },
    ],
    { capturedOn: end - 60, windowDays: 90 },
  )
  const then = capture('stores', [{ market: 'Marrowgate', store: 'Sill', unitsTotal: 10_500, soldShare: 0.8 }])
  const catalog = await buildCatalog([listings, first, then])
  const known = knownStores(catalog, [then, first], rules)
  const [sill, far] = [at(known, 'Sill'), at(known, 'Far')]
  expect(figuresOf(known, sill)).toMatchObject({
    unitsTotal: 10_500,
    listings: 300,
    feedback: 4000,
    sellThrough: 0.8,
    units: 6,
  })
  const originsOf = (store: number) =>
    ['unitsTotal', 'units', 'positive'].map((name) => origins[known.list.from[name]?.[store] as number])
  expect(originsOf(sill)).toEqual(['stated', 'summed', 'unknown'])
  // stated for 90 days and brought to 30: no statement any more
  expect(originsOf(far)).toEqual(['stated', 'scaled', 'unknown'])
  // 180 units in 90 days are 60 in 30; a store without a listing gathered has no sums, not sums of zero
  expect(figuresOf(known, far)).toMatchObject({ units: 60, runRate: 730, listings: NaN, sellThrough: NaN })
  expect(known.list.age[sill]).toBeCloseTo(304 / 30.4375, 9)
  expect(known.list.age[far]).toBeCloseTo(640 / 30.4375, 9)
})

test('the roll-up of any listings is what the listings of each store sum to one by one', () =>
  fc.assert(
    fc.asyncProperty(
      fc.array(
        fc.record({
          store: fc.option(fc.constantFrom('Sill', 'Rail', 'Quay')),
          market: fc.constantFrom('Marrowgate', 'Gavelhop'),
          units: fc.option(fc.integer({ min: 0, max: 50 })),
          price: fc.integer({ min: 1, max: 900 }).map((c) => c * 100),
          currency: fc.constantFrom('EUR', 'GBP', 'USD'),
        }),
        { minLength: 1, maxLength: 40 },
      ),
      async (rows) => {
        const catalog = await buildCatalog([
          capture(
            'listings',
            rows.map((row, i) => listing(String(i), row)),
          ),
        ])
        const known = knownStores(catalog, [], rules)
        const [market, store] = [textColumn(catalog.listings, 'market'), textColumn(catalog.listings, 'store')]
        for (let s = 0; s < known.list.count; s++) {
          const places = Array.from({ length: catalog.listings.rows }, (_, row) => row).filter(
            (row) => textAt(store, row) === known.list.names[s] && textAt(market, row) === known.list.markets[s],
          )
          const sums = sumListings(catalog, places, rules)
          expect(figuresOf(known, s)).toMatchObject({
            listings: sums.listings,
            units: sums.units ?? NaN,
            unitsPerListing: sums.unitsPerListing ?? NaN,
            sellThrough: sums.sellThrough?.ratio ?? NaN,
          })
          if (sums.units !== null) expect(known.list.figures.revenue?.[s]).toBe(sums.revenueE4)
        }
      },
    ),
    { numRuns: 60 },
  ))

test('the best fifth, those that make four fifths, and the curve of it', () => {
  // 60 + 20 of 100 are 80: two make it; a fifth of five is one
  const { topFifth, makes80, curve } = concentrationOf([10, NaN, 60, 5, 20, 5])
  expect([topFifth, makes80, [...curve]]).toEqual([0.6, 2, [0.6, 0.8, 0.9, 0.95, 1]])
  expect(concentrationOf([0, 0])).toEqual({ topFifth: null, makes80: 0, curve: Float64Array.of(0, 0) })
  expect(concentrationOf([7]).topFifth).toBe(1)
  expect(concentrationOf([]).topFifth).toBeNull()
  // of six the best two are its fifth, rounded up
  expect(concentrationOf([1, 1, 1, 1, 1, 1]).topFifth).toBeCloseTo(2 / 6, 12)
})

test('an age is months of the mean year, and none where a store opened after its window', () => {
  expect(ageInMonths(0, 365.25 * 3)).toBeCloseTo(36, 12)
  expect(ageInMonths(null, 20_000)).toBeNull()
  expect(ageInMonths(20_001, 20_000)).toBeNull()
})
