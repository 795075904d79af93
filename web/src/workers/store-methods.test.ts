import { noCorrections, plainRules } from '@sickle/core/catalog'
import { emptyQuery, type Answer, type FindRow } from '@sickle/core/engine'
import type { StoreEstimates, StoreList, StoreThemes } from '@sickle/core/stores'
import { bringAll, inPlace, testBench } from '@/testing/workbench'
import { engineMethods } from './engine-methods'
import type { MineSummary } from './own-methods'
import type { PooledStores, StoreGaps } from './pool-methods'
import type { StoreBeside, StoreWriting } from './store-methods'

const bench = testBench()
const engine = inPlace(engineMethods)
const rules = plainRules('EUR')
const call = <T>(name: string, ...args: unknown[]) => engine.call(name, args) as Promise<T>
const named = (name: string) => ({ market: 'Marrowgate', name })
const shown = { strips: ['units'], columns: [] }
const finds = async (some: object) => {
  const answer = await call<Answer & { rows: FindRow[] }>('ask', { ...emptyQuery, ...some }, [], shown, 24, null)
  return answer.rows.map((r) => r.key)
}

beforeAll(async () => {
  await bringAll(bench)
  await call('load', rules, noCorrections)
})

test('before anything of mine is known nothing is mine, and nothing is asked to be', async () => {
  expect(await call<MineSummary>('mine')).toEqual({ goods: 0, met: 0, items: new Map() })
  expect(await call('alikeStores')).toEqual({ goods: 0, stores: [] })
  expect(await finds({ own: 'mine' })).toEqual([])
  expect(await finds({ own: 'others' })).toHaveLength(3)
  const beside = await call<StoreBeside>('storeBeside', 'Marrowgate', 'Sill Life')
  expect(beside).toMatchObject({ goods: 0, met: 0, gaps: 2, meetings: [] })
})

describe('with a catalogue of mine', () => {
  beforeAll(async () => {
    const csv =
      'SKU,Title,EAN,My price\nH1,Black hooks for balconies,4006381333931,12.00\nP1,"Kneeling pad 45 x 28 cm, grey, pack of 2",,16.00\n'
    await bench.bring('mine.csv', csv, { kind: 'catalogue', currency: 'EUR' })
    await call('load', rules, noCorrections)
  })

  test('items are mine by their barcode; another pack is neither mine nor a gap', async () => {
    const { goods, met, items } = await call<MineSummary>('mine')
    expect([goods, met]).toEqual([2, 1])
    expect(Object.fromEntries(items)).toEqual({
      'Marrowgate/A1': { way: 'barcode', title: 'Black hooks for balconies' },
      'Marrowgate/A5': { way: 'pack', title: 'Kneeling pad 45 x 28 cm, grey, pack of 2' },
    })
    expect(await finds({ own: 'mine' })).toEqual(['Marrowgate/A1'])
    expect(await finds({ own: 'others' })).toEqual(['Marrowgate/A3'])
    // and back again, and together with other limits
    expect(await finds({})).toHaveLength(3)
    expect(await finds({ own: 'mine', limits: { units: [1000, null] } })).toEqual([])
    expect(await call('counts', [{ ...emptyQuery, own: 'mine' }, emptyQuery], [])).toEqual([1, 3])
    expect(await call('keys', { ...emptyQuery, own: 'others' }, [], 10)).toEqual(['Marrowgate/A3'])
  })

  test('gaps: what they sell that I do not, and what may be mine beside what it may be', async () => {
    const found = await call<StoreGaps>('gaps', [named('Sill Life')])
    expect([found.goods, found.gaps, found.mine]).toEqual([2, 1, 0])
    expect(found.rows.map((g) => [g.row.key, g.is])).toEqual([['Marrowgate/A3', 'gap']])
    expect(found.perhaps.map((g) => [g.row.key, g.is, g.mine])).toEqual([
      ['Marrowgate/A5', 'pack', 'Kneeling pad 45 x 28 cm, grey, pack of 2'],
    ])
    const none = await call<StoreGaps>('gaps', [named('Hedge End Co.'), named('Nobody')])
    expect([none.gaps, none.mine]).toEqual([0, 1])
  })

  test('who is like me, and where we meet', async () => {
    const { stores } = await call<{ stores: { store: number; shared: number; priceRatio: number }[] }>('alikeStores')
    const list = await call<StoreList>('stores')
    expect(stores.map((a) => list.names[a.store]).sort()).toEqual(['Hedge End Co.', 'Quay Perch'])
    // 12.90 over my 12.00, on the screen and in the file that is taken from it
    expect(stores.find((a) => list.names[a.store] === 'Hedge End Co.')?.priceRatio).toBeCloseTo(1.075, 12)
    const bytes = await call<Uint8Array>('exportStores', 'alike', [named('Hedge End Co.')], 0, 'csv')
    expect(new TextDecoder().decode(bytes)).toContain('"Hedge End Co.","Marrowgate",1,1,0.5,0.5,1.075,')
    const beside = await call<StoreBeside>('storeBeside', 'Marrowgate', 'Hedge End Co.')
    expect(beside).toMatchObject({ goods: 2, met: 1, gaps: 0, perhaps: 0 })
    expect(beside.meetings[0]).toMatchObject({
      itemKey: 'Marrowgate/A1',
      mine: 'Black hooks for balconies',
      myPriceE4: 120_000,
      leader: null,
    })
    expect(beside.prices).toMatchObject({ compared: 1, dearer: 1 })
    expect(await call('storeBeside', 'Marrowgate', 'Nobody')).toBeNull()
  })

  test('stores that sell what a question of Finds leaves, each with how many of its listings', async () => {
    const list = await call<StoreList>('stores')
    const counts = await call<Float64Array>('storesSelling', { ...emptyQuery, categories: ['Garden / Birds'] })
    const by = Object.fromEntries(list.names.map((name, i) => [name, counts[i]]))
    expect(by).toEqual({ 'Hedge End Co.': 0, 'Quay Perch': 0, 'Sill Life': 1, 'Tern & Trowel': 1 })
    const mine = await call<Float64Array>('storesSelling', { ...emptyQuery, own: 'mine' })
    expect(mine.reduce((a, b) => a + b, 0)).toBe(2)
  })
})

test('a pool adds its stores up item by item, over its floor alone', async () => {
  const pool = await call<PooledStores>('pool', [named('Sill Life'), named('Tern & Trowel'), named('Nobody')], 0)
  expect(pool.rows.map((r) => [r.row.key, r.stores, r.units])).toEqual([
    ['Marrowgate/A3', 2, 24],
    ['Marrowgate/A5', 1, 3],
  ])
  expect(pool.keys).toEqual(['Marrowgate/A3', 'Marrowgate/A5'])
  expect(pool.without).toEqual([named('Nobody')])
  // of none are lifetime sales known
  expect(await call('pool', [named('Sill Life')], 20)).toMatchObject({ of: 0, below: 0, unknown: 2 })
  expect(await call<StoreThemes>('poolThemes', [named('Sill Life')], 0)).toEqual({ themes: [], of: 2, ofOneStore: 0 })
})

test('how a store writes, and what it sells where it says nothing', async () => {
  const writing = await call<StoreWriting>('storeWriting', 'Marrowgate', 'Sill Life')
  expect(writing.habits.selling).toMatchObject({ listings: 2, titleLength: 30.5 })
  expect(await call('storeWriting', 'Marrowgate', 'Nobody')).toBeNull()
  const none = await call<StoreEstimates>('storeEstimates', 'Marrowgate', 'Sill Life', null)
  expect(none).toMatchObject({ feedback: null, items: null, ranks: null, all: null, leave: { rate: 0.5 } })
  const offers =
    'Item ID,Seller,Offer price (EUR),Feedback 30 days,Featured share\nA3,Sill Life,24.00,5,50%\nA3,Tern & Trowel,23.50,2,50%\n'
  await bench.bring('sellers.csv', offers, { kind: 'competing', market: 'Marrowgate' })
  await call('load', rules, noCorrections)
  const found = await call<StoreEstimates & { leave: { rate: number } }>(
    'storeEstimates',
    'Marrowgate',
    'Sill Life',
    null,
  )
  expect(found.feedback?.units).toBeCloseTo(5.5 / found.leave.rate, 9)
  // set by hand
  const set = await call<StoreEstimates>('storeEstimates', 'Marrowgate', 'Sill Life', 0.25)
  expect(set.feedback?.units).toBeCloseTo(5.5 / 0.25, 9)
  // half of the 24 that both sell of the bath
  expect(found.items?.mean).toBeCloseTo(12, 9)
  expect(found.all?.units).toBeGreaterThan(8)
  expect(await call('storeEstimates', 'Marrowgate', 'Nobody', null)).toBeNull()
})

test.each([
  ['stores', 'Sill Life'],
  ['listings', 'Kneeling pad'],
  ['pool', 'bath'],
  ['gaps', 'a gap'],
  ['alike', 'Store'],
  ['themes', 'Theme'],
] as const)('%s leave as a file', async (table, holds) => {
  const bytes = await call<Uint8Array>('exportStores', table, [named('Sill Life')], 0, 'csv')
  expect(new TextDecoder().decode(bytes)).toContain(holds)
})
