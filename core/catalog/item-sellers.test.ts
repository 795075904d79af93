import { itemScenarios, itemSellers, noCorrections, saleOf } from '.'
import { firstScenarios } from '../margin'
import type { CompetingOffer } from '../room'
import { captureOf, keyOf, listing, makerOf, offer, testRules, today } from './test-maker'

const gtin = '4006381333931'
const captures = [
  captureOf('listings', [
    listing('1', { gtin, store: 'Reed', price: 120_000, units: 9, rating: 4.5 }),
    listing('2', { gtin, store: 'Moss', price: 110_000, delivery: null, units: null }),
    listing('3', { gtin, store: 'Fern', market: 'Gavelhop', price: 80_000, currency: 'GBP' }),
  ]),
  captureOf('offers', [offer('f1', { gtin, currency: 'GBP', tiers: '1:24000' })]),
]
const competing = (some: Partial<CompetingOffer>): CompetingOffer => ({
  market: 'Marrowgate',
  id: '1',
  gtin: null,
  store: 'Sedge',
  priceE4: 100_000,
  currency: 'EUR',
  deliveryE4: 30_000,
  featured: null,
  feedback30: null,
  feedback90: null,
  feedback365: null,
  rating: null,
  seenOn: today - 3,
  ...some,
})
const known = { rules: testRules, corrections: noCorrections }
const sellers = async (offers: CompetingOffer[], lens: string[] | null = null) => {
  const maker = await makerOf(captures)
  const item = maker.at(maker.find(keyOf(maker, '1'))!)
  return itemSellers(item, offers, { ...known, lens: lens && { markets: lens } })
}

describe('who sells an item', () => {
  test('is each listing and each competing offer that names it, the cheapest delivered first', async () => {
    const all = await sellers([
      competing({ featured: 0.4, feedback30: 6, feedback90: 20, feedback365: 90, rating: 4.1 }),
      competing({ market: 'Gavelhop', id: '3', store: 'Fern', feedback30: 0, feedback90: 0 }),
      competing({ id: 'other', gtin, store: 'Rush', currency: 'GBP', priceE4: 200_000, deliveryE4: null }),
      competing({ id: 'stranger', store: 'Nobody' }),
      competing({ id: 'alien', gtin: '12345', store: 'Nobody' }),
    ])
    expect(all.map((s) => [s.market, s.store, s.deliveredE4, s.isDeliveryKnown, s.units])).toEqual([
      ['Gavelhop', 'Fern', 100_000, true, 4],
      ['Marrowgate', 'Moss', 110_000, false, null],
      ['Marrowgate', 'Reed', 120_000, true, 9],
      ['Marrowgate', 'Sedge', 130_000, true, null],
      ['Marrowgate', 'Rush', 250_000, false, null],
    ])
    const [fern, moss, reed, sedge] = all
    expect(sedge).toMatchObject({
      grade: null,
      unpublished: null,
      rating: 4.1,
      seenOn: today - 3,
      feedback: { days30: 6, days90: 20, days365: 90 },
      activity: 'selling',
      featured: 0.4,
      assumed: [],
    })
    // twice the feedback of 30 days, as its units are not known otherwise
    expect(sedge?.estimate?.mean).toBe(12)
    // its own listing is the newer word of it, but what the offer says of feedback is kept
    expect(fern).toMatchObject({ grade: 'reported', seenOn: today, activity: 'inactive', estimate: null })
    expect(moss).toMatchObject({ feedback: null, activity: null, estimate: null, featured: null })
    expect(reed?.rating).toBe(4.5)
  })
  test('is told what I would earn at the same price, where prices can be compared', async () => {
    const all = await sellers([competing({}), competing({ id: '1', store: 'Free', priceE4: 0, deliveryE4: 0 })])
    const earned = Object.fromEntries(all.map((s) => [s.store ?? '', s.myProfitE4] as const))
    // goods of 2.40 GBP are 3.00; less a tenth of the price. Where others state delivery, one who does not is no measure
    expect(earned).toEqual({ Free: null, Fern: 60_000, Moss: null, Reed: 78_000, Sedge: 87_000 })
  })
  test('is told so where all sell on one market too', async () => {
    const maker = await makerOf([
      captureOf('listings', [listing('1', { gtin, price: 150_000 }), listing('2', { gtin, price: 100_000 })]),
      captureOf('offers', [offer('o', { gtin })]),
    ])
    const item = maker.at(maker.find(keyOf(maker, '1'))!)
    expect(itemSellers(item, [], known).map((s) => s.myProfitE4)).toEqual([60_000, 105_000])
  })
  test('is of the markets that are looked at alone', async () => {
    const offers = [competing({}), competing({ market: 'Gavelhop', id: '3', store: 'Rush' })]
    expect((await sellers(offers, ['Gavelhop'])).filter((s) => s.units === null).map((s) => s.store)).toEqual([
      'Moss',
      'Rush',
    ])
  })
})

describe('a sale of an item', () => {
  test('is in foreign money where the offer is, but not where the seller said what the goods cost', async () => {
    const maker = await makerOf(captures)
    const key = keyOf(maker, '1')
    const item = maker.at(maker.find(key)!)
    expect(saleOf(item, 'Marrowgate', 120_000, known)).toMatchObject({ priceE4: 120_000, isForeign: true })
    const own = { ...noCorrections, costs: { [key]: { tiers: [{ from: 1, priceE4: 30_000 }] } } }
    expect(saleOf(item, 'Marrowgate', 120_000, { ...known, corrections: own }).isForeign).toBe(false)
    const pounds = { ...testRules, homeCurrency: 'GBP' }
    expect(saleOf(item, 'Marrowgate', 120_000, { ...known, rules: pounds }).isForeign).toBe(false)
    expect(saleOf({ ...item, offer: null }, 'Marrowgate', 120_000, known).isForeign).toBe(false)
  })
  test('under each what-if, on the market where it earns most', async () => {
    const maker = await makerOf(captures)
    const item = maker.at(maker.find(keyOf(maker, '1'))!)
    const told = itemScenarios(item, firstScenarios, known)
    // 12.00 less a tenth less 3.00; a tenth dearer pounds take 0.30
    expect(told).toMatchObject({ market: 'Marrowgate', assumed: [], now: { profitE4: 78_000, landedE4: 30_000 } })
    expect(told?.under[0]).toMatchObject({ landedE4: 33_000, profitE4: 75_000 })
    // goods may rise from 3.00 to 10.80; 10.803 is still that on the sheet, 10.806 is a cent more
    expect(told?.turns.goods).toBe(2.602)
    expect(itemScenarios({ ...item, best: null }, firstScenarios, known)).toBeNull()
    expect(itemScenarios({ ...item, best: { ...item.best!, profitE4: null } }, firstScenarios, known)).toBeNull()
  })
})
