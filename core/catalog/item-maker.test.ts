import type { Capture } from '../records'
import type { RowRecord } from '../tables'
import { buildCatalog, ItemMaker, lensOn, noCorrections, plainRules, renewCatalog } from '.'
import { captureOf, listing, offer, today } from './test-maker'

const rules = plainRules('EUR')
const things = ['Herb trough', 'Peanut feeder', 'Copper kettle', 'Felt slippers']
const thing = (i: number, some: RowRecord = {}) => listing(`${i}`, { title: things[i] as string, ...some })

test('through a lens what counts is what is on its markets, and the others stay where they are', async () => {
  const captures = [captureOf('listings', [thing(0), thing(1, { market: 'Gavelhop' }), thing(2)])]
  const catalog = await buildCatalog(captures)
  const whole = new ItemMaker(catalog, rules, noCorrections)
  expect([0, 1, 2].map((i) => [whole.isCounted(i), whole.isSeen(i)])).toEqual(Array(3).fill([true, true]))
  const seen = new ItemMaker(catalog, rules, noCorrections, whole, await lensOn(catalog, ['Gavelhop'], captures))
  expect([0, 1, 2].map((i) => [seen.isCounted(i), seen.isSeen(i)])).toEqual([
    [false, false],
    [true, true],
    [false, false],
  ])
  expect(seen.count).toBe(3)
  expect(seen.titleAt(0)).toBe('Herb trough')
  expect(seen.find('Marrowgate/2')).toBe(2)
})

test('an item has the offers of its goods alone, and every one that may be where it is looked at by itself', async () => {
  const offers = [
    offer('same'),
    offer('less', { title: 'Window bird feeder with roof' }),
    offer('other', { title: 'Copper kettle' }),
  ]
  const maker = new ItemMaker(
    await buildCatalog([captureOf('listings', [listing('1')]), captureOf('offers', offers)]),
    rules,
    noCorrections,
  )
  const ids = (every?: boolean) => maker.at(0, every).offers.map(({ offer: { id } }) => id)
  expect(ids(false)).toEqual(['same'])
  expect(ids()).toEqual(['same', 'less'])
})

test('a listing that got another title is joined by it, as if it had always had it', async () => {
  const before = [captureOf('listings', [thing(0), thing(1), thing(2)], today - 2)]
  const renamed = captureOf('listings', [thing(0), thing(1, { title: things[0] as string }), thing(2)])
  const { catalog } = await renewCatalog(
    await buildCatalog(before),
    { kinds: new Set(['listings'] as const), newest: null, others: [], all: async () => [...before, renamed] },
    noCorrections,
  )
  expect([...catalog.itemOf]).toEqual([0, 0, 1])
})

test('a judgement of an offer, or of an item, that is not there any more teaches nothing', async () => {
  const catalog = await buildCatalog([captureOf('listings', [thing(0), thing(1)]), captureOf('offers', [offer('S')])])
  const judged = {
    'Marrowgate/0': { 'offer:Sill Mill/gone': 'same' },
    'Marrowgate/1': { 'offer:Sill Mill/gone': 'same' },
    'Marrowgate/9': { 'offer:Sill Mill/S': 'same' },
    'Gavelhop/1': { 'offer:Sill Mill/S': 'same' },
  } as const
  expect(new ItemMaker(catalog, rules, { ...noCorrections, judged }).offerLessons.lessons).toEqual([])
})

/** Which items have the figures of before once more came in. */
async function keptOf(before: readonly Capture[], come: Capture): Promise<number[]> {
  const all = [...before, come]
  const { sameAs } = await renewCatalog(
    await buildCatalog(before),
    { kinds: new Set([come.kind]), newest: null, others: [], all: async () => all },
    noCorrections,
  )
  return [...sameAs]
}

test('where the last day of a market moves, items whose reported units grow too old by it are worked out again, and no others', async () => {
  const old = captureOf('listings', [thing(0), thing(1, { units: null }), thing(2, { market: 'Gavelhop' })], today - 40)
  const sales = (last: number) =>
    captureOf('sales', [{ market: 'Marrowgate', id: '3', title: things[3] as string, day: last, units: 2 }], last)
  // 45 days on they still count, 46 not any more
  expect(await keptOf([old, sales(today - 20)], sales(today + 5))).toEqual([0, 1, 2, -1])
  expect(await keptOf([old, sales(today - 20)], sales(today + 6))).toEqual([-1, 1, 2, -1])
  // of a market that alone is gathered its last day moves too
  const alone = captureOf('listings', [thing(0), thing(1, { units: null })], today - 40)
  expect(await keptOf([alone, sales(today - 20)], sales(today + 6))).toEqual([-1, 1, -1])
})

test('what is sold of a listing day by day is worked out again whenever the last day of its market moves', async () => {
  const first = captureOf('listings', [thing(0), thing(1)])
  const day = (id: string, on: number) => captureOf('sales', [{ market: 'Marrowgate', id, day: on, units: 1 }], on)
  expect(await keptOf([first, day('0', today), day('1', today - 3)], day('0', today + 1))).toEqual([-1, -1])
  // sales of before the last day move nothing; listing 1 comes first, as it was met first
  expect(await keptOf([first, day('0', today), day('1', today - 3)], day('0', today - 1))).toEqual([0, -1])
})
