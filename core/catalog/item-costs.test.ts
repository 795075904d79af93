import type { Offer, OfferMatch } from '../supply'
import { assumptionsOf } from './assumptions'
import { itemCost, type CostBasis } from './item-costs'
import { noCorrections, plainRules, type SellerRules } from './rules'

const rules: SellerRules = {
  ...plainRules('EUR'),
  rates: [{ from: 'USD', to: 'EUR', rate: 0.8, day: '2026-05-31' }],
}
const offer = {
  key: 'offer:Sill Mill/1',
  currency: 'USD',
  tiers: [
    { from: 1, priceE4: 50_000 },
    { from: 10, priceE4: 40_000 },
  ],
  deliveryE4: 25_000,
  minOrder: 6,
  weightG: null,
  box: null,
} as unknown as Offer
const costs = (some: Partial<CostBasis>) =>
  itemCost({ rules, market: 'Marrowgate', kind: 'physical', offer, packs: { sold: 2, bought: 4 }, ...some })

test('an offer in another currency is reckoned at home, each tier and the delivery', () => {
  const { inputs } = costs({})
  // by hand: 5.00 and 4.00 dollars at 0.8, delivery 2.50
  expect(inputs.tiers).toEqual([
    { from: 1, priceE4: 40_000 },
    { from: 10, priceE4: 32_000 },
  ])
  expect(inputs.supplierDeliveryE4).toBe(20_000)
  expect(inputs).toMatchObject({ orderQuantity: 6, packSold: 2, packBought: 4 })
})

test('a larger order of my own stands; printed goods come one by one and go out from the printer', () => {
  const own = { orderQuantity: 20 }
  expect(costs({ own }).inputs.orderQuantity).toBe(20)
  const dear = { ...rules, costs: { ...rules.costs, postageOutE4: 30_000, packingE4: 5000, recoveredRatio: 0.5 } }
  expect(costs({ rules: dear, kind: 'printed' }).inputs).toMatchObject({
    orderQuantity: 1,
    postageOutE4: 0,
    packingE4: 0,
    recoveredRatio: 0,
  })
  expect(costs({ rules: dear }).inputs).toMatchObject({ postageOutE4: 30_000, packingE4: 5000, recoveredRatio: 0.5 })
})

test('what is not known is said: no offer, no rate, no delivery', () => {
  const bare = costs({ offer: null })
  expect(bare.inputs.tiers).toBeNull()
  expect(bare.notes).toContain('no supplier offer is known')
  const strange = costs({ offer: { ...offer, currency: 'JPY' } })
  expect(strange.inputs.tiers).toBeNull()
  expect(strange.notes).toContain("no rate for the offer's currency (JPY)")
  expect(costs({ offer: { ...offer, currency: null } }).notes).toContain(
    "no rate for the offer's currency (not stated)",
  )
  const undelivered = costs({ offer: { ...offer, deliveryE4: null } })
  expect(undelivered.notes).toContain("the offer's delivery is not stated, taken as 0")
  expect(undelivered.inputs.supplierDeliveryE4).toBe(0)
})

test('files cost nothing to make, to send or to take back', () => {
  const { inputs } = costs({ kind: 'digital', rules: { ...rules, costs: { ...rules.costs, postageOutE4: 30_000 } } })
  expect(inputs).toMatchObject({
    postageOutE4: 0,
    packingE4: 0,
    fulfilmentE4: 0,
    storagePerMonthE4: 0,
    costPerReturnE4: 0,
  })
})

test('freight by weight is charged for the greater of weight and size; an offer that says neither is told of', () => {
  const byWeight = { ...rules, costs: { ...rules.costs, freightPerKgE4: 45_000 } }
  const heavy = costs({ rules: byWeight, offer: { ...offer, weightG: 800, box: [40, 30, 20] } })
  expect(heavy.inputs.chargedKg).toBe(4.8)
  const silent = costs({ rules: byWeight })
  expect(silent.inputs.chargedKg).toBe(0)
  expect(silent.notes).toContain("the offer's weight is not stated, freight by weight taken as 0")
  expect(costs({}).notes).toEqual(expect.not.arrayContaining([expect.stringContaining('weight')]))
  const other = { ...byWeight, supply: { ...byWeight.supply, volumetricDivisor: 6000 } }
  expect(costs({ rules: other, offer: { ...offer, box: [40, 30, 20] } }).inputs.chargedKg).toBe(4)
})

test('an unknown weight marks the profit where freight goes by it, and not otherwise', () => {
  const item = {
    key: 'a',
    kind: 'physical' as const,
    packFrom: '2 pack',
    offer: { by: 'barcode', offer } as OfferMatch,
  }
  const by = (freightPerKgE4: number, own = {}) =>
    assumptionsOf(item, 'Marrowgate', {
      rules: { ...rules, costs: { ...rules.costs, freightPerKgE4 } },
      corrections: { ...noCorrections, costs: { a: own } },
    })
  expect(by(0)).toEqual(['fees'])
  expect(by(45_000)).toEqual(['fees', 'delivery'])
  expect(by(45_000, { chargedKg: 1 })).toEqual(['fees'])
})
