import type { SellerRules } from '.'
import { feeLine } from '../margin'
import { supplyRules } from '../supply'
import { captureOf, keyOf, listing, makerOf, offer, testRules } from './test-maker'

const gtin = '4006381333931'
const listings = captureOf('listings', [
  listing('1', { gtin, price: 120_000, delivery: 10_000 }),
  listing('2', { gtin, price: 100_000, delivery: null }),
  listing('3', { gtin, market: 'Gavelhop', price: 110_000, delivery: 0 }),
])
const offers = captureOf('offers', [
  offer('cheap', { gtin, tiers: '1:20000', leadDays: 30 }),
  offer('quick', { gtin, tiers: '1:40000', leadDays: 3, supplier: 'Bay Works' }),
  offer('middle', { gtin, tiers: '1:30000', leadDays: 9, supplier: 'Rail Yard' }),
])
const anyDays: SellerRules = { ...testRules, supply: { ...supplyRules, maxDays: null, stockForLot: false } }
const priced = async (some = {}, rules = anyDays, captures = [listings, offers]) => {
  const maker = await makerOf(captures, some, rules)
  return maker.at(maker.find(keyOf(maker, '1'))!)
}

test('an item is reckoned with the cheapest offer that keeps the rules', async () => {
  expect((await priced()).offer?.offer.id).toBe('cheap')
  const strict = await priced({}, { ...testRules, supply: { ...supplyRules, maxDays: 10, stockForLot: false } })
  expect([strict.offer?.offer.id, strict.landedE4, strict.offerPack]).toEqual(['middle', 30_000, 1])
  expect(strict.choice.chosen?.key).toBe('offer:Rail Yard/middle')
})

test('or with the one that the seller said, or with none; never with one of an avoided supplier', async () => {
  const key = 'Marrowgate/1'
  expect((await priced({ offers: { [key]: 'offer:Bay Works/quick' } })).offer?.offer.id).toBe('quick')
  const none = await priced({ offers: { [key]: '' } })
  expect(none).toMatchObject({ offer: null, offerPack: 1, landedE4: null, best: null })
  expect(none.profits.map((p) => p.profitE4)).toEqual([null, null])
  expect((await priced({ suppliers: { 'Sill Mill': 'avoided' } })).offer?.offer.id).toBe('middle')
  expect((await priced({ judged: { [key]: { 'offer:Sill Mill/cheap': 'no' } } })).offer?.offer.id).toBe('middle')
})

test('another pack that nobody has counted is not reckoned with; one that is, by its pieces', async () => {
  const key = 'Marrowgate/1'
  const another = { judged: { [key]: { 'offer:Sill Mill/cheap': 'pack' as const } } }
  expect((await priced(another)).offer?.offer.id).toBe('middle')
  const counted = await priced({ ...another, packs: { 'offer:Sill Mill/cheap': 2 } })
  expect(counted).toMatchObject({ offer: { offer: { id: 'cheap' } }, offerPack: 2, landedE4: 10_000 })
  const six = await priced({ packs: { [key]: 6 } })
  expect(six).toMatchObject({ pack: 6, packFrom: 'set by you', landedE4: 120_000 })
})

test('on each market it earns what the lowest price leaves, delivered where that is stated; the best is the one that earns most', async () => {
  const item = await priced()
  // 13.00 delivered on the one, as the price without delivery is none; 11.00 on the other; less a tenth and 2.00
  expect(item.profits).toEqual([
    { market: 'Gavelhop', lowestE4: 110_000, isDelivered: true, profitE4: 79_000, margin: 79 / 110, assumed: [] },
    { market: 'Marrowgate', lowestE4: 130_000, isDelivered: true, profitE4: 97_000, margin: 97 / 130, assumed: [] },
  ])
  expect(item.best?.market).toBe('Marrowgate')
  const undelivered = captureOf('listings', [
    listing('1', { gtin, delivery: null }),
    listing('2', { gtin, price: 90_000, delivery: null }),
  ])
  expect((await priced({}, anyDays, [undelivered, offers])).profits[0]).toMatchObject({
    lowestE4: 90_000,
    isDelivered: false,
  })
  const unpriced = captureOf('listings', [listing('1', { gtin, price: null })])
  expect(await priced({}, anyDays, [unpriced, offers])).toMatchObject({ profits: [], best: null })
})

test('Worth looks at what is earned where it earns most, at what sold, and at who sells it', async () => {
  const item = await priced()
  const told = Object.fromEntries(item.worth.parts.map((p) => [p.label, p.value]))
  expect(told).toEqual({
    'Profit per sale': 9.7,
    Margin: 97 / 130,
    'Listings sold, at least': item.sellThrough!.low,
    'Units per listing': 4,
    Growth: null,
    Room: item.room.openness,
    Rating: null,
  })
  // a third each of twelve units
  expect(item.room).toMatchObject({ topShare: 1 / 3, sellers: 3 })
  const rated = captureOf('listings', [listing('1', { gtin, rating: 4.5 })])
  const one = await priced({}, anyDays, [rated, offers])
  expect(one.worth.parts.find((p) => p.label === 'Rating')?.value).toBe(4.5)
})

test('where it loses everywhere there is no best market, and own costs hold for it alone', async () => {
  const dear = {
    ...anyDays,
    schedules: anyDays.schedules.map((s) => ({ ...s, lines: [feeLine({ id: 'x', fixedE4: 900_000 })] })),
  }
  const item = await priced({}, dear)
  expect(item.profits.every((p) => (p.profitE4 ?? 0) < 0)).toBe(true)
  const own = await priced({ costs: { 'Marrowgate/1': { packingE4: 5_000 } } })
  expect(own.profits.map((p) => p.profitE4)).toEqual([74_000, 92_000])
  // what was worked out for it before is not taken for another of its kind, that has no offer either
  const two = captureOf('listings', [
    listing('1', { title: 'Felt slippers' }),
    listing('2', { title: 'Copper kettle' }),
  ])
  const maker = await makerOf([two], { costs: { 'Marrowgate/1': { tiers: [{ from: 1, priceE4: 10_000 }] } } }, anyDays)
  expect([0, 1].map((i) => maker.at(i).landedE4)).toEqual([10_000, null])
})

test('what the seller clears may be listed, whatever a list says', async () => {
  const list = captureOf('restricted', [{ what: 'feeder', sort: 'phrase', status: 'banned' }])
  const said = await priced({}, anyDays, [listings, list])
  expect(said.clearing).not.toBe('allowed')
  const cleared = await priced({ cleared: { 'Marrowgate/1': { reason: 'mine', at: 1 } } }, anyDays, [listings, list])
  expect(cleared.clearing).toBe('allowed')
  expect((await priced()).clearing).toBe('unknown')
})
