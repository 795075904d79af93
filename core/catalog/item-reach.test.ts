import type { RowRecord } from '../tables'
import { captureOf, keyOf, listing, makerOf, today } from './test-maker'

const gtin = '4006381333931'
const listings = captureOf('listings', [
  listing('1', { gtin, store: 'Reed' }),
  listing('2', { gtin, store: 'Moss', market: 'Gavelhop' }),
  listing('3', { title: 'Hand trowel, copper', store: 'Reed' }),
  listing('4', { title: 'Seed scoop, tin', store: null }),
])
const competing = (id: string, store: string | null, some: RowRecord = {}) => ({
  market: 'Marrowgate',
  id,
  store,
  price: 100_000,
  currency: 'EUR',
  ...some,
})
const clip = (name: string, some: RowRecord = {}): RowRecord => ({
  market: 'Marrowgate',
  clip: name,
  creator: '@wren',
  id: '1',
  day: today - 3,
  ...some,
})
const reachOf = async (id: string, ...captures: Parameters<typeof makerOf>[0]) => {
  const maker = await makerOf([listings, ...captures])
  return maker.at(maker.find(keyOf(maker, id))!).reach
}

test('who offers an item: competing offers by its listing or barcode, and the stores that list it, each once', async () => {
  const offers = captureOf('competing', [
    competing('1', 'Sedge'),
    competing('1', 'Sedge'),
    competing('1', 'Reed'),
    competing('other', 'Rush', { gtin }),
    competing('1', null),
    competing('nowhere', 'Nobody'),
    competing('1', 'Sedge', { market: 'Nowhere' }),
  ])
  // Sedge, Reed and Rush, and Moss by its listing
  expect((await reachOf('1', offers)).competingOffers).toBe(4)
  // of whom nobody offers it the listings alone say nothing
  expect((await reachOf('3', offers)).competingOffers).toBeNull()
  expect((await reachOf('1')).competingOffers).toBeNull()
})

test('each item has its own, in whatever order they are spoken of', async () => {
  const offers = captureOf('competing', [competing('3', 'Sedge'), competing('1', 'Rush'), competing('1', 'Finch')])
  // Sedge, and Reed by its listing; Rush and Finch, and Reed and Moss by theirs
  expect([(await reachOf('3', offers)).competingOffers, (await reachOf('1', offers)).competingOffers]).toEqual([2, 4])
})

test('clips of the last month are those before the last day of their market, not of their list', async () => {
  const old = captureOf('clips', [clip('a', { day: today - 35 }), clip('b', { day: today - 29 })], today - 28)
  expect((await reachOf('1', old)).clips.clips30).toBe(1)
})

test('who shows it, what they are given, and where it is advertised', async () => {
  const clips = captureOf('clips', [
    clip('a', { commission: 0.1, units: 4 }),
    clip('b', { commission: 0.25, units: 2 }),
    clip('c', { creator: '@tern', commission: null }),
    clip('d', { creator: null }),
    clip('e', { id: '3', creator: '@tern', commission: 0.05 }),
  ])
  const ads = captureOf('ads', [
    { market: 'Marrowgate', id: '1', ad: 'x', channel: 'feed' },
    { market: 'Marrowgate', id: '1', ad: 'y', channel: 'before | clips' },
    { market: 'Marrowgate', id: '1', ad: 'z', channel: 'feed' },
  ])
  const reach = await reachOf('1', clips, ads)
  expect(reach).toMatchObject({ clipCreators: 2, clipCommission: 0.25, channels: ['before   clips', 'feed'] })
  expect(reach.clips).toMatchObject({ clips30: 3, clipUnits30: 6 })
  expect(await reachOf('3', clips, ads)).toMatchObject({ clipCreators: 1, clipCommission: 0.05, channels: [] })
  expect(await reachOf('4', clips, ads)).toMatchObject({ clipCreators: null, clipCommission: null, channels: [] })
  expect((await reachOf('4', clips, ads)).clips.clips30).toBeNull()
})

test('a clip without a number is another one each time, one with it is the same in a later list', async () => {
  const numbered = captureOf('clips', [clip('a', { units: 4 })], today - 5)
  const again = captureOf('clips', [clip('a', { units: 9 }), { ...clip(''), clip: null }, { ...clip(''), clip: null }])
  expect((await reachOf('1', again, numbered)).clips).toMatchObject({ clips30: 3, clipUnits30: 9 })
})

test('stores that list one item, and those that list ten at most; the same name on another market is another store', async () => {
  const others = (store: string, many: number, market = 'Marrowgate') =>
    Array.from({ length: many }, (_, i) =>
      listing(`${store} ${i}`, { title: `Thing ${'abcdefghijkl'[i]}${i} of ${store}`, store, market }),
    )
  const more = (rows: RowRecord[]) => reachOf('1', captureOf('listings', rows, today - 1))
  // Reed lists the trowel too, Moss this alone
  expect(await more([])).toMatchObject({ oneItemStores: 1, smallStores: 2 })
  expect(await more(others('Moss', 3))).toMatchObject({ oneItemStores: 1, smallStores: 2 })
  expect(await more(others('Moss', 3, 'Gavelhop'))).toMatchObject({ oneItemStores: 0, smallStores: 2 })
  expect(await more(others('Moss', 9, 'Gavelhop'))).toMatchObject({ oneItemStores: 0, smallStores: 2 })
  expect(await more(others('Moss', 10, 'Gavelhop'))).toMatchObject({ oneItemStores: 0, smallStores: 1 })
  expect(await reachOf('4')).toMatchObject({ oneItemStores: null, smallStores: null })
})

test('whether it may be listed, by the lists that were brought in', async () => {
  const list = captureOf('restricted', [{ what: 'trowel', sort: 'phrase', status: 'banned' }])
  const clearing = async (id: string) => (await reachOf(id, list)).clearing
  expect([await clearing('3'), await clearing('1')]).not.toContain('allowed')
  expect(await clearing('3')).not.toBe(await clearing('1'))
  expect((await reachOf('1')).clearing).toBeNull()
})
