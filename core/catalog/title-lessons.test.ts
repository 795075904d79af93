import { buildCatalog, joinTold, noCorrections, rejoinCatalog, toldLessons, type Corrections } from '.'
import { ListingIndex } from './find-listing'
import type { Capture } from '../records'
import { tableOf } from '../records/table-of'

const woods = ['oak', 'pine', 'ash']
const rows = woods.flatMap((wood, i) => [
  {
    market: 'Marrowgate',
    id: `${2 * i}`,
    title: `Carved rustic patio trough ${wood}`,
    gtin: `290000000000${i}`,
    units: 3,
  },
  {
    market: 'Marrowgate',
    id: `${2 * i + 1}`,
    title: `Carved rustic patio flower boxes ${wood}`,
    gtin: `290000000000${i}`,
    units: 3,
  },
])
rows.push(
  { market: 'Marrowgate', id: '6', title: 'Carved rustic patio trough teak', gtin: '', units: 3 },
  { market: 'Marrowgate', id: '7', title: 'Carved rustic patio flower box teak', gtin: '', units: 3 },
)
const capture: Capture = {
  id: 'a',
  kind: 'listings',
  capturedOn: 20_604,
  windowDays: 30,
  table: tableOf(
    'listings',
    rows.map((r) => ({ ...r, gtin: r.gtin || null, price: 200_000, currency: 'EUR' })),
  ),
}
const key = (id: number) => `Marrowgate/${id}`
const catalogOf = (said: Partial<Corrections> = {}) => buildCatalog([capture], {}, { ...noCorrections, ...said })
const together = ({ itemOf }: { itemOf: Int32Array }) => itemOf[6] === itemOf[7]
const name = 'same: box flower / trough'

test('a lesson is told in the words of the titles that show it', async () => {
  const catalog = await catalogOf()
  expect(toldLessons(catalog)).toEqual([
    {
      name,
      says: 'same',
      these: ['trough'],
      those: ['flower', 'boxes'],
      barcodes: 3,
      byHand: 0,
      example: ['Carved rustic patio trough oak', 'Carved rustic patio flower boxes oak'],
      isTakenBack: false,
    },
  ])
  expect(together(catalog)).toBe(true)
})

test('what is taken back joins nothing, in a new catalog and in one that follows', async () => {
  const back = await catalogOf({ unlearned: { [name]: true } })
  expect(together(back)).toBe(false)
  expect(toldLessons(back)[0]).toMatchObject({ isTakenBack: true })
  const before = await catalogOf()
  const follow = (said: Partial<Corrections>, from = before) =>
    rejoinCatalog(from, { ...noCorrections, ...said }, { others: [], index: () => new ListingIndex(from.listings) })
  const { catalog: now, sameAs } = await follow({ unlearned: { [name]: true } })
  expect(together(now)).toBe(false)
  // the three that barcodes join are what they were; the two that words joined are new
  expect([...sameAs].filter((at) => at >= 0)).toHaveLength(3)
  const { catalog: again } = await follow({}, now)
  expect(together(again)).toBe(true)
})

test('what is set apart by hand speaks against it, and only that much is joined anew', async () => {
  const apart = await catalogOf({ apart: { [key(0)]: key(1) } })
  expect(toldLessons(apart)).toEqual([])
  expect(together(apart)).toBe(false)
})

test('what listings and judged offers teach is told once each: by hand first, then by barcodes, then by name', () => {
  const told = (name: string, byHand: number, barcodes: number) => ({
    name,
    says: 'same' as const,
    these: [],
    those: [],
    barcodes,
    byHand,
    example: ['', ''] as [string, string],
    isTakenBack: false,
  })
  const shown = (list: ReturnType<typeof joinTold>) => list.map((l) => [l.name, l.byHand, l.barcodes])
  expect(
    shown(
      joinTold(
        [told('c', 1, 9), told('b', 0, 4), told('d', 0, 7), told('a', 0, 4)],
        [told('c', 2, 0), told('e', 2, 1)],
      ),
    ),
  ).toEqual([
    ['c', 3, 9],
    ['e', 2, 1],
    ['d', 0, 7],
    ['a', 0, 4],
    ['b', 0, 4],
  ])
  expect(shown(joinTold([], [told('b', 0, 0), told('a', 0, 0)])).map(([name]) => name)).toEqual(['a', 'b'])
})
