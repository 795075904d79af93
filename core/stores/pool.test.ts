import { ItemMaker, noCorrections, type Catalog } from '../catalog'
import { middleOf } from '../demand'
import { csvOf } from '../exports/write-export'
import { mergeOwn, OwnMatcher } from '../own'
import { textIn, type RowRecord } from '../tables'
import { alikeStores } from './alike-stores'
import { gapsOf } from './gaps'
import { poolItems } from './pool'
import { pricesBeside } from './prices-beside'
import { rowsOfStore } from './store-rows'
import { storeListings } from './store-listing'
import { alikeTable, gapsTable, poolTable, storeListingsTable, storesTable, themesTable } from './store-tables'
import { storeThemes } from './store-themes'
import { titleHabits } from './title-habits'
import { capture, euro, knownOf, listing, noLikeness } from './test-stores'
import { whereWeMeet } from './where-we-meet'

const goods = (n: number, store: string, more: RowRecord = {}) =>
  listing(`${store}${n}`, { ...noLikeness(n), store, ...more })

const rowNamed = (catalog: Catalog, id: string) =>
  Array.from({ length: catalog.listings.rows }, (_, row) => row).find(
    (row) => textIn(catalog.listings, 'id', row) === id,
  )!

/** Three stores: of goods 1 all three sell, of 2 two, of 3 one alone. */
async function three() {
  const made = await knownOf([
    capture('listings', [
      goods(1, 'Sill', { units: 4, unitsTotal: 10, price: 100_000 }),
      goods(1, 'Rail', { units: 0, unitsTotal: 15, price: 120_000 }),
      goods(1, 'Quay', { units: null, unitsTotal: null, price: 90_000 }),
      goods(2, 'Sill', { units: 2, unitsTotal: 30 }),
      goods(2, 'Rail', { units: 3, unitsTotal: 5 }),
      goods(3, 'Sill', { units: 50, unitsTotal: 800 }),
      goods(4, 'Rail', { units: 1, unitsTotal: 19 }),
      goods(5, 'Quay', { units: 9, unitsTotal: null }),
    ]),
  ])
  const rowsOf = (name: string) => rowsOfStore(made.known.rows, made.known.places.find('Marrowgate', name) as number)
  return { ...made, rowsOf, maker: new ItemMaker(made.catalog, euro, noCorrections) }
}

test('a pool orders by how many of its stores sell an item, then by what sells through at the least', async () => {
  const { catalog, rowsOf } = await three()
  const pool = poolItems(catalog, [rowsOf('Sill'), rowsOf('Rail'), rowsOf('Quay')], 20)
  expect(pool.items.map((p) => [p.stores, p.listings, p.units, p.unitsTotal])).toEqual([
    [3, 3, 4, 25],
    [2, 2, 5, 35],
    [1, 1, 50, 800],
  ])
  expect(pool.items[0]?.sellThrough?.ratio).toBe(0.5)
  expect([pool.below, pool.unknown, pool.listings]).toEqual([1, 1, 8])
  // without a floor all are there, those of which nothing is known too
  expect(poolItems(catalog, [rowsOf('Sill'), rowsOf('Rail'), rowsOf('Quay')], 0).items).toHaveLength(5)
  // 20 is over a floor of 20, and 19 is not
  expect(poolItems(catalog, [rowsOf('Rail')], 19).items.map((p) => p.unitsTotal)).toEqual([19])
  expect(poolItems(catalog, [], 20)).toEqual({ items: [], below: 0, unknown: 0, listings: 0 })
})

async function withMine() {
  const made = await three()
  const own = mergeOwn(
    [
      capture('catalogue', [
        { sku: 'a', ...noLikeness(1), price: 110_000, currency: 'EUR' },
        { sku: 'b', title: `${String(noLikeness(2).title)}, pack of 3` },
        { sku: 'c', ...noLikeness(77) },
      ]),
    ],
    euro,
  )
  return { ...made, own, matches: new OwnMatcher(own, made.catalog).matches() }
}

test('a gap is what I sell in no form: another pack is told, and is none', async () => {
  const { catalog, rowsOf, own, matches, maker } = await withMine()
  const found = gapsOf(catalog, rowsOf('Sill'), matches)
  expect([found.mine, found.gaps.length, found.perhaps.map((p) => [own[p.own]?.sku, p.way])]).toEqual([
    1,
    1,
    [['b', 'pack']],
  ])
  expect(maker.at(found.gaps[0] as number).title).toBe(noLikeness(3).title)
  // a store that lists an item twice has it once
  const twice = gapsOf(catalog, [...rowsOf('Sill'), ...rowsOf('Sill')], matches)
  expect([twice.mine, twice.gaps.length, twice.perhaps.length]).toEqual([1, 1, 1])
  expect(gapsOf(catalog, [], matches)).toEqual({ gaps: new Int32Array(0), mine: 0, perhaps: [] })
  const csv = csvOf(gapsTable(found, own, maker), (c) => c.name)
  expect(csv).toContain('mine in another pack')
  expect(csv).toContain('a gap')
})

test('who is like me: shared over either, over mine, price against mine, and how often it is featured', async () => {
  const { catalog, known, own, matches } = await withMine()
  const offer = (store: string, featured: number | null) => ({
    market: 'Marrowgate',
    id: 'Sill1',
    store,
    featured,
    priceE4: 100_000,
    currency: 'EUR',
  })
  const key = new Map([['Marrowgate/Sill1', 0]])
  const options = {
    catalog,
    places: known.places,
    rows: known.rows,
    own,
    matches,
    priceE4: (row: number) => [100_000, 120_000, 90_000][row] ?? NaN,
    offers: [offer('Sill', 0.5), offer('Rail', 0.25), offer('Rail', 0.75), offer('Quay', null)] as never,
    find: (k: string) => key.get(k) ?? null,
  }
  const found = alikeStores(options)
  const names = found.map((a) => known.places.names[a.store])
  // each shares one of my three: of five, of five and of four that either has
  expect(names).toEqual(['Quay', 'Sill', 'Rail'])
  expect(found.map((a) => [a.shared, a.perhaps, a.items, a.jaccard])).toEqual([
    [1, 0, 2, 1 / 4],
    [1, 1, 3, 1 / 5],
    [1, 1, 3, 1 / 5],
  ])
  expect(found.map((a) => a.containment)).toEqual([1 / 3, 1 / 3, 1 / 3])
  expect(found.map((a) => [a.featured, a.featuredOf])).toEqual([
    [null, 0],
    [0.5, 1],
    [0.5, 2],
  ])
  expect(found[1]?.priceRatio).toBeCloseTo(100 / 110, 12)
  expect(csvOf(alikeTable(found, known.list), (c) => c.name).split('\r\n')[1]).toContain('"Quay"')
  expect(alikeStores({ ...options, matches: new Map() })).toEqual([])
  // what is shared already is not perhaps shared as well
  const [one, two] = ['Sill1', 'Sill2'].map((id) => catalog.itemOf[rowNamed(catalog, id)] as number)
  const twice = new Map([
    [one as number, { own: 0, way: 'barcode' as const, words: null }],
    [two as number, { own: 0, way: 'pack' as const, words: 0.9 }],
  ])
  const sill = alikeStores({ ...options, matches: twice }).find((s) => known.places.names[s.store] === 'Sill')
  expect([sill?.shared, sill?.perhaps]).toEqual([1, 0])
})

test('where we meet: my price beside its price, and whose offer is featured most', async () => {
  const { catalog, known, rowsOf, own, matches } = await withMine()
  const listings = storeListings(catalog, rowsOf('Sill'), euro)
  const met = whereWeMeet(listings, {
    catalog,
    name: 'Sill',
    market: 'Marrowgate',
    own,
    matches,
    offers: [
      { market: 'Marrowgate', id: 'Sill1', store: 'Sill', featured: 0.2, priceE4: 100_000, currency: 'EUR' },
      { market: 'Marrowgate', id: 'Sill1', store: 'Quay', featured: 0.7, priceE4: 90_000, currency: 'GBP' },
      { market: 'Gavelhop', id: 'Sill1', store: 'Far', featured: 1, priceE4: 10_000, currency: 'EUR' },
    ] as never,
    find: () => 0,
    home: (currency, e4) => (currency === 'GBP' ? e4 * 1.2 : e4),
  })
  expect(met).toHaveLength(1)
  expect(met[0]).toMatchObject({
    way: 'words',
    myPriceE4: 110_000,
    featured: 0.2,
    leader: { store: 'Quay', featured: 0.7, priceE4: 108_000 },
  })
  expect(known.places.names).toContain('Sill')
})

test('its prices stand beside the middle of the others for the same goods', async () => {
  const { catalog, rowsOf } = await three()
  const beside = (name: string) => pricesBeside(catalog, storeListings(catalog, rowsOf(name), euro), euro)
  // of goods 1 the others ask 120 and 90: in the middle 105; of goods 2 all ask 100
  expect(beside('Sill')).toMatchObject({ compared: 2, cheaper: 1, same: 1, dearer: 0 })
  expect(beside('Sill').medianRatio).toBeCloseTo((100 / 105 + 1) / 2, 12)
  expect(beside('Rail')).toMatchObject({ compared: 2, dearer: 1, cheaper: 0 })
  expect([...beside('Sill').prices]).toEqual([100_000, 100_000, 100_000])
  expect(middleOf([])).toBeNull()
  expect([middleOf([3, 1, 2]), middleOf([4, 1, 2, 3])]).toEqual([2, 2.5])
})

test('how it writes what sells beside what does not: tags that are not shown are not none', async () => {
  const { catalog, known } = await knownOf([
    capture('listings', [
      listing('1', { title: 'abcd', units: 3, tags: 'one|two|three' }),
      listing('2', { title: 'abcdef', units: 1, tags: null }),
      listing('3', { title: 'ab', units: 0, tags: 'one' }),
      listing('4', { title: 'x', units: null, tags: 'one|two' }),
    ]),
  ])
  const habits = titleHabits(catalog, storeListings(catalog, rowsOfStore(known.rows, 0), euro))
  expect(habits).toEqual({
    selling: { listings: 2, titleLength: 5, tags: 3, tagged: 1 },
    silent: { listings: 1, titleLength: 2, tags: 1, tagged: 1 },
    words: null,
  })
})

test('a theme of a pool is served by two stores at least, and is none of the words a store is called by', async () => {
  const birds = ['wren', 'robin', 'tern', 'siskin', 'dunnock', 'knot']
  const titled = (store: string, theme: string) =>
    birds.map((bird, i) =>
      listing(`${store}${theme}${i}`, { store, title: `${store} ${bird} mug, ${theme}`, units: i }),
    )
  const plainOnes = ['plate', 'jug', 'tray', 'bowl'].flatMap((noun) =>
    birds.map((bird, i) => listing(`${noun}${i}`, { store: noun < 'k' ? 'Quay' : 'Sill', title: `${bird} ${noun}` })),
  )
  const { catalog } = await knownOf([
    capture('listings', [
      ...titled('Sill', 'retired teacher gift'),
      ...titled('Quay', 'retired teacher gift'),
      ...titled('Quay', 'harbour master trophy'),
      ...plainOnes,
    ]),
  ])
  const rows = Array.from({ length: catalog.listings.rows }, (_, i) => i)
  const { themes, ofOneStore, of } = storeThemes(catalog, rows, euro)
  expect(themes.map((t) => [t.phrases[0], t.sums.stores, t.sums.listings, t.unitsTotal])).toEqual([
    ['retired teacher', 2, 12, null],
  ])
  expect([ofOneStore, of]).toEqual([1, rows.length])
  expect(themes[0]?.sums.sellThrough?.ratio).toBeCloseTo(10 / 12, 12)
  expect(themes[0]?.rows).toHaveLength(12)
  // of one store alone its own theme is told as well
  const quay = rows.filter((row) => textIn(catalog.listings, 'store', row) === 'Quay')
  expect(storeThemes(catalog, quay, euro).themes.map((t) => t.phrases[0])).toEqual(
    expect.arrayContaining(['harbour master trophy']),
  )
  expect(csvOf(themesTable(themes), (c) => c.name).split('\r\n')[1]).toMatch(/^"retired teacher[^"]*",12,2,/)
})

test('tables that leave: every figure with where it comes from, unknown ones empty', async () => {
  const { known, catalog, rowsOf, maker } = await three()
  const stores = storesTable(known.list, [known.places.find('Marrowgate', 'Quay') as number], 'EUR')
  const cell = (name: string) => stores.find((c) => c.name === name)?.values[0]
  expect([cell('store'), cell('units'), cell('unitsFrom'), cell('unitsTotal'), cell('unitsTotalFrom')]).toEqual([
    'Quay',
    9,
    'summed',
    null,
    'unknown',
  ])
  expect(cell('revenue')).toBe(90) // 9 at 10.00
  const own = storeListingsTable(storeListings(catalog, rowsOf('Quay'), euro), 'EUR')
  expect(own.find((c) => c.name === 'price')?.values).toEqual([9, 10])
  expect(own.find((c) => c.name === 'units')?.values).toEqual([null, 9])
  const pool = poolTable(poolItems(catalog, [rowsOf('Sill')], 20).items, maker)
  expect(pool.find((c) => c.name === 'unitsTotal')?.values).toEqual([800, 30])
})
