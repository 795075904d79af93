import fc from 'fast-check'
import {
  blankInputs,
  costSheet,
  feeLine,
  highestBuyingPrice,
  solvePrice,
  type CostInputs,
  type FeeLine,
  type PriceGoal,
} from '.'

const money = (max: number) => fc.integer({ min: 0, max }).map((cents) => cents * 100)
const ratio = (max: number) => fc.integer({ min: 0, max: max * 1000 }).map((n) => n / 1000)
const fee: fc.Arbitrary<FeeLine> = fc.record({
  id: fc.constant('f'),
  label: fc.constant('Fee'),
  kind: fc.constantFrom('market', 'payment', 'listing'),
  base: fc.constantFrom('price', 'price and postage'),
  withTax: fc.boolean(),
  ratio: ratio(0.3),
  fixedE4: money(80),
  minE4: fc.option(money(300)),
  maxE4: fc.option(money(600).map((m) => m + 30_000)),
  steps: fc.array(fc.record({ fromE4: money(2500), ratio: ratio(0.3) }), { maxLength: 2 }),
  stepsApply: fc.constantFrom('marginal', 'whole'),
  per: fc.constantFrom('order', 'item', 'listing', 'month'),
})
const inputs: fc.Arbitrary<CostInputs> = fc
  .record({
    postageChargedE4: money(400),
    taxRatio: fc.constantFrom(0, 0.05, 0.2, 0.23),
    pricesIncludeTax: fc.boolean(),
    discountRatio: fc.constantFrom(0, 0.1),
    tiers: money(900).map((priceE4) => [{ from: 1, priceE4 }]),
    fees: fc.array(fee, { maxLength: 3 }),
    postageOutE4: money(400),
    returnRatio: ratio(0.2),
    costPerReturnE4: money(300),
    recoveredRatio: fc.constantFrom(0, 0.5),
    feesRefundedRatio: fc.constantFrom(0, 1),
  })
  .map((some) => ({ ...blankInputs('EUR'), ...some }))
const goal: fc.Arbitrary<PriceGoal> = fc.oneof(
  fc.record({ profitE4: money(500) }),
  fc.record({ margin: fc.constantFrom(0.1, 0.2, 0.3) }),
)

function meets(i: CostInputs, g: PriceGoal, priceE4: number): boolean {
  const s = costSheet(i, priceE4)
  if ('profitE4' in g) return (s.profitE4 as number) >= g.profitE4
  return s.netRevenueE4 > 0 && (s.profitE4 as number) * 1000 >= Math.round(g.margin * 1000) * s.netRevenueE4
}

test('agrees with trying every cent up to 30.00', () => {
  fc.assert(
    fc.property(inputs, goal, (i, g) => {
      const { ranges } = solvePrice(i, g)
      for (let cents = 0; cents <= 3000; cents++) {
        const p = cents * 100
        const inside = ranges.some((r) => p >= r.fromE4 && (r.toE4 === null || p <= r.toE4))
        if (inside !== meets(i, g, p)) throw new Error(`at ${cents} cents: ${inside} but a try says ${!inside}`)
      }
    }),
    { numRuns: 30 },
  )
})

test('says that no price serves where fees eat every cent', () => {
  const all = feeLine({ id: 'f', ratio: 1 })
  const i = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 10_000 }], fees: [all] }
  expect(solvePrice(i, { profitE4: 0 })).toEqual({ lowestE4: null, ranges: [] })
})

test('the highest buying price keeps the margin and one cent more does not', () => {
  fc.assert(
    fc.property(inputs, fc.integer({ min: 200, max: 6000 }), (i, cents) => {
      const price = cents * 100
      const highest = highestBuyingPrice(i, price, 0.2)
      const at = (e4: number) => meets({ ...i, tiers: [{ from: 1, priceE4: e4 }] }, { margin: 0.2 }, price)
      expect(at(highest ?? 0)).toBe(highest !== null)
      if (highest !== null) expect(at(highest + 100)).toBe(false)
    }),
    { numRuns: 200 },
  )
})
