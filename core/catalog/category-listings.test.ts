import { buildCatalog, listingChoices, soldTitles } from '.'
import type { RowRecord } from '../tables'
import { pricedUnits } from './priced-units'
import { captureOf, listing, today } from './test-maker'

const feeders = { category: 'Garden > Feeders' }
const captures = [
  captureOf('listings', [
    listing('1', { ...feeders, units: 3, format: 'auction', durationDays: 7, endHour: 21, delivery: 0 }),
    listing('2', { ...feeders, units: 0, format: 'fixed', promotion: 'shown first', delivery: 20_000 }),
    listing('3', { ...feeders, units: null, format: 'fixed', delivery: null }),
    listing('4', { category: 'Garden > Tools', units: 8, format: 'fixed', title: 'Hand trowel' }),
    listing('5', { ...feeders, units: 1, title: null, delivery: null, endHour: 4 }),
    listing('6', { category: null, units: 5 }),
  ]),
]

test('listings of a category, by what their sellers chose, and whether they sold', async () => {
  const catalog = await buildCatalog(captures)
  expect(listingChoices(catalog, feeders.category)).toEqual([
    {
      options: { Format: 'auction', Duration: '7 days', 'Hour it ends': '20–23 h', Delivery: 'free' },
      sold: true,
    },
    { options: { Format: 'fixed', Promotion: 'shown first', Delivery: 'charged' }, sold: false },
    { options: { 'Hour it ends': '4–7 h' }, sold: true },
  ])
  expect(listingChoices(catalog, feeders.category, (l) => l === 1).map((c) => c.sold)).toEqual([false])
  expect(listingChoices(catalog, 'Garden')).toEqual([])
})

test('titles of a category as their markets write them, with what they sold', async () => {
  const catalog = await buildCatalog(captures)
  const title = 'Clip-on window feeder, clear'
  expect(soldTitles(catalog, feeders.category)).toEqual([
    { title, units: 3 },
    { title, units: 0 },
  ])
  expect(soldTitles(catalog, 'Garden > Tools')).toEqual([{ title: 'Hand trowel', units: 8 }])
  expect(soldTitles(catalog, feeders.category, (l) => l === 0)).toHaveLength(1)
  expect(soldTitles(catalog, 'Kitchen')).toEqual([])
})

test('titles are taken up to twenty thousand', async () => {
  const many = Array.from({ length: 20_001 }, (_, i) => listing(`${i}`, { ...feeders, store: 'One' }))
  expect(soldTitles(await buildCatalog([captureOf('listings', many)]), feeders.category)).toHaveLength(20_000)
})

test('days with their price, of the listings asked for; the later import of a day counts, and what lacks either is left out', () => {
  const day = (id: string, on: number, some: RowRecord): RowRecord => ({ market: 'Marrowgate', id, day: on, ...some })
  const sales = [
    captureOf('sales', [
      day('1', 100, { units: 4, price: 90_000 }),
      day('1', 101, { units: 5, price: 80_000, promoted: 1 }),
      day('1', 102, { units: null, price: 80_000 }),
      day('1', 103, { units: 2, price: null }),
      day('2', 100, { units: 7, price: 10_000 }),
    ]),
    captureOf('sales', [day('1', 100, { units: 6, price: 95_000 })], today + 1),
    captures[0]!,
  ]
  expect(pricedUnits(sales, new Set(['Marrowgate/1', 'Marrowgate/9']))).toEqual(
    new Map([
      [
        'Marrowgate/1',
        [
          { units: 6, price: 95_000, promoted: null },
          { units: 5, price: 80_000, promoted: 1 },
        ],
      ],
    ]),
  )
})
