import { makeFigures, renewFigures } from '.'
import { buildCatalog, ItemMaker, noCorrections, plainRules, renewCatalog } from '../catalog'
import type { Capture, KindName } from '../records'
import { tableOf } from '../records/table-of'
import type { RowRecord } from '../tables'

const titles = ['Oak robin nest box', 'Copper hanging bird bath', 'Jute kneeling pad garden', 'Clay seed marker row']
const capture = (id: string, kind: KindName, capturedOn: number, rows: RowRecord[]): Capture => ({
  id,
  kind,
  capturedOn,
  windowDays: 30,
  table: tableOf(kind, rows),
})
const row = (n: number, more: RowRecord = {}): RowRecord => ({
  market: 'Marrowgate',
  id: String(n),
  title: titles[n] ?? '',
  store: 'Sill',
  price: 90_000,
  currency: 'EUR',
  units: 5,
  listedOn: 19_900,
  category: 'Birds',
  ...more,
})

test('units that have to be estimated out of several captures are, from all of them', async () => {
  const [first, then] = [
    capture('a', 'listings', 20_000, [row(0), row(1, { units: null, reviews: 10 })]),
    capture('b', 'listings', 20_030, [row(1, { units: null, reviews: 40 })]),
  ]
  const estimate = async (captures: Capture[]) =>
    new ItemMaker(await buildCatalog(captures), plainRules('EUR'), noCorrections).at(1).units
  let isAllAsked: boolean
  const all = async () => ((isAllAsked = true), [first, then])
  const known = capture('c', 'listings', 19_990, [row(2)])
  for (const before of [[first], [known, capture('a', 'listings', 20_000, [row(0), row(1, { reviews: 10 })])]]) {
    isAllAsked = false
    await renewCatalog(
      await buildCatalog(before),
      { kinds: new Set(['listings']), newest: [then], others: [], all },
      noCorrections,
    )
    // units that were reported are kept, so that nothing is to be estimated there
    expect(isAllAsked).toBe(before[0] === first)
  }
  const { catalog } = await renewCatalog(
    await buildCatalog([first]),
    { kinds: new Set(['listings']), newest: [then], others: [], all },
    noCorrections,
  )
  const units = new ItemMaker(catalog, plainRules('EUR'), noCorrections).at(1).units
  expect(units).not.toBeNull()
  expect(units).toBe(await estimate([first, then]))
  // and a new one of which no units are known is not laid over either
  isAllAsked = false
  await renewCatalog(
    await buildCatalog([known]),
    {
      kinds: new Set(['listings']),
      newest: [capture('d', 'listings', 20_050, [row(3, { units: null })])],
      others: [],
      all: async () => ((isAllAsked = true), [known]),
    },
    noCorrections,
  )
  expect(isAllAsked).toBe(true)
})

test('where the year of a category is another, the course of its items is looked at again, and of no other', async () => {
  const months = (peak: number) =>
    Array.from({ length: 12 }, (_, m) => ({
      market: 'Marrowgate',
      term: 'bird bath',
      category: 'Birds',
      searches: m === peak ? 4000 : 400,
      day: Math.floor(Date.UTC(2025, m, 1) / 86_400_000),
    }))
  const sales = [0, 1].flatMap((n) =>
    Array.from({ length: 90 }, (_, d) => ({ market: 'Marrowgate', id: String(n), day: 19_900 + d, units: 3 })),
  )
  const of = [
    capture('l', 'listings', 20_000, [row(0), row(1, { category: 'Garden' })]),
    capture('s', 'sales', 20_000, sales),
  ]
  const terms = (peak: number) => capture('t', 'terms', 20_000, months(peak))
  const before = await buildCatalog([...of, terms(5)])
  const renewed = await renewCatalog(
    before,
    {
      kinds: new Set(['terms']),
      newest: [],
      others: [terms(1)],
      all: () => Promise.reject(new Error('not asked for')),
    },
    noCorrections,
  )
  expect([...renewed.sameAs]).toEqual([-1, 1])
  expect(renewed.catalog.life).toEqual((await buildCatalog([...of, terms(1)])).life)
})

test('what nothing new is known of is not worked out again', async () => {
  const first = capture('c0', 'listings', 20_000, [row(0), row(1), row(2)])
  const before = await buildCatalog([first])
  const more = capture('c1', 'listings', 20_010, [row(1, { units: 9 }), row(3)])
  const { catalog, sameAs } = await renewCatalog(
    before,
    { kinds: new Set(['listings']), newest: [more], others: [], all: () => Promise.reject(new Error('not asked for')) },
    noCorrections,
  )
  expect([...sameAs]).toEqual([0, -1, 2, -1])
  const figures = await makeFigures(new ItemMaker(before, plainRules('EUR'), noCorrections))
  const renewed = await renewFigures(figures, new ItemMaker(catalog, plainRules('EUR'), noCorrections), sameAs)
  // ten days have passed for all of them
  expect(Array.from((renewed.columns.daysListed as { values: Float64Array }).values)).toEqual([110, 110, 110, 110])
  expect(Array.from((renewed.columns.units as { values: Float64Array }).values)).toEqual([5, 9, 5, 5])
})

test('an item whose estimate is taught otherwise by others is worked out again, though nothing of its own came', async () => {
  const others = Array.from({ length: 11 }, (_, i) => 10 + i)
  // of the market's listings reviews are seen twice; then sales of all but one are counted, which leave a review in ten
  const seen = [20_000, 20_030].map((day, i) =>
    capture(`c${day}`, 'listings', day, [
      row(1, { units: null, reviews: 10 + 30 * i }),
      ...others.map((n) =>
        row(n, { title: `Zinc lantern no ${n}`, units: null, reviews: 3 * i * (n - 9), store: `Store ${n}` }),
      ),
    ]),
  )
  const days = others.flatMap((n) =>
    Array.from({ length: 30 }, (_, d) => ({ market: 'Marrowgate', id: String(n), day: 20_001 + d, units: n - 9 })),
  )
  const all = [...seen, capture('s', 'sales', 20_030, days)]
  const before = await buildCatalog(seen)
  const { catalog, sameAs } = await renewCatalog(
    before,
    { kinds: new Set(['sales']), newest: null, others: [], all: () => Promise.resolve(all) },
    noCorrections,
  )
  const unitsIn = (of: typeof catalog) => new ItemMaker(of, plainRules('EUR'), noCorrections).at(0).units
  expect(unitsIn(catalog)).not.toBe(unitsIn(before))
  expect([...sameAs]).toEqual(Array(12).fill(-1))
  expect(unitsIn(catalog)).toBe(unitsIn(await buildCatalog(all)))
})
