import { buildCatalog, costOf, ItemMaker, noCorrections, plainRules, type Corrections, type SellerRules } from '.'
import type { Capture } from '../records'
import { tableOf } from '../records/table-of'
import { assumedFees } from '../margin'
import type { RowRecord } from '../tables'
import { captureOf, listing as listed, offer } from './test-maker'

/** Nobody states what its delivery costs. */
const listing = (id: string, some: RowRecord = {}) => listed(id, { delivery: null, ...some })
const rules: SellerRules = { ...plainRules('EUR'), rates: [{ from: 'GBP', to: 'EUR', rate: 1.25, day: '2026-05-01' }] }
async function build(captures: Capture[], r = rules, c: Corrections = noCorrections) {
  const maker = new ItemMaker(await buildCatalog(captures), r, c)
  return { maker, items: Array.from({ length: maker.count }, (_, i) => maker.at(i)) }
}

test('the same goods over markets are one item, in the home currency', async () => {
  const { items } = await build([
    captureOf('listings', [
      listing('1'),
      listing('2', { market: 'Gavelhop', currency: 'GBP', price: 80_000, delivery: 16_000 }),
      listing('3', { title: 'Hand trowel, copper' }),
    ]),
  ])
  expect(items).toHaveLength(2)
  // 8.00 GBP × 1.25 = 10.00 EUR; delivered 9.60 × 1.25 = 12.00
  expect(items[0]).toMatchObject({
    priceLowE4: 100_000,
    priceHighE4: 120_000,
    units: 8,
    unitsGrade: 'reported',
    sellers: 2,
    markets: ['Gavelhop', 'Marrowgate'],
  })
  expect(items[0]?.listings[1]).toMatchObject({ deliveredE4: 120_000, original: { priceE4: 80_000, currency: 'GBP' } })
})

test('two different barcodes are never one item, nor packs of different size', async () => {
  const { items } = await build([
    captureOf('listings', [
      listing('1', { gtin: '04006381333931' }),
      listing('2', { gtin: '00036000291452' }),
      listing('3', { title: 'Clip-on window feeder, clear, pack of 2' }),
    ]),
  ])
  expect(items).toHaveLength(3)
})

test('a currency without a rate leaves money unknown, not wrong', async () => {
  const { items } = await build([captureOf('listings', [listing('1', { currency: 'USD' })])])
  expect(items[0]).toMatchObject({ priceLowE4: null, profits: [], best: null })
})

test('both sell-throughs: share of listings that sold, and units per listing', async () => {
  const rows = [listing('1', { units: 0 }), listing('2', { units: 6 }), listing('3', { units: null })]
  const item = (await build([captureOf('listings', rows)])).items[0]
  expect(item?.sellThrough?.ratio).toBe(0.5)
  expect(item?.unitsPerListing).toBe(3)
  expect(item?.unitsKnown).toBe(2)
})

test('daily figures count before what a market reports; gaps make an estimate; another window is scaled', async () => {
  const days = (id: string, skip: number[] = []) =>
    Array.from({ length: 60 }, (_, i) => i)
      .filter((i) => !skip.includes(i))
      .map((i): RowRecord => ({ market: 'Marrowgate', id, day: 20545 + i, units: 2 }))
  const { items } = await build([
    captureOf(
      'listings',
      [
        listing('1', { title: 'One', units: 5 }),
        listing('2', { title: 'Two two', units: 5 }),
        listing('3', { title: 'Three three', units: 14 }),
      ],
      20604,
      7,
    ),
    captureOf('sales', [...days('1'), ...days('2', [40, 41, 42])]),
  ])
  expect(items.map((i) => [i.units, i.unitsGrade])).toEqual([
    [60, 'counted'],
    [60, 'estimated'],
    [60, 'estimated'],
  ])
})

test('sales alone make items too: their title, their last price', async () => {
  const rows = [7, 0, 14].map((d): RowRecord => ({
    market: 'Openstall',
    id: 'T',
    title: 'Canned',
    day: 20500 + d,
    units: 70,
    price: d === 14 ? 9_000 : 8_000,
    currency: 'EUR',
  }))
  const item = (await build([captureOf('sales', rows)])).items[0]
  expect(item).toMatchObject({ key: 'Openstall/T', title: 'Canned', priceLowE4: 9_000 })
})

test('a newer import replaces what it knows and keeps what it does not say', async () => {
  const { items } = await build([
    captureOf('listings', [listing('1', { price: 99_000, rating: null })], 20605),
    captureOf('listings', [listing('1', { rating: 4.5 })], 20500),
  ])
  expect(items[0]).toMatchObject({ priceLowE4: 99_000, rating: 4.5 })
})

describe('costing an item', () => {
  const captures = [
    captureOf('listings', [listing('1'), listing('2', { price: 110_000 })]),
    captureOf('offers', [
      offer('A'),
      offer('B', { title: 'Window feeder clip-on clear pack of 4', tiers: '1:80000' }),
      offer('C', { title: 'Window feeder clip-on, green', tiers: '1:10000' }),
    ]),
  ]

  test('the cheapest offer a piece of the same goods counts; another variant does not', async () => {
    const item = (await build(captures)).items[0]
    expect(item?.offer?.offer.id).toBe('B')
    expect(item?.offerPack).toBe(4)
    // 8.00 for four is 2.00 a piece; sold at the lowest 11.00, of which 1.65 and 0.33 are assumed for market and payment
    expect(item?.landedE4).toBe(20_000)
    expect(item?.best).toMatchObject({
      market: 'Marrowgate',
      lowestE4: 110_000,
      profitE4: 70_200,
      assumed: ['fees', 'pack'],
    })
    expect(item?.offers.find((o) => o.offer.id === 'C')?.verdict).toBe('variant')
  })
  test('corrections by hand count before what was found', async () => {
    const fixed = async (c: Partial<Corrections>) => (await build(captures, rules, { ...noCorrections, ...c })).items[0]
    expect((await fixed({ packs: { 'offer:Sill Mill/B': 2 } }))?.offer?.offer.id).toBe('A')
    expect((await fixed({ offers: { 'Marrowgate/1': 'offer:Sill Mill/C' } }))?.landedE4).toBe(10_000)
    expect(await fixed({ offers: { 'Marrowgate/1': '' } })).toMatchObject({ offer: null, landedE4: null })
    expect(await fixed({ packs: { 'Marrowgate/1': 2 } })).toMatchObject({
      pack: 2,
      packFrom: 'set by you',
      landedE4: 40_000,
    })
    expect((await fixed({ costs: { 'Marrowgate/1': { postageOutE4: 25_000 } } }))?.best?.profitE4).toBe(45_200)
  })
  test('an item is found by the key of any of its listings', async () => {
    const { maker } = await build(captures)
    expect([maker.keyAt(0), maker.find('Marrowgate/1'), maker.find('Marrowgate/2')]).toEqual(['Marrowgate/1', 0, 0])
    expect([maker.find('Marrowgate/3'), maker.find('Gavelhop/1'), maker.find('nothing')]).toEqual([null, null, null])
  })
  test('fees are assumed until they are entered; a market that has none has a schedule without lines', async () => {
    const none = { market: 'Marrowgate', currency: 'EUR', validFrom: '2026-01-01', lines: [] }
    const bestOf = async (schedules: SellerRules['schedules']) =>
      (await build(captures, { ...rules, schedules })).items[0]?.best
    expect(await bestOf([none])).toMatchObject({ profitE4: 90_000, assumed: ['pack'] })
    expect(await bestOf([{ ...none, market: 'Gavelhop' }])).toMatchObject({
      profitE4: 70_200,
      assumed: ['fees', 'pack'],
    })
    // the trade's own bounds: 10 to 15 % for the market, up to 3 % for payment
    expect(assumedFees.map((f) => f.ratio)).toEqual([0.15, 0.03])
  })
  test('what is not known is said: no fees, no offer', async () => {
    const item = (await build([captures[0] as Capture])).items[0]
    expect(item && costOf(item, 'Marrowgate', rules, noCorrections).notes).toEqual([
      'no fees are entered for Marrowgate: assumed ○ 15 % for the market and 3 % for payment, by common practice',
      'no supplier offer is known',
    ])
    expect(item?.best).toBeNull()
  })
})

test('units that nobody publishes: from the rise of reviews, falls of stock and rank, and never into the share that sold', async () => {
  const hidden = { units: null, reviews: 40, stock: 90, rank: 30 }
  const ranked = [1, 2, 4, 8, 16, 32, 64, 128].map((rank, i) =>
    listing(`r${i}`, { title: `Copper trowel no ${i}`, rank, units: 5120 / rank }),
  )
  const early = [listing('1', { ...hidden, reviews: 31, stock: 100 }), ...ranked]
  const late = [listing('1', hidden), listing('2', { units: 6 }), ...ranked]
  const { items } = await build([captureOf('listings', early, 20590), captureOf('listings', late, 20604)])
  const item = items.find((i) => i.listings.some((l) => l.id === '1'))
  const found = item?.listings.find((l) => l.id === '1')?.unpublished
  // by hand: (9 + 0.5) / 0.18 reviews' worth of sales in 14 days; 10 off the stock (and half of one) in 14; 5120 / 30 by the line
  expect(found?.by.reviews?.units).toBeCloseTo((9.5 / 0.18) * (30 / 14), 9)
  expect(found?.by.stock?.units).toBeCloseTo(10.5 * (30 / 14), 9)
  expect(found?.by.rank?.units).toBeCloseTo(5120 / 30, 6)
  expect(found?.low).toBeLessThan(found?.units ?? 0)
  expect(item).toMatchObject({ unitsKnown: 1, unitsPerListing: 6, unitsGrade: 'estimated' })
  expect(item?.units).toBeCloseTo(6 + (found?.units ?? NaN), 9)
  // what is published needs no estimate, and with nothing to go by there is none
  expect(item?.listings.find((l) => l.id === '2')?.unpublished).toBeNull()
  const { items: bare } = await build([captureOf('listings', [listing('1', { units: null, rank: 3 })])])
  expect(bare[0]).toMatchObject({ units: null, unitsGrade: null })
})

test('what stores, competing offers, clips and advertisements say of an item; what names no gathered listing says nothing', async () => {
  const { items } = await build([
    captureOf('listings', [
      listing('1', { store: 'Sill', rank: 70, stock: 5, country: 'IE', commission: 0.1 }),
      listing('2', { store: 'Rail', market: 'Gavelhop', currency: 'GBP', rank: 40, stock: 8, language: 'English' }),
      listing('3', { store: 'Rail', market: 'Gavelhop', title: 'Hand trowel, copper' }),
    ]),
    captureOf('stores', [
      { market: 'Gavelhop', store: 'Rail', since: 20000, country: 'PT' },
      { market: 'Marrowgate', store: 'Sill', since: 19000, country: 'NL' },
    ]),
    captureOf('competing', [
      { market: 'Marrowgate', id: '1', store: 'Perch', price: 1 },
      { market: 'Marrowgate', id: '1', store: 'Sill', price: 1 },
      { market: 'Marrowgate', id: '99', store: 'Perch', price: 1 },
    ]),
    captureOf('clips', [
      { market: 'Marrowgate', id: '1', creator: '@tern', commission: 0.2 },
      { market: 'Gavelhop', id: '2', creator: '@tern' },
      { market: 'Gavelhop', id: '2', creator: '@wren' },
    ]),
    captureOf('ads', [{ market: 'Gavelhop', id: '2', channel: 'feed' }]),
  ])
  const [both, trowel] = items
  expect(both).toMatchObject({
    rank: 40,
    stock: 13,
    commission: 0.1,
    creators: 2,
    storeSince: 20000,
    currency: ['EUR', 'GBP'],
    country: ['IE', 'PT'],
    language: ['English'],
    shipsFrom: [],
    // Perch from an offer, Sill and Rail from listings; Sill lists nothing else, Rail does
    reach: {
      competingOffers: 3,
      clipCreators: 2,
      clipCommission: 0.2,
      oneItemStores: 1,
      smallStores: 2,
      channels: ['feed'],
    },
  })
  expect(trowel?.reach).toEqual({
    clearing: null,
    competingOffers: null,
    clipCreators: null,
    clipCommission: null,
    clips: { clips30: null, clipUnits30: null, liveUnits30: null, unpaidRatio: null, joined28: null },
    oneItemStores: 0,
    smallStores: 1,
    channels: [],
  })
})

test('a store of ten items is a small one, one of eleven is not; many listings of one item are one', async () => {
  const rows = (store: string, items: number) =>
    Array.from({ length: items + 1 }, (_, i) => ({
      market: 'Openstall',
      id: `${store}${i}`,
      title: `${store} ware ${['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven'][i] ?? 'one'}`,
      gtin: i === 0 || i === items ? (store === 'Alder' ? '4006381333931' : '5901234123457') : undefined,
      store,
    }))
  const listings = [...rows('Alder', 10), ...rows('Birch', 11)].map((r) =>
    Object.fromEntries(Object.entries(r).filter(([, v]) => v !== undefined)),
  )
  const capture = {
    id: 'a',
    kind: 'listings' as const,
    capturedOn: 20_604,
    windowDays: 30,
    table: tableOf('listings', listings as never),
  }
  const maker = new ItemMaker(await buildCatalog([capture]), plainRules('EUR'), noCorrections)
  const small = (key: string) => maker.at(maker.find(key) as number).reach
  expect(small('Openstall/Alder0')).toMatchObject({ oneItemStores: 0, smallStores: 1 })
  expect(small('Openstall/Birch0')).toMatchObject({ oneItemStores: 0, smallStores: 0 })
})
