import { sampleNeeds, supplierPage, suppliersFor, type ItemMaker } from '.'
import { captureOf, keyOf, listing, makerOf, offer, testRules, today } from './test-maker'

const gtin = '4006381333931'
const listings = captureOf('listings', [
  listing('feeder', { units: 40, gtin, picture: 'feeder.png' }),
  listing('trowel', { title: 'Hand trowel, copper', units: 10 }),
  listing('lamp', { title: 'Plant lamp with plug, 20 W', units: 6, price: 400_000 }),
  listing('file', { title: 'Window feeder plans, digital download', category: 'digital', units: 90 }),
])
const offers = captureOf('offers', [
  offer('f1', { gtin, leadDays: 9, rating: 4.4, stock: 50, since: today - 1_827, shipsFrom: 'PL' }),
  offer('x1', { title: 'Bird bath, stone', leadDays: 14, rating: 3.9, stock: 0, shipsFrom: 'CN' }),
  offer('x2', { title: 'Seed scoop, tin', minOrder: 40, stock: 39 }),
  offer('b1', { supplier: 'Bay Works', title: 'Hand trowel copper', tiers: '1:20000' }),
  offer('b2', { supplier: 'Bay Works', gtin, tiers: '1:50000' }),
])
const before = captureOf('offers', [offer('f1', { tiers: '1:25000' })], today - 30)
const captures = [listings, before, offers]
const placesOf = (maker: ItemMaker) => Array.from({ length: maker.count }, (_, place) => place)

describe('a supplier read whole', () => {
  const pageOf = async (supplier = 'Sill Mill', some = {}) => {
    const maker = await makerOf(captures, some)
    return supplierPage(maker, supplier, { places: placesOf(maker), captures })
  }
  test('has each check counted over its offers, with what they state at least and at most', async () => {
    const page = await pageOf()
    expect(page).toMatchObject({ supplier: 'Sill Mill', offers: 3, asOf: today, standing: null, looked: 4 })
    const told = Object.fromEntries((page?.checks ?? []).map(({ name, ...c }) => [name, c]))
    expect(Object.keys(told)).toEqual(['days', 'origin', 'rating', 'years', 'goodReviews', 'orders', 'stock'])
    expect(told.days).toEqual({ holds: 1, breaks: 1, unknown: 1, from: 9, to: 14, wanted: 10 })
    expect(told.rating).toEqual({ holds: 1, breaks: 1, unknown: 1, from: 3.9, to: 4.4, wanted: 4 })
    // no country is asked for, so none is broken
    expect(told.origin).toEqual({ holds: 0, breaks: 0, unknown: 3, from: 'CN', to: 'PL', wanted: null })
    expect(told.goodReviews).toEqual({ holds: 0, breaks: 0, unknown: 3, from: null, to: null, wanted: 10 })
    expect(told.years).toMatchObject({ holds: 1, breaks: 0, unknown: 2, wanted: 4 })
    expect(told.years?.from).toBeCloseTo(5, 2)
    // a first order takes a pack, and at least the fewest that are sold at once: 39 are too few for 40, and none for one
    expect(told.stock).toMatchObject({ holds: 1, breaks: 2, unknown: 0, from: 0, to: 50 })
  })
  test('trusted, it need not prove anything; what moved since the list before is told', async () => {
    const page = await pageOf('Sill Mill', { suppliers: { 'Sill Mill': 'trusted' } })
    expect(page?.standing).toBe('trusted')
    expect(page?.checks.find((c) => c.name === 'rating')).toMatchObject({ holds: 3, breaks: 0, unknown: 0 })
    expect(page?.moves).toMatchObject({ compared: 1, dearer: 1, cheaper: 0 })
    expect(page?.moves.moves[0]).toMatchObject({ id: 'f1', beforeE4: 25_000, nowE4: 30_000 })
  })
  test('has the items that it has the goods of, with what they would cost and earn', async () => {
    const page = await pageOf()
    // 12.00, a tenth to the market, 3.00 for the goods
    expect(page?.items).toEqual([
      {
        key: keyOf(await makerOf(captures), 'feeder'),
        title: 'Clip-on window feeder, clear',
        picture: 'feeder.png',
        units: 40,
        offer: expect.objectContaining({ id: 'f1' }) as unknown,
        landedE4: 30_000,
        profitE4: 78_000,
        assumed: [],
        isUsed: true,
      },
    ])
    const bay = await pageOf('Bay Works')
    expect(bay?.items.map((i) => [i.offer.id, i.landedE4, i.isUsed])).toEqual([
      ['b2', 50_000, false],
      ['b1', 20_000, true],
    ])
  })
  test('is none of whom nothing is known', async () => {
    expect(await pageOf('Nobody')).toBeNull()
  })
  test('looks through the items that sell most, as many as are given', async () => {
    const maker = await makerOf(captures)
    const none = supplierPage(maker, 'Sill Mill', { places: [], captures })
    expect(none).toMatchObject({ looked: 0, items: [], offers: 3 })
    const many = supplierPage(maker, 'Bay Works', { places: Array<number>(5_001).fill(1), captures })
    expect(many?.looked).toBe(5_000)
    expect(many?.items).toHaveLength(many!.items.length === 0 ? 0 : 5_000)
  })
  test('of what nobody prices the profit is not known, and the goods cost what they cost', async () => {
    const bare = captureOf('listings', [listing('feeder', { gtin, price: null })])
    const maker = await makerOf([bare, offers])
    const page = supplierPage(maker, 'Sill Mill', { places: placesOf(maker), captures: [offers] })
    expect(page?.items).toMatchObject([{ landedE4: 30_000, profitE4: null }])
  })
})

describe('who may have some items', () => {
  test('is each supplier once, the surest first, without those that were judged to have no such thing', async () => {
    const maker = await makerOf(captures)
    const key = keyOf(maker, 'feeder')
    const [asked] = suppliersFor(maker, [key])
    expect(asked).toMatchObject({ key, title: 'Clip-on window feeder, clear' })
    expect(new Set(asked?.suppliers.map((s) => s.supplier))).toEqual(new Set(['Sill Mill', 'Bay Works']))
    expect(asked?.suppliers).toHaveLength(2)
    const judged = await makerOf(captures, { judged: { [key]: { 'offer:Sill Mill/f1': 'no' } } })
    expect(suppliersFor(judged, [key])[0]?.suppliers.map((s) => s.number)).not.toContain('f1')
    expect(suppliersFor(maker, ['gone'])).toEqual([])
  })
})

describe('of what a sample should be looked at first', () => {
  test('is what runs on electricity, and what takes a dear first order; never a file', async () => {
    const rules = { ...testRules, costs: { ...testRules.costs, orderQuantity: 20 } }
    const maker = await makerOf(captures, {}, rules)
    const keys = ['feeder', 'trowel', 'lamp', 'file'].map((id) => keyOf(maker, id))
    const [feeder, trowel, lamp] = keys as [string, string, string]
    // twenty at 3.00 are 60.00, twenty at 2.00 are 40.00
    expect([...sampleNeeds(maker, [...keys, 'gone'], 600_000)]).toEqual([
      [feeder, { need: 'dear', supplier: 'Sill Mill' }],
      [lamp, { need: 'electric', supplier: null }],
    ])
    expect([...sampleNeeds(maker, keys, 400_000)].map(([key]) => key)).toEqual([feeder, trowel, lamp])
    expect([...sampleNeeds(maker, keys, null)].map(([key]) => key)).toEqual([lamp])
  })
})
