import { buildCatalog, ItemMaker, noCorrections, plainRules } from '../catalog'
import { wilsonInterval } from '../demand'
import type { Capture } from '../records'
import { TableBuilder } from '../tables'
import {
  bestBranch,
  categoryTree,
  compareWordings,
  Finder,
  listingsAnswering,
  listingsOfStores,
  makeFigures,
  seenColumns,
  TextSearch,
  emptyQuery,
} from '.'

const rows = [
  { id: '1', title: 'Window bird feeders', store: 'Wren', category: 'Garden / Birds', price: 10, units: 4 },
  { id: '2', title: 'Peanut holder', store: 'Wren', category: 'Garden / Birds', price: 20, units: 0 },
  { id: '3', title: 'Railing planter 60 cm', store: 'Tern', category: 'Garden / Balcony', price: 30, units: 2 },
  { id: '4', title: 'Feeder for small birds', store: 'Tern', category: 'Garden / Balcony', price: 5, units: 1 },
  { id: '5', title: 'Bee hotel', store: null, category: 'Garden', price: 8, units: null },
  { id: '6', title: 'Berries net', store: 'Wren', category: null, price: 7, units: 3 },
]
const capture = (): Capture => {
  const numeric = ['price', 'units']
  const names = ['market', 'id', 'title', 'store', 'category', 'currency', ...numeric]
  const builder = new TableBuilder(
    names.map((name) => ({ name, type: numeric.includes(name) ? ('number' as const) : ('text' as const) })),
  )
  for (const r of rows) builder.add({ ...r, price: r.price * 10_000, market: 'Marrowgate', currency: 'EUR' })
  return { id: 'a', kind: 'listings', capturedOn: 20_000, windowDays: 30, table: builder.finish() }
}
let maker: ItemMaker
beforeAll(async () => (maker = new ItemMaker(await buildCatalog([capture()]), plainRules('EUR'), noCorrections)))
const titles = () => new TextSearch(maker.catalog.listings, ['title'])
const idsOf = (places: Iterable<number>) => [...places].map((p) => rows[p]?.id)

test('each branch sums what lies in it and below; unknown units count nowhere', async () => {
  const tree = categoryTree(await makeFigures(maker))
  expect(tree.map((b) => [b.path, b.parent, b.listings, b.known, b.sold, b.units])).toEqual([
    ['', null, 6, 5, 4, 10],
    ['Garden', '', 5, 4, 3, 7],
    ['Garden / Balcony', 'Garden', 2, 2, 2, 3],
    ['Garden / Birds', 'Garden', 2, 2, 1, 4],
  ])
  // by hand: 2 × 30 + 1 × 5 over 3 units
  expect(tree[2]).toMatchObject({ revenueE4: 650_000, averageE4: 216_667, sellThrough: wilsonInterval(2, 2) })
  expect(tree[0]?.byGrade).toEqual({ counted: 0, reported: 10, estimated: 0 })
  expect(categoryTree(await makeFigures(maker), () => false)).toMatchObject([{ path: '', items: 0, sellThrough: null }])
})

test('the best branch is best by its lower bound: three of three do not beat 170 of 200', () => {
  const branch = (path: string, sold: number, known: number) =>
    ({ path, sellThrough: wilsonInterval(sold, known) }) as ReturnType<typeof categoryTree>[number]
  const tree = [branch('', 173, 300), branch('A', 3, 3), branch('B', 170, 200), branch('B / C', 90, 99)]
  expect(bestBranch(tree)?.path).toBe('B / C')
  expect(bestBranch(tree.slice(0, 3))?.path).toBe('B')
  expect(bestBranch(tree, 'A')).toBeNull()
  expect(bestBranch([branch('', 9, 10), branch('A', 1, 10)])).toBeNull()
  expect(bestBranch([branch('', 9, 10), branch('A', 9, 10), branch('A / B', 9, 10)])?.path).toBe('A / B')
})

test('listings answer to a phrase by stems of their titles alone, whatever the order', () => {
  expect(idsOf(listingsAnswering(maker.catalog, titles(), 'bird feeder'))).toEqual(['1', '4'])
  expect(idsOf(listingsAnswering(maker.catalog, titles(), 'berry'))).toEqual(['6'])
  expect(idsOf(listingsAnswering(maker.catalog, titles(), 'planter 60cm'))).toEqual(['3'])
  expect(idsOf(listingsAnswering(maker.catalog, titles(), 'wren'))).toEqual([])
  expect(idsOf(listingsAnswering(maker.catalog, titles(), ' '))).toEqual([])
})

test('two wordings leave out what uses both', () => {
  const found = compareWordings(maker.catalog, titles(), maker.rules, ['bird', 'window'])
  expect(found).toMatchObject({ both: 1, first: { listings: 1, sold: 1, units: 1 }, second: { listings: 0, known: 0 } })
  expect(found.difference).toBeNull()
})

test('finds leave as a file with the columns that are seen, in their order', async () => {
  const figures = await makeFigures(maker)
  const columns = await seenColumns(Int32Array.of(3, 0), ['units', 'sold', 'reviews', 'nothing'], { figures, maker })
  expect(columns.map((c) => c.name)).toEqual([
    'item',
    'key',
    'gtin',
    'url',
    'markets',
    'categories',
    'units',
    'sellThrough',
    'unitsPerListing',
    'reviews',
    'windowEnd',
    'grade',
  ])
  const of = (name: string) => columns.find((c) => c.name === name)?.values
  expect(of('item')).toEqual(['Feeder for small birds', 'Window bird feeders'])
  expect(of('units')).toEqual([1, 4])
  expect(of('categories')).toEqual(['Garden / Balcony', 'Garden / Birds'])
  expect(of('grade')).toEqual(['reported', 'reported'])
  expect(columns.find((c) => c.name === 'units')?.type).toBe('integer')
})

test('what was said of joins by hand holds in the catalog', async () => {
  const said = {
    apart: {},
    together: { 'Marrowgate/4': 'Marrowgate/1', 'Marrowgate/99': 'Marrowgate/1' },
    unlearned: {},
    avoid: [],
  }
  const { starts, members } = await buildCatalog([capture()], {}, said)
  expect([...members.subarray(starts[0], starts[1])]).toEqual([0, 3])
  expect(starts.length - 1).toBe(rows.length - 1)
})

test('a store and a phrase limit the finds like any other limit', async () => {
  const finder = new Finder(() => maker.catalog, await makeFigures(maker))
  const found = (some: object) => {
    finder.ask({ ...emptyQuery, ...some })
    return idsOf([...finder.places(0, 9)].sort())
  }
  expect(found({ stores: ['Marrowgate/Wren'] })).toEqual(['1', '2', '6'])
  expect(found({ stores: ['Marrowgate/Wren', 'Marrowgate/Tern'], phrase: 'birds' })).toEqual(['1', '4'])
  expect(found({ stores: ['Elsewhere/Wren'] })).toEqual([])
  expect(found({})).toHaveLength(6)
  expect(listingsOfStores(maker.catalog.listings, ['Marrowgate/Tern'])).toEqual([2, 3])
})
