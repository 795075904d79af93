import type { RowRecord } from '../tables'
import { captureOf, keyOf, listing, makerOf, today } from './test-maker'

const gtin = '4006381333931'
const days = (id: string, units: number): RowRecord[] =>
  Array.from({ length: 40 }, (_, i) => ({ market: 'Marrowgate', id, day: today - 39 + i, units }))
const described = async (rows: RowRecord[], sales: RowRecord[] = []) => {
  const maker = await makerOf([captureOf('listings', rows), ...(sales.length ? [captureOf('sales', sales)] : [])])
  return maker.at(maker.find(keyOf(maker, '1'))!)
}

test('an item sells what its listings sell together, day by day', async () => {
  const item = await described(
    [listing('1', { gtin, units: null }), listing('2', { gtin, units: null }), listing('3', { gtin, units: 5 })],
    [...days('1', 2), ...days('2', 3)],
  )
  expect(item.series?.stepDays).toBe(1)
  expect(item.series?.values.at(-1)).toBe(5)
  expect(item.listings.map((l) => l.series?.values.at(-1) ?? null)).toEqual([2, 3, null])
  expect(item).toMatchObject({ units: 60 + 90 + 5, unitsKnown: 3, unitsPerListing: 155 / 3, unitsGrade: 'reported' })
  expect((await described([listing('1', { gtin })])).series).toBeNull()
})

test('what is known week by week stays so, and a listing known by days beside it is summed to weeks', async () => {
  const weeks = (id: string, units: number): RowRecord[] =>
    Array.from({ length: 6 }, (_, w) => ({ market: 'Marrowgate', id, day: today - 41 + 7 * w, units }))
  const one = await described([listing('1', { gtin, units: null })], weeks('1', 14))
  expect(one.series).toMatchObject({ stepDays: 7, start: today - 41 })
  expect([...one.series!.values]).toEqual(Array(6).fill(14))
  // six weeks of fourteen: thirty days are 60
  expect(one).toMatchObject({ units: 60, unitsGrade: 'estimated' })
  const both = await described(
    [listing('1', { gtin, units: null }), listing('2', { gtin, units: null })],
    [...weeks('1', 14), ...days('2', 1)],
  )
  expect(both.series?.stepDays).toBe(7)
  expect(both.series?.values.at(-1)).toBe(21)
})

test('how its sales are spread is told by seller: two listings of one are one, and of whom nothing is known counts as such', async () => {
  const item = await described([
    listing('1', { gtin, store: 'Moss', units: 30 }),
    listing('2', { gtin, store: 'Moss', units: 20 }),
    listing('3', { gtin, store: 'Moss', units: null }),
    listing('4', { gtin, store: 'Fern', units: 25 }),
    listing('5', { gtin, store: 'Reed', units: 25 }),
    listing('6', { gtin, store: 'Sedge', units: null }),
  ])
  // 50, 25 and 25 of 100: squares 2500 + 625 + 625
  expect(item.room).toMatchObject({ sellers: 4, known: 3, topShare: 0.5, hhi: 3750 })
  expect(item.sellers).toBe(4)
  // listings without a store are a seller each, and stores of one name on two markets are two
  const others = await described([
    listing('1', { gtin, store: null, units: 10 }),
    listing('2', { gtin, store: null, units: 10 }),
    listing('3', { gtin, store: 'Moss', units: 10 }),
    listing('3', { gtin, store: 'Moss', units: 10, market: 'Gavelhop' }),
  ])
  expect(others.room).toMatchObject({ sellers: 4, known: 4, topShare: 0.25 })
})

test('where no listing says what it sells nothing is known, and where none sold it is nought', async () => {
  expect(await described([listing('1', { gtin, units: null })])).toMatchObject({
    units: null,
    unitsGrade: null,
    unitsKnown: 0,
    unitsPerListing: null,
    revenueE4: null,
    sellThrough: null,
  })
  const none = await described([listing('1', { gtin, units: 0 }), listing('2', { gtin, units: 0 })])
  expect(none).toMatchObject({ units: 0, unitsKnown: 2, unitsPerListing: 0, revenueE4: 0 })
  expect(none.sellThrough).toMatchObject({ low: 0 })
})

test('prices from the lowest to the highest; what sold without a price earns nothing that is known', async () => {
  const item = await described([
    listing('1', { gtin, price: 100_000, units: 3 }),
    listing('2', { gtin, price: 125_000, units: 2, delivery: null }),
    listing('3', { gtin, price: null, units: 50 }),
    listing('4', { gtin, price: 90_000, units: null, delivery: 5_000 }),
  ])
  expect(item).toMatchObject({ priceLowE4: 90_000, priceHighE4: 125_000, revenueE4: 550_000, units: 55 })
  expect(item.listings.map((l) => [l.deliveredE4, l.isDeliveryKnown])).toEqual([
    [100_000, true],
    [125_000, false],
    [null, true],
    [95_000, true],
  ])
  expect(item.listings.map((l) => l.original)).toEqual([
    { priceE4: 100_000, currency: 'EUR' },
    { priceE4: 125_000, currency: 'EUR' },
    null,
    { priceE4: 90_000, currency: 'EUR' },
  ])
})

test('what a listing does not say of its store the newest list of stores says, and an older one where that is silent', async () => {
  const stores = (day: number, some: RowRecord) =>
    captureOf('stores', [{ market: 'Marrowgate', store: 'Store 1', ...some }], day)
  const maker = await makerOf([
    captureOf('listings', [listing('1'), listing('2', { title: 'Hand trowel, copper', rating: 3 })]),
    stores(today - 1, { rating: 4.5 }),
    stores(today - 20, { rating: 4.1, country: 'PL' }),
    stores(today - 10, { rating: 4.2, country: 'DE' }),
  ])
  const { listings } = maker.catalog
  const at = (name: string) => {
    const column = listings.columns[name]
    return column?.type === 'text' ? column.words.at(column.codes[0] as number) : column?.values[0]
  }
  expect(at('sellerCountry') ?? at('country')).toBe('DE')
})
