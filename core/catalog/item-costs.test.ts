import type { Offer, OfferMatch } from '../supply'
import { assumedFees, feeLine } from '../margin'
import { assumptionsOf } from './assumptions'
import { areFeesAssumed, itemCost, type CostBasis } from './item-costs'
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

describe('fees', () => {
  const line = feeLine({
    ...{ id: 'sale', ratio: 0.1, fixedE4: 3000, minE4: 5000, maxE4: 100_000 },
    steps: [
      { fromE4: 0, ratio: 0.1 },
      { fromE4: 500_000, ratio: 0.05 },
    ],
  })
  const withFees = (currency: string): SellerRules => ({
    ...rules,
    schedules: [{ market: 'Marrowgate', currency, validFrom: '2026-01-01', lines: [line] }],
  })

  test('of another currency are reckoned at home: fixed sums, bounds and steps, not shares', () => {
    const { inputs, notes } = costs({ rules: withFees('USD') })
    expect(inputs.fees).toEqual([
      {
        ...line,
        ...{ fixedE4: 2400, minE4: 4000, maxE4: 80_000 },
        steps: [
          { fromE4: 0, ratio: 0.1 },
          { fromE4: 400_000, ratio: 0.05 },
        ],
      },
    ])
    expect(notes).toEqual([])
    expect(costs({ rules: withFees('EUR') }).inputs.fees).toEqual([line])
    const open = { ...line, minE4: null, maxE4: null }
    const unbound = { ...withFees('USD'), schedules: [{ ...withFees('USD').schedules[0]!, lines: [open] }] }
    expect(costs({ rules: unbound }).inputs.fees[0]).toMatchObject({ minE4: null, maxE4: null, fixedE4: 2400 })
  })

  test('without a rate, or of a market that has none entered, are told of', () => {
    const strange = costs({ rules: withFees('JPY') })
    expect([strange.inputs.fees, strange.notes]).toEqual([[], ['no rate for the fees of Marrowgate (JPY)']])
    const other = costs({ rules: withFees('EUR'), market: 'Gavelhop' })
    expect(other.inputs.fees).toEqual(assumedFees)
    expect(other.notes[0]).toMatch(/^no fees are entered for Gavelhop: assumed ○ /)
    expect([areFeesAssumed(withFees('EUR'), 'Marrowgate'), areFeesAssumed(withFees('EUR'), 'Gavelhop')]).toEqual([
      false,
      true,
    ])
  })
})

test('duty and import tax are those of the country that the goods come from, else those of the cost rules', () => {
  const importing: SellerRules = {
    ...rules,
    costs: { ...rules.costs, dutyRatio: 0.02, importTaxRatio: 0.19 },
    supply: { ...rules.supply, imports: [{ origin: 'Narrowland', dutyRatio: 0.12, importTaxRatio: 0.07 }] },
  }
  const from = (shipsFrom: string | null) => costs({ rules: importing, offer: { ...offer, shipsFrom } }).inputs
  expect(from(' narrowland')).toMatchObject({ dutyRatio: 0.12, importTaxRatio: 0.07 })
  expect(from('Elsewhere')).toMatchObject({ dutyRatio: 0.02, importTaxRatio: 0.19 })
  expect(from(null)).toMatchObject({ dutyRatio: 0.02, importTaxRatio: 0.19 })
})

test('each print of a printed thing is paid with its blank, where the offer says what one costs', () => {
  const tiersOf = (some: Partial<CostBasis>) => costs(some).inputs.tiers?.map((t) => t.priceE4)
  const printing = { ...offer, printE4: 10_000 }
  // (5.00 + 1.00) and (4.00 + 1.00) dollars at 0.8; with two prints 7.00 and 6.00
  expect(tiersOf({ kind: 'printed', offer: printing })).toEqual([48_000, 40_000])
  expect(tiersOf({ kind: 'printed', offer: printing, prints: 2 })).toEqual([56_000, 48_000])
  expect(tiersOf({ kind: 'printed', offer: { ...offer, printE4: null }, prints: 2 })).toEqual([40_000, 32_000])
  expect(tiersOf({ kind: 'physical', offer: printing, prints: 2 })).toEqual([40_000, 32_000])
})

test('what the seller set for the item counts before all, and its own goods need no word of an offer', () => {
  const own = { tiers: [{ from: 1, priceE4: 7000 }], postageOutE4: 12_000 }
  const set = costs({ own, offer: null })
  expect([set.inputs.tiers, set.inputs.postageOutE4]).toEqual([own.tiers, 12_000])
  expect(set.notes.some((n) => n.includes('offer'))).toBe(false)
  expect(set.notes.some((n) => n.includes('fees'))).toBe(true)
  expect(costs({ own: { postageOutE4: 12_000 }, offer: null }).notes).toContain('no supplier offer is known')
  // a printed thing is ordered one by one whatever the least order, unless the seller orders more
  expect(costs({ kind: 'printed', own: { orderQuantity: 4 } }).inputs.orderQuantity).toBe(4)
  const many = { ...rules, costs: { ...rules.costs, orderQuantity: 30 } }
  expect([
    costs({ rules: many }).inputs.orderQuantity,
    costs({ rules: many, kind: 'printed' }).inputs.orderQuantity,
  ]).toEqual([30, 1])
})

describe('what a profit rests on', () => {
  const known = { ...rules, schedules: [{ market: 'Marrowgate', currency: 'EUR', validFrom: '2026-01-01', lines: [] }] }
  interface Some {
    kind?: 'physical' | 'digital'
    packFrom?: string | null
    match?: Partial<OfferMatch>
    of?: Partial<Offer>
    packs?: Record<string, number>
    own?: object
    market?: string
  }
  const rests = ({
    kind = 'physical',
    packFrom = '2 pack',
    match,
    of,
    packs = {},
    own,
    market = 'Marrowgate',
  }: Some = {}) =>
    assumptionsOf(
      {
        ...{ key: 'a', kind, packFrom },
        offer: { by: 'title', offer: { ...offer, packFrom: '4 pcs', ...of }, ...match } as OfferMatch,
      },
      market,
      { rules: known, corrections: { ...noCorrections, packs, ...(own ? { costs: { a: own } } : {}) } },
    )

  test('is nothing where fees, delivery and both packs are known', () => {
    expect(rests()).toEqual([])
  })
  test('fees of a market that has none entered, unless the seller set them for the item', () => {
    expect(rests({ market: 'Gavelhop' })).toEqual(['fees'])
    expect(rests({ market: 'Gavelhop', own: { fees: [] } })).toEqual([])
  })
  test('delivery that the offer does not state, unless the seller set it', () => {
    expect(rests({ of: { deliveryE4: null } })).toEqual(['delivery'])
    expect(rests({ of: { deliveryE4: null }, own: { supplierDeliveryE4: 0 } })).toEqual([])
  })
  test('packs, where one of both is neither read nor set; a barcode or the seller says that they are one', () => {
    expect(rests({ packFrom: null })).toEqual(['pack'])
    expect(rests({ of: { packFrom: null } })).toEqual(['pack'])
    expect(rests({ packFrom: null, packs: { a: 2 } })).toEqual([])
    expect(rests({ of: { packFrom: null }, packs: { 'offer:Sill Mill/1': 4 } })).toEqual([])
    expect(rests({ packFrom: null, of: { packFrom: null }, packs: { a: 2 } })).toEqual(['pack'])
    expect(rests({ packFrom: null, match: { by: 'barcode' } })).toEqual([])
    expect(rests({ packFrom: null, match: { judged: 'same' } })).toEqual([])
    expect(rests({ packFrom: null, match: { judged: 'other' as never } })).toEqual(['pack'])
  })
  test('nothing of an offer where the goods are a file, or the seller set what they cost', () => {
    const bare = { packFrom: null, of: { deliveryE4: null } }
    expect(rests(bare)).toEqual(['delivery', 'pack'])
    expect(rests({ ...bare, kind: 'digital' })).toEqual([])
    expect(rests({ ...bare, own: { tiers: [] } })).toEqual([])
  })
})
