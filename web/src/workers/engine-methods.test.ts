import type { StoreList } from '@sickle/core/stores'
import type { OpenedStore } from './store-methods'
import Papa from 'papaparse'
import { noCorrections, plainRules } from '@sickle/core/catalog'
import { emptyQuery, type Answer, type FindRow } from '@sickle/core/engine'
import { bringAll, byHandE4, inPlace, listingsCsv, testBench } from '@/testing/workbench'
import { openDatabase } from '@/storage/database'
import type { RestingColumn } from '@/storage/schema'
import { listImports } from '@/storage/imports'
import { engineMethods } from './engine-methods'
import type { ClearingRows, ToAsk } from './clearing-methods'

const bench = testBench()
const engine = inPlace(engineMethods)
const rules = plainRules('EUR')
const shown = { strips: ['units'], columns: ['reviews'] }
const ask = (query: object = {}, looked: string | null = null) =>
  engine.call('ask', [{ ...emptyQuery, ...query }, [], shown, 24, looked]) as Promise<
    Answer & { rows: FindRow[]; isLookedFound: boolean }
  >
const titles = (rows: readonly FindRow[]) => rows.map((r) => r.title)

beforeAll(async () => {
  expect(await engine.call('counts', [[emptyQuery], []])).toEqual([0])
  expect(await engine.call('movers', [5])).toEqual({ rising: [], fading: [] })
  await expect(engine.call('ask', [emptyQuery, [], shown, 24, null])).rejects.toThrow('nothing is loaded yet')
  await bringAll(bench)
  const told: number[] = []
  const summary = await engine.call('load', [rules, noCorrections], { onProgress: (p) => told.push(p as number) })
  expect(summary).toEqual({
    items: 3,
    listings: 5,
    offers: 2,
    branches: 3,
    stores: 4,
    markets: ['Marrowgate'],
    noRate: [],
    figuresTo: 20_605,
    spoilt: {},
  })
  expect(told.every((t) => t >= 0 && t <= 1)).toBe(true)
})

test('what is asked is answered by rows, and whether the item looked at is among them', async () => {
  const all = await ask({}, 'Marrowgate/A5')
  expect([all.total, all.matching, all.rows.length, all.isLookedFound]).toEqual([3, 3, 3, true])
  const hooks = all.rows.find((r) => /hook/i.test(r.title))
  expect(hooks).toMatchObject({
    units: 62,
    listings: 2,
    landedE4: 32_000,
    profitE4: byHandE4.hooks,
    assumed: ['fees', 'pack'],
  })
  expect(hooks?.figures).toEqual({ reviews: 180 })
  const some = await ask({ limits: { units: [20, null] } }, 'Marrowgate/A5')
  expect([some.matching, some.isLookedFound, some.strips[0]?.wouldReturn]).toEqual([2, false, 1])
  expect((await ask({ words: 'trowel' })).matching).toBe(1)
  expect((await ask({ stores: ['Marrowgate/Sill Life'] })).matching).toBe(2)
  expect((await ask({ phrase: 'copper bird bath' }, 'unknown')).isLookedFound).toBe(false)
  expect((await ask({ categories: ['Garden / Birds'] })).rows.map((r) => r.key)).toEqual(['Marrowgate/A3'])
})

test('further rows, counts of Cuts and keys are of the same answer', async () => {
  await ask({ sort: { by: 'units', descending: true } })
  const rest = (await engine.call('page', [1, 5])) as FindRow[]
  expect(titles(rest)[1]).toMatch(/Kneeling/)
  expect(await engine.call('counts', [[emptyQuery, { ...emptyQuery, words: 'hook' }], ['Marrowgate/A1']])).toEqual([
    2, 0,
  ])
  expect(await engine.call('keys', [{ sort: { by: 'units', descending: true } }, [], 2])).toEqual([
    'Marrowgate/A1',
    'Marrowgate/A3',
  ])
})

test('items are found by the key of any of their listings', async () => {
  const byKey = (await engine.call('itemsByKey', [['Marrowgate/A2', 'Marrowgate/nothing']])) as Map<
    string,
    { key: string }
  >
  expect([...byKey].map(([asked, item]) => [asked, item.key])).toEqual([['Marrowgate/A2', 'Marrowgate/A1']])
  expect(await engine.call('items', [['nothing', 'Marrowgate/A3']])).toMatchObject([{ key: 'Marrowgate/A3' }])
  expect(await engine.call('rows', [['nothing']])).toEqual([{ key: 'nothing', row: null }])
})

test('whether items may be listed, each by the entries that speak of it', async () => {
  const draft = (item: string, title = '', tags: string[] = []) => ({ id: `${item} ${title}`, item, title, tags })
  const drafts = [
    draft('Marrowgate/A1'),
    draft('Marrowgate/A3'),
    draft('Marrowgate/A5'),
    draft('Marrowgate/A5', 'Pad for bird baths'),
    draft('Marrowgate/A5', 'Pad', ['Bird bath']),
    draft('nothing', 'Birdbath'),
  ]
  const allowed = (await engine.call('clearDrafts', [drafts])) as Map<string, { status: string }>
  expect([...allowed.values()].map((may) => may.status)).toEqual([
    'allowed',
    'restricted',
    'unknown',
    'restricted',
    'restricted',
    'unknown',
  ])
  const all = (await engine.call('clearingRows', [{ of: 'all' }, null])) as ClearingRows
  expect(all.counts).toEqual({ restricted: 1, 'needs approval': 0, allowed: 1, unknown: 1 })
  expect(all.rows.map(({ row, clearance }) => [row.key, row.clearing, clearance.status])).toEqual([
    ['Marrowgate/A1', 'allowed', 'allowed'],
    ['Marrowgate/A3', 'restricted', 'restricted'],
    ['Marrowgate/A5', 'unknown', 'unknown'],
  ])
  const [one] = ((await engine.call('clearingRows', [{ of: 'found' }, 'restricted'])) as ClearingRows).rows
  expect(one?.row.key).toBe('Marrowgate/A3')
  const pad = { item: 'Marrowgate/A5', id: 'A5', gtin: null, title: 'Kneeling pad 45 x 28 cm, grey' }
  expect(await engine.call('askedOf', [{ of: 'all' }, 'Marrowgate'])).toEqual({
    asked: [{ ...pad, market: 'Marrowgate' }],
    more: 0,
  })
  // what one market allows is still to be asked of another
  const elsewhere = (await engine.call('askedOf', [{ of: 'all' }, 'Gavelhop'])) as ToAsk
  expect(elsewhere.asked.map((a) => a.item)).toEqual(['Marrowgate/A1', 'Marrowgate/A3', 'Marrowgate/A5'])
  expect(await engine.call('allowed', ['Marrowgate/A3'])).toMatchObject({
    because: [{ what: 'bird bath', note: 'ask first' }],
  })
})

test('everything by name, by its sort', async () => {
  const named = (await engine.call('named', ['bird'])) as Record<string, unknown[]>
  expect(named).toEqual({
    items: [{ key: 'Marrowgate/A3', title: 'Hanging bird bath, copper, 26 cm' }],
    stores: [],
    categories: ['Garden / Birds'],
    markets: [],
    terms: [
      { key: 'Marrowgate/bird bath', phrase: 'bird bath', market: 'Marrowgate' },
      { key: 'Marrowgate/copper bird bath', phrase: 'copper bird bath', market: 'Marrowgate' },
    ],
  })
  expect(await engine.call('named', ['TERN trow'])).toMatchObject({
    stores: [{ market: 'Marrowgate', store: 'Tern & Trowel' }],
  })
  expect(await engine.call('named', ['marrow'])).toMatchObject({ markets: ['Marrowgate'], items: [] })
  expect(await engine.call('named', ['  '])).toMatchObject({ items: [], terms: [] })
})

test('the tree, the terms and what sells under one', async () => {
  const { branches } = (await engine.call('tree', ['', []])) as { branches: { path: string; items: number }[] }
  expect(branches.map((b) => [b.path, b.items])).toContainEqual(['Garden', 3])
  const narrowed = (await engine.call('tree', ['hook', []])) as { branches: { path: string; items: number }[] }
  expect(narrowed.branches.find((b) => b.path === 'Garden')?.items).toBe(1)
  expect(await engine.call('terms', ['Marrowgate', []])).toMatchObject({ of: 3, markets: ['Marrowgate'] })
  expect(await engine.call('term', ['Marrowgate/copper bird bath', []])).toMatchObject({
    of: 1,
    items: [{ key: 'Marrowgate/A3' }],
  })
  expect(await engine.call('term', ['nothing', []])).toBeNull()
})

test('the Close look: sellers, words, options, alike, posted, course and response say null where nothing is known', async () => {
  const key = 'Marrowgate/A1'
  expect(await engine.call('sellers', [key, []])).toMatchObject([
    { store: 'Hedge End Co.', deliveredE4: 129_000, myProfitE4: byHandE4.hooks },
    { store: 'Quay Perch', deliveredE4: 129_900 },
  ])
  expect(await engine.call('posted', [key, []])).toBeNull()
  expect(await engine.call('words', [key, []])).toBeNull()
  expect(await engine.call('response', [key, []])).toBeNull()
  expect(await engine.call('course', ['nothing', []])).toBeNull()
  expect(await engine.call('titleFor', ['Marrowgate/A3', 80, []])).toMatchObject({ covered: 1020 })
  expect(await engine.call('alike', ['nothing'])).toEqual([])
})

test('finds leave as a file in their order', async () => {
  await ask({ sort: { by: 'units', descending: false } })
  const bytes = (await engine.call('exportFinds', [['profit'], 'csv'])) as Uint8Array
  const text = new TextDecoder().decode(bytes)
  const { data } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: true,
  })
  expect(data.map((r) => [r.Key, r.Barcode, r['Profit, EUR'], r['Assumed']])).toEqual([
    ['Marrowgate/A5', '', '', ''],
    ['Marrowgate/A3', '', '8.68', 'fees, pack'],
    ['Marrowgate/A1', '4006381333931', '7.37', 'fees, pack'],
  ])
})

test('after a correction only what it touches is other, and after a rule everything', async () => {
  const packs = { ...noCorrections, packs: { 'Marrowgate/A1': 2 } }
  await engine.call('load', [rules, packs])
  const row = async (key: string) => ((await engine.call('rows', [[key]])) as { row: FindRow }[])[0]?.row
  expect((await row('Marrowgate/A1'))?.profitE4).toBe(byHandE4.hooks + 16_000)
  expect((await row('Marrowgate/A3'))?.profitE4).toBe(byHandE4.bath)
  await engine.call('load', [{ ...rules, costs: { ...rules.costs, packingE4: 5000 } }, noCorrections])
  expect((await row('Marrowgate/A3'))?.profitE4).toBe(byHandE4.bath - 5000)
  await engine.call('load', [rules, noCorrections])
})

test('what was spoilt since is found by looking through it, and set aside when all is loaded anew', async () => {
  expect(await engine.call('audit', [])).toBe(false)
  await bench.bring('second.csv', listingsCsv.replaceAll(',Garden', ',Home'), { market: 'Gavelhop', kind: 'listings' })
  const summary = (await engine.call('load', [rules, noCorrections])) as { listings: number }
  expect(summary.listings).toBe(10)
  const db = await openDatabase()
  const last = (await listImports(db)).at(-1)
  const key: [string, number, string] = [last?.id ?? '', 0, 'units']
  const column = (await db.get('columns', key)) as RestingColumn
  await db.put('columns', { ...column, rows: 2 }, key)
  // what was read in this sitting was sound when it was read
  expect(await engine.call('audit', [])).toBe(false)
  await db.put('imports', { ...(await db.get('imports', last?.id ?? ''))!, rows: 1 })
  db.close()
  const again = (await engine.call('load', [rules, noCorrections])) as { listings: number; spoilt: object }
  expect([again.listings, again.spoilt]).toEqual([10, {}])
})

test('stores are added up from their listings, and one opens with the items of what sells best', async () => {
  const list = (await engine.call('stores', [])) as StoreList
  const at = list.names.indexOf('Hedge End Co.')
  expect([list.figures.units?.[at], list.figures.listings?.[at], list.figures.unitsTotal?.[at]]).toEqual([40, 1, NaN])
  const look = (await engine.call('store', ['Marrowgate', 'Hedge End Co.'])) as OpenedStore
  expect([look.summed.units, look.topFifth, look.makes80]).toEqual([40, 1, 1])
  const [best] = look.best
  expect([best?.units, best?.title]).toEqual([40, 'Balcony hook 4-pack, black'])
  expect(await engine.call('item', [look.itemKeys[best!.key]!])).not.toBeNull()
  expect(await engine.call('store', ['Marrowgate', 'Nobody'])).toBeNull()
})

test('stores follow the rules, and those that only a list names are counted', async () => {
  const revenue = async () => {
    const list = (await engine.call('stores', [])) as StoreList
    return list.figures.revenue?.[list.names.indexOf('Hedge End Co.')]
  }
  const before = (await revenue()) as number
  const pounds = { ...rules, homeCurrency: 'GBP', rates: [{ from: 'EUR', to: 'GBP', rate: 0.5, day: '2026-05-31' }] }
  await engine.call('load', [pounds, noCorrections])
  expect(await revenue()).toBeCloseTo(before / 2, -2)
  await bench.bring('stores-2.csv', 'Market,Store,Sales\nMarrowgate,Far Rail,25000\n', {
    market: 'Marrowgate',
    kind: 'stores',
  })
  const count = async () => ((await engine.call('load', [rules, noCorrections])) as { stores: number }).stores
  const list = async () => ((await engine.call('stores', [])) as StoreList).count
  expect(await count()).toBe(await list())
  expect(((await engine.call('stores', [])) as StoreList).names).toContain('Far Rail')
})
