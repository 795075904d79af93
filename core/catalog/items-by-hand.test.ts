import { TableBuilder } from '../tables'
import { joinListings } from '../goods'
import { itemsByHand, lazyIndex } from './items-by-hand'
import { joinableOf } from './joinable'

const rows: Record<string, string>[] = [
  { id: '1', title: 'Peanut feeder green 500 g', gtin: '2900000000018' },
  { id: '2', title: 'Green peanut feeder, 500g' },
  { id: '3', title: 'Feeder for peanuts', gtin: '2900000000018' },
  { id: '4', title: 'Nut cage', gtin: '2900000000025', brand: 'Tern' },
  { id: '5', title: 'Cage for nuts', brand: ' tern' },
]
const builder = new TableBuilder(
  ['market', 'id', 'title', 'gtin', 'brand'].map((name) => ({ name, type: 'text' as const })),
)
for (const row of rows) builder.add({ market: 'Farholt', ...row })
const listings = builder.finish()
const key = (id: number) => `Farholt/${id}`

async function items(apart: number[], together: [number, number][]): Promise<number[]> {
  const of = await joinableOf(listings)
  const said = {
    apart: Object.fromEntries(apart.map((id) => [key(id), key(1)])),
    together: Object.fromEntries(together.map(([a, b]) => [key(a), key(b)])),
  }
  return [...itemsByHand(await joinListings(of), said, () => of, lazyIndex(listings))]
}

test('what a person said goes before barcodes and titles, and putting it back gives what was', async () => {
  expect(await items([], [])).toEqual([0, 0, 0, 1, 1])
  expect(await items([2], [])).toEqual([0, 1, 0, 2, 2])
  expect(await items([], [[4, 1]])).toEqual([0, 0, 0, 0, 0])
  expect(await items([2], [[2, 4]])).toEqual([0, 1, 0, 1, 1])
})

test('what hung together only by the one that is taken out falls apart', async () => {
  expect(await items([1], [])).toEqual([0, 1, 2, 3, 3])
  expect(await items([1, 2, 3], [])).toEqual([0, 1, 2, 3, 3])
})

test('what is taken out of the last thing, or of the first, becomes a thing of its own', async () => {
  expect(await items([5], [])).toEqual([0, 0, 0, 1, 2])
  expect(await items([1, 5], [])).toEqual([0, 1, 2, 3, 4])
})

test('who is said to be two things is all of them, and names of listings that are gone are passed over', async () => {
  expect(
    await items(
      [],
      [
        [2, 5],
        [9, 1],
        [1, 9],
      ],
    ),
  ).toEqual([0, 0, 0, 0, 0])
  expect(await items([9], [[9, 8]])).toEqual([0, 0, 0, 1, 1])
})
