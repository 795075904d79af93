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

/** Ends of each range meet the goal, and what lies a unit beyond them does not; so do some prices within and between. */
function edgesThatLie(i: CostInputs, g: PriceGoal, unit = 100): string[] {
  const { ranges, lowestE4 } = solvePrice(i, g)
  const wrong: string[] = []
  const check = (e4: number, wanted: boolean) => {
    if (e4 >= 0 && meets(i, g, e4) !== wanted) wrong.push(`${e4}: not ${wanted}`)
  }
  ranges.forEach(({ fromE4, toE4 }, at) => {
    check(fromE4, true)
    check(fromE4 - unit, false)
    const next = ranges[at + 1]?.fromE4
    if (toE4 !== null) [toE4, Math.round((fromE4 + toE4) / 2 / unit) * unit].forEach((e4) => check(e4, true))
    if (toE4 !== null) check(toE4 + unit, false)
    if (toE4 !== null && next !== undefined) check(Math.round((toE4 + next) / 2 / unit) * unit, next - toE4 <= unit)
    if (toE4 === null) [1, 1000, 1e6].forEach((far) => check(fromE4 + far * unit, true))
  })
  if (lowestE4 !== (ranges[0]?.fromE4 ?? null)) wrong.push('the lowest is not the first')
  return wrong
}

test('every range ends where a try of its ends says, however dear the goods are', () => {
  const dear = fc.record({ times: fc.constantFrom(1, 30, 1000), steep: fc.constantFrom(0, 0.6, 0.95, 1.2) })
  fc.assert(
    fc.property(inputs, goal, dear, (i, g, { times, steep }) => {
      const much = (e4: number) => e4 * times
      const all = {
        ...i,
        tiers: i.tiers?.map((t) => ({ ...t, priceE4: much(t.priceE4) })) ?? null,
        fees: [
          ...i.fees.map((f) => ({ ...f, steps: f.steps.map((s) => ({ ...s, fromE4: much(s.fromE4) })) })),
          ...(steep > 0 ? [feeLine({ id: 'steep', ratio: 0, steps: [{ fromE4: much(300_000), ratio: steep }] })] : []),
        ],
      }
      const aim = 'profitE4' in g ? { profitE4: much(g.profitE4) } : g
      expect(edgesThatLie(all, aim)).toEqual([])
    }),
    { numRuns: 250 },
  )
})

describe('where profit does not rise with the price', () => {
  const goods = (priceE4: number, fees: FeeLine[], more: Partial<CostInputs> = {}) => ({
    ...blankInputs('EUR'),
    tiers: [{ from: 1, priceE4 }],
    fees,
    ...more,
  })

  test('it falls: prices up to one serve, and none above', () => {
    // 130 % of the price beyond 10.00 goes in fees: a profit of 2.00 at the goods' 3.00 holds from 5.00 to 20.00, by hand
    const steep = feeLine({ id: 'f', ratio: 0, steps: [{ fromE4: 100_000, ratio: 1.3 }] })
    const found = solvePrice(goods(30_000, [steep]), { profitE4: 20_000 })
    // 10.00 earns 7.00, each cent beyond costs 0.3 of a cent: 5.00 less is 16.67 more, less half a cent of rounding
    expect(found.ranges[0]?.fromE4).toBe(50_000)
    expect(found.ranges.at(-1)?.toE4).toBeGreaterThanOrEqual(266_600)
    expect(found.ranges.at(-1)?.toE4).toBeLessThanOrEqual(266_800)
    expect(edgesThatLie(goods(30_000, [steep]), { profitE4: 20_000 })).toEqual([])
  })

  test('it stays: all that is above the step serves, or nothing does', () => {
    const all = feeLine({ id: 'f', ratio: 0, steps: [{ fromE4: 100_000, ratio: 1 }] })
    // 10.00 less 3.00 is all that is ever earned
    expect(solvePrice(goods(30_000, [all]), { profitE4: 70_000 })).toEqual({
      lowestE4: 100_000,
      ranges: [{ fromE4: 100_000, toE4: null }],
    })
    expect(solvePrice(goods(30_000, [all]), { profitE4: 70_100 })).toEqual({ lowestE4: null, ranges: [] })
  })

  test('a fee that begins with a step makes a gap', () => {
    // 5.00 is taken of the whole price once it is 20.00: earned are 17.00 − 0.01 below, 12.00 at it
    const whole = feeLine({ id: 'f', ratio: 0, steps: [{ fromE4: 200_000, ratio: 0.25 }], stepsApply: 'whole' })
    const found = solvePrice(goods(30_000, [whole]), { profitE4: 130_000 })
    expect(found.ranges[0]).toEqual({ fromE4: 160_000, toE4: 199_900 })
    // three quarters less 3.00 are 13.00 at 21.33⅓: at 21.33 a cent of rounding decides
    expect(found.ranges).toHaveLength(2)
    expect(found.ranges[1]?.toE4).toBeNull()
    expect(edgesThatLie(goods(30_000, [whole]), { profitE4: 130_000 })).toEqual([])
  })
})

test('prices are looked for up to a million, in whole units of the currency', () => {
  const free = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 0 }] }
  expect(solvePrice(free, { profitE4: 10_000_000_000 })).toEqual({
    lowestE4: 10_000_000_000,
    ranges: [{ fromE4: 10_000_000_000, toE4: null }],
  })
  expect(solvePrice(free, { profitE4: 10_000_000_100 }).lowestE4).toBeNull()
  expect(solvePrice(free, { profitE4: 0 })).toEqual({ lowestE4: 0, ranges: [{ fromE4: 0, toE4: null }] })
  const yen = { ...blankInputs('JPY'), tiers: [{ from: 1, priceE4: 5_005_000 }] }
  // 500.5 yen of goods are told as 501: 1,001 yen leave 500
  expect(solvePrice(yen, { profitE4: 5_000_000 }).lowestE4).toBe(10_010_000)
  expect(edgesThatLie(yen, { profitE4: 5_000_000 }, 10_000)).toEqual([])
})

describe('a fee that jumps is met at the price where it does, whatever it is taken of', () => {
  // 5.00 more from a base of 30.00 on: where 30.00 is reached follows from tax, discount and postage, by hand
  const jump = (some: Partial<FeeLine>) =>
    feeLine({ id: 'f', ratio: 0, steps: [{ fromE4: 300_000, ratio: 1 / 6 }], stepsApply: 'whole', ...some })
  const cases: [string, Partial<FeeLine>, Partial<CostInputs>, number][] = [
    ['the price', {}, {}, 300_000],
    ['after discount', {}, { discountRatio: 0.25 }, 400_000],
    ['with postage', { base: 'price and postage' }, { postageChargedE4: 50_000 }, 250_000],
    [
      'with postage, after discount',
      { base: 'price and postage' },
      { postageChargedE4: 60_000, discountRatio: 0.2 },
      300_000,
    ],
    ['without the tax in it', { withTax: false }, { taxRatio: 0.2 }, 360_000],
    ['tax on top of it', { withTax: true }, { taxRatio: 0.2, pricesIncludeTax: false }, 250_000],
    ['tax on top, not counted', { withTax: false }, { taxRatio: 0.2, pricesIncludeTax: false }, 300_000],
    [
      'without the tax in it and in postage',
      { withTax: false, base: 'price and postage' },
      { taxRatio: 0.2, postageChargedE4: 60_000 },
      300_000,
    ],
    [
      'tax on top, with postage',
      { withTax: true, base: 'price and postage' },
      { taxRatio: 0.25, pricesIncludeTax: false, postageChargedE4: 40_000 },
      200_000,
    ],
  ]
  test.each(cases)('%s', (_, fee, more, at) => {
    const i = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 0 }], fees: [jump(fee)], ...more }
    // what is earned a cent below is earned again far above alone
    const wanted = costSheet(i, at - 100).profitE4 as number
    const found = solvePrice(i, { profitE4: wanted })
    expect(found.ranges).toHaveLength(2)
    expect(found.ranges[0]?.toE4).toBe(at - 100)
    expect(found.ranges[1]!.fromE4).toBeGreaterThan(at + 10_000)
    expect(edgesThatLie(i, { profitE4: wanted })).toEqual([])
  })

  test.each([
    ['a least fee of 4.00 until 40.00', { ratio: 0.1, minE4: 40_000 }, 400_000],
    ['a most of 4.00 from 40.00 on', { ratio: 0.1, maxE4: 40_000 }, 400_000],
    ['beside a fixed part of 1.00', { ratio: 0.1, minE4: 40_000, fixedE4: 10_000 }, 300_000],
    ['within the second step', { ratio: 0, steps: [{ fromE4: 200_000, ratio: 0.2 }], maxE4: 40_000 }, 400_000],
  ] as const)('and one that bends: %s', (_, some, at) => {
    const bent = feeLine({ id: 'f', ...some, steps: 'steps' in some ? [...some.steps] : [] })
    const i = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 0 }], fees: [bent] }
    for (const e4 of [-20_000, -300, 0, 300, 20_000]) {
      const profitE4 = costSheet(i, at + e4).profitE4 as number
      expect(edgesThatLie(i, { profitE4 })).toEqual([])
      expect(solvePrice(i, { profitE4 }).lowestE4).toBeLessThanOrEqual(at + e4)
    }
  })

  test('steps that follow each other cent by cent are looked at once each', () => {
    const steps = Array.from({ length: 5 }, (_, n) => ({ fromE4: 100_000 + n * 100, ratio: 0.1 * (n + 1) }))
    const i = {
      ...blankInputs('EUR'),
      tiers: [{ from: 1, priceE4: 0 }],
      fees: [feeLine({ id: 'f', ratio: 0, steps, stepsApply: 'whole' })],
    }
    // nine tenths and more are earned below 10.01, eight tenths at 10.01, …: 9.00 is passed from 9.00 to 10.00, and from 18.00 on
    const { ranges } = solvePrice(i, { profitE4: 90_000 })
    expect(ranges).toEqual([
      { fromE4: 90_000, toE4: 100_000 },
      { fromE4: 180_000, toE4: null },
    ])
  })
})

test('where rounding alone lets some prices of a level stretch serve, those that were tried are told', () => {
  // beyond 10.00 two fees take a half each, and nothing is left of any further cent
  const all = feeLine({ id: 'f', ratio: 0, steps: [{ fromE4: 100_000, ratio: 0.5 }] })
  const other = feeLine({ ...all, id: 'g' })
  const i = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 30_000 }], fees: [all, other] }
  // two halves of an odd cent are rounded up both: every second price is a cent short of 7.00
  const { ranges, lowestE4 } = solvePrice(i, { profitE4: 70_000 })
  expect(lowestE4).toBe(100_000)
  expect(ranges.slice(0, 3).map((r) => [r.fromE4, r.toE4])).toEqual([
    [100_000, 100_000],
    [100_200, 100_200],
    [100_400, 100_400],
  ])
  expect(ranges.at(-1)?.toE4).toBeGreaterThanOrEqual(100_000 + 119_990 * 100)
  expect(ranges.at(-1)?.toE4).toBeLessThanOrEqual(100_000 + 120_010 * 100)
})

test('without any fee, a margin of a quarter on goods of 3.00 is 4.00, and holds from there on', () => {
  const plain = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 30_000 }] }
  expect(solvePrice(plain, { margin: 0.25 })).toEqual({ lowestE4: 40_000, ranges: [{ fromE4: 40_000, toE4: null }] })
  // 5.00 of postage alone leave 2.00
  expect(solvePrice({ ...plain, postageChargedE4: 50_000 }, { margin: 0.25 }).lowestE4).toBe(0)
})

test('of nothing there is no share: goods for nothing leave a margin from the first cent on', () => {
  const free = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 0 }] }
  expect(solvePrice(free, { margin: 0.2 })).toEqual({ lowestE4: 100, ranges: [{ fromE4: 100, toE4: null }] })
  expect(solvePrice(free, { margin: 0 }).lowestE4).toBe(100)
})

test('where next to nothing is left of a further cent, prices are still found to the cent', () => {
  const most = feeLine({ id: 'f', ratio: 0.995 })
  const i = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 1_000 }], fees: [most] }
  // half a cent of each euro is left: 0.10 and 1.00 are that of 220.00, less half a cent of rounding
  const found = solvePrice(i, { profitE4: 10_000 })
  expect(found.lowestE4).toBeGreaterThan(2_188_000)
  expect(found.lowestE4).toBeLessThanOrEqual(2_200_000)
  expect(found.ranges.at(-1)?.toE4).toBeNull()
  expect(edgesThatLie(i, { profitE4: 10_000 })).toEqual([])
})

test('what the seller does not know cannot be priced, and what is no number is refused', () => {
  expect(solvePrice(blankInputs('EUR'), { profitE4: 0 })).toEqual({ lowestE4: null, ranges: [] })
  const broken = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: NaN }] }
  expect(() => solvePrice(broken, { profitE4: 0 })).toThrow(expect.objectContaining({ code: 'input-invalid' }) as Error)
})
