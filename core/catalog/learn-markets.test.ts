import { buildCatalog, ItemMaker, noCorrections, plainRules, type UnpublishedUnits } from '.'
import type { RowRecord } from '../tables'
import { captureOf, today as end } from './test-maker'

const words = [
  'copper',
  'willow',
  'slate',
  'linen',
  'walnut',
  'cobalt',
  'amber',
  'hazel',
  'marble',
  'saffron',
  'birch',
  'pewter',
]
const things = ['trowel', 'lantern', 'basket', 'kettle', 'ladder']
const listing = (id: number, more: RowRecord): RowRecord => ({
  market: 'Marrowgate',
  id: String(id),
  title: `${words[id % words.length]} ${things[id % things.length]} ${words[(id * 5 + 3) % words.length]} ${id}`,
  store: `Store ${id}`,
  price: 120_000,
  currency: 'EUR',
  units: null,
  ...more,
})
/** Thirty days of as many units each. */
const days = (id: number, perDay: number, market = 'Marrowgate'): RowRecord[] =>
  Array.from({ length: 30 }, (_, i) => ({ market, id: String(id), day: end - 29 + i, units: perDay }))

/** Of a market, listings of 1 to 11 a day whose days are counted, and listing 0 of which stock and reviews alone are seen. */
async function unpublished({
  stockFall,
  reviewRise,
  counted = 11,
}: {
  stockFall: (perDay: number) => number
  reviewRise: (perDay: number) => number
  counted?: number
}): Promise<UnpublishedUnits | null | undefined> {
  return (await estimates({ stockFall, reviewRise, counted })).get('0')
}

/** The same of each listing. */
async function estimates({
  stockFall,
  reviewRise,
  counted,
}: {
  stockFall: (perDay: number) => number
  reviewRise: (perDay: number) => number
  counted: number
}): Promise<Map<string | null, UnpublishedUnits | null>> {
  const perDay = (id: number) => (id === 0 ? 6 : 4 + id)
  const at = (back: number) =>
    Array.from({ length: counted + 1 }, (_, id) =>
      listing(id, {
        stock: 900 + stockFall(perDay(id)) * back,
        reviews: 2000 - reviewRise(perDay(id)) * back,
      }),
    )
  const sales = Array.from({ length: counted }, (_, i) => days(i + 1, perDay(i + 1))).flat()
  const captures = [20, 10, 0].map((back) => captureOf('listings', at(back), end - back))
  const catalog = await buildCatalog([...captures, captureOf('sales', sales)])
  const maker = new ItemMaker(catalog, plainRules('EUR'), noCorrections)
  const items = Array.from({ length: maker.count }, (_, i) => maker.at(i))
  return new Map(items.flatMap((i) => i.listings).map((l) => [l.id, l.unpublished]))
}

test('where stock shows half of what is sold, listings that are counted teach it', async () => {
  const told = await unpublished({ stockFall: (d) => d / 2, reviewRise: () => 0 })
  // six a day for 30 days are 180: of the falls alone it would be 90, and eleven pairs weigh against two
  expect(told?.by.stock?.units).toBeGreaterThan(150)
  expect(told?.by.stock?.units).toBeLessThan(180)
  expect(told!.by.stock!.low).toBeLessThan(180)
  // with too few of them it stays as seen
  const untold = await unpublished({ stockFall: (d) => d / 2, reviewRise: () => 0, counted: 7 })
  expect(untold?.by.stock?.units).toBeCloseTo(60.5 * 1.5, 6)
})

test('reviews are taken by the rate of the market, and what is told both ways is as sure as such has been', async () => {
  const found = await unpublished({ stockFall: (d) => d, reviewRise: (d) => d / 10 })
  // six a day leave twelve reviews in twenty days at a tenth, where 0.18 would make it 100
  expect(found?.by.reviews?.units).toBeGreaterThan(155)
  expect(found?.by.reviews?.units).toBeLessThan(195)
  expect(found?.units).toBeGreaterThan(170)
  expect(found?.units).toBeLessThan(190)
  const { low, high } = found as UnpublishedUnits
  expect(Math.round(low)).toBeLessThanOrEqual(180)
  expect(Math.round(high)).toBeGreaterThanOrEqual(180)
  // both agree with what is known: surer than reviews alone
  expect(high / low).toBeLessThan(found!.by.reviews!.high / found!.by.reviews!.low)
})

test('of what is counted nothing is estimated, whatever else is seen of it', async () => {
  const all = await estimates({ stockFall: (d) => d, reviewRise: (d) => d / 10, counted: 11 })
  expect(all.size).toBe(12)
  expect([...all].filter(([, told]) => told !== null).map(([id]) => id)).toEqual(['0'])
})
