import fc from 'fast-check'
import {
  advertisingRoom,
  blankInputs,
  costSheet,
  feeLine as fee,
  payback,
  ratioOf,
  rulePrice,
  scheduleFromJson,
  scheduleToJson,
  sensitivity,
  solvePrice,
  type CostInputs,
} from '.'

const e4 = (text: string) => Math.round(Number(text) * 10_000)
const lines = (inputs: CostInputs, price: string) =>
  Object.fromEntries(costSheet(inputs, e4(price)).lines.map((l) => [l.id, (l.amountE4 ?? NaN) / 10_000]))

/** Worked by hand in docs/checks.md, 'Cost sheets'; fee-like terms as markets publish them, no market's own. */
const general: CostInputs = {
  ...blankInputs('EUR'),
  taxRatio: 0.23,
  tiers: [
    { from: 1, priceE4: e4('4.40') },
    { from: 10, priceE4: e4('4.00') },
  ],
  orderQuantity: 10,
  supplierDeliveryE4: e4('6.00'),
  dutyRatio: 0.03,
  importTaxRatio: 0.23,
  fees: [
    fee({ id: 'sale', ratio: 0.12, minE4: e4('0.30') }),
    fee({ id: 'pay', kind: 'payment', base: 'price and postage', ratio: 0.019, fixedE4: e4('0.25') }),
  ],
  postageOutE4: e4('2.40'),
  packingE4: e4('0.30'),
  returnRatio: 0.03,
  costPerReturnE4: e4('2.40'),
  recoveredRatio: 0.5,
  feesRefundedRatio: 0.8,
}

test('example 1: tax in the price, a lot of ten, returns', () => {
  expect(lines(general, '14.99')).toEqual({
    price: 14.99,
    tax: -2.8,
    goods: -4,
    supplierDelivery: -0.6,
    duty: -0.14,
    'fee:sale': -1.8,
    'fee:pay': -0.53,
    postageOut: -2.4,
    packing: -0.3,
    returns: -0.31,
  })
  const sheet = costSheet(general, e4('14.99'))
  expect(sheet).toMatchObject({
    profitE4: e4('2.11'),
    netRevenueE4: e4('12.19'),
    landedE4: e4('4.74'),
    outlayE4: e4('6.13'),
  })
  expect(sheet.margin).toBeCloseTo(2.11 / 12.19, 12)
  expect(sheet.returnOnOutlay).toBeCloseTo(2.11 / 6.13, 12)
  expect(sheet.markUp).toBeCloseTo(2.11 / 4.74, 12)
})

test.each(['marginal', 'whole'] as const)(
  'steps of a fee hold from where they say, in whatever order they stand (%s)',
  (stepsApply) => {
    const steps = [
      { fromE4: e4('50'), ratio: 0.02 },
      { fromE4: e4('10'), ratio: 0.1 },
      { fromE4: e4('30'), ratio: 0.05 },
    ]
    const taken = (price: string, order: number[]) =>
      lines(
        {
          ...blankInputs('EUR'),
          fees: [fee({ id: 'sale', ratio: 0.2, stepsApply, steps: order.map((i) => steps[i]!) })],
        },
        price,
      )['fee:sale']
    // by hand: 10 × 20 %, then 20 × 10 %, 20 × 5 % and 50 × 2 % come on top; or of all 10 %, 10 %, 5 % and 2 %
    const wanted = stepsApply === 'marginal' ? [-2, -3, -4.5, -6] : [-1, -2, -2, -2]
    for (const order of [
      [0, 1, 2],
      [2, 1, 0],
      [1, 2, 0],
      [1, 0, 2],
      [0, 2, 1],
    ])
      expect(['10', '20', '40', '100'].map((price) => taken(price, order))).toEqual(wanted)
  },
)

test('how often one amount holds another, down to the smallest; of nothing, and of what is not known, there is none', () => {
  expect([ratioOf(3, 1), ratioOf(-1, 2), ratioOf(0, 5)]).toEqual([3, -0.5, 0])
  expect([ratioOf(3, 0), ratioOf(3, -1), ratioOf(null, 1), ratioOf(1, null), ratioOf(null, null)]).toEqual(
    Array(5).fill(null),
  )
})

test('goods that cost nothing bring no delivery or freight with them, however many they are', () => {
  const free = { ...blankInputs('EUR'), tiers: [], supplierDeliveryE4: e4('9'), inboundFreightE4: e4('9') }
  expect(costSheet({ ...free, packSold: 5000 }, e4('3'))).toMatchObject({ landedE4: 0, profitE4: e4('3') })
})

test('example 2: a dear piece, steps of a fee, a listing fee spread over sales', () => {
  const auction: CostInputs = {
    ...blankInputs('GBP'),
    tiers: [{ from: 1, priceE4: e4('700') }],
    fees: [
      fee({
        id: 'sale',
        base: 'price and postage',
        ratio: 0.115,
        fixedE4: e4('0.30'),
        steps: [{ fromE4: e4('1000'), ratio: 0.03 }],
      }),
      fee({ id: 'pay', kind: 'payment', base: 'price and postage', ratio: 0.022 }),
      fee({ id: 'list', kind: 'listing', fixedE4: e4('0.35'), per: 'listing' }),
    ],
    postageOutE4: e4('18'),
    salesPerListing: 20,
  }
  expect(lines(auction, '1250')).toEqual({
    price: 1250,
    goods: -700,
    'fee:sale': -122.8,
    'fee:pay': -27.5,
    'fee:list': -0.02,
    postageOut: -18,
  })
  expect(costSheet(auction, e4('1250')).profitE4).toBe(e4('381.68'))
  const whole = { ...auction, fees: auction.fees.map((f) => ({ ...f, stepsApply: 'whole' as const })) }
  expect(lines(whole, '1250')['fee:sale']).toBe(-37.8)
  expect(lines(whole, '999.99')['fee:sale']).toBe(-115.3)
})

test('example 3: a file at a discount costs no goods', () => {
  const digital: CostInputs = {
    ...blankInputs('EUR'),
    tiers: [],
    discountRatio: 0.1,
    fees: [
      fee({ id: 'sale', base: 'price and postage', ratio: 0.065 }),
      fee({ id: 'list', kind: 'listing', fixedE4: e4('0.18') }),
      fee({ id: 'pay', kind: 'payment', base: 'price and postage', ratio: 0.03, fixedE4: e4('0.30') }),
    ],
  }
  expect(lines(digital, '5.50')).toEqual({
    price: 5.5,
    discount: -0.55,
    goods: 0,
    'fee:sale': -0.32,
    'fee:list': -0.18,
    'fee:pay': -0.45,
  })
  const sheet = costSheet(digital, e4('5.50'))
  expect(sheet.profitE4).toBe(e4('4.00'))
  expect(sheet.margin).toBeCloseTo(4 / 4.95, 12)
  expect(sheet.markUp).toBeNull()
})

test('example 4: a currency without minor unit', () => {
  const yen: CostInputs = {
    ...blankInputs('JPY'),
    taxRatio: 0.1,
    tiers: [{ from: 1, priceE4: e4('900') }],
    fees: [fee({ id: 'sale', ratio: 0.1 }), fee({ id: 'pay', kind: 'payment', ratio: 0.036 })],
    postageOutE4: e4('350'),
  }
  expect(lines(yen, '2980')).toEqual({
    price: 2980,
    tax: -271,
    goods: -900,
    'fee:sale': -298,
    'fee:pay': -107,
    postageOut: -350,
  })
  expect(costSheet(yen, e4('2980')).profitE4).toBe(e4('1054'))
})

test('packs: three sold from singles, one sold from a pack of six', () => {
  const three = { ...blankInputs('EUR'), packSold: 3, tiers: [{ from: 1, priceE4: e4('1.11') }] }
  expect(lines(three, '9')).toMatchObject({ goods: -3.33 })
  const sixth = {
    ...blankInputs('EUR'),
    packBought: 6,
    tiers: [{ from: 1, priceE4: e4('10.00') }],
    supplierDeliveryE4: e4('6.00'),
    orderQuantity: 2,
  }
  // 10.00 / 6 = 1.666… ; 6.00 / (2 × 6) = 0.50
  expect(lines(sixth, '9')).toMatchObject({ goods: -1.67, supplierDelivery: -0.5 })
})

test('an unknown cost leaves the profit unknown, never zero', () => {
  const sheet = costSheet({ ...general, tiers: null }, e4('14.99'))
  expect(sheet).toMatchObject({ profitE4: null, margin: null, landedE4: null })
  // what hangs on the goods' price is as unknown; what does not is known
  expect(sheet.unknown).toEqual(['Goods', 'Duty', 'Returns'])
  const borne = costSheet({ ...general, tiers: null, importTaxRecoverable: false }, e4('14.99'))
  expect(borne.unknown).toEqual(['Goods', 'Duty', 'Import tax', 'Returns'])
  expect(sheet).toMatchObject({ outlayE4: null, returnOnOutlay: null, markUp: null })
  expect(sheet.lines.find((l) => l.id === 'supplierDelivery')?.amountE4).toBe(e4('-0.60'))
  const untaxed = {
    ...general,
    tiers: null,
    dutyRatio: 0,
    importTaxRatio: 0,
    importTaxRecoverable: false,
    returnRatio: 0,
  }
  const bare = costSheet(untaxed, e4('14.99'))
  expect([bare.unknown, bare.profitE4, bare.landedE4, bare.outlayE4]).toEqual([['Goods'], null, null, null])
  expect(costSheet(general, e4('14.99')).unknown).toEqual([])
  expect(solvePrice({ ...general, tiers: null }, { profitE4: 0 })).toEqual({ lowestE4: null, ranges: [] })
})

test('what is laid out before a sale: goods, tax that comes back later, packing, storage, advertising and the fee of listing', () => {
  const sheet = costSheet(
    {
      ...general,
      importTaxRecoverable: true,
      storagePerMonthE4: e4('0.20'),
      storageMonths: 2,
      advertisingE4: e4('1.10'),
      fees: [...general.fees, fee({ id: 'list', kind: 'listing', fixedE4: e4('0.35') })],
    },
    e4('14.99'),
  )
  // goods 4.00, delivery 0.60, duty 0.14; import tax 23 % of 4.738 is 1.09
  expect(sheet.landedE4).toBe(e4('4.74'))
  expect(sheet.outlayE4).toBe(e4('4.74') + e4('1.09') + e4('0.30') + e4('0.40') + e4('1.10') + e4('0.35'))
})

test('what comes back of a return is not known where the goods are not, unless nothing is', () => {
  const unknown: CostInputs = { ...general, tiers: null }
  expect(lines(unknown, '14.99').returns).toBeNaN()
  expect(lines({ ...unknown, returnRatio: 0 }, '14.99').returns ?? 0).toBe(0)
  // 3 % of (14.99 − 2.80 + 2.40 − 0.8 × 2.33)
  expect(lines({ ...unknown, recoveredRatio: 0 }, '14.99').returns).toBe(-0.38)
})

test('a sheet always adds up, line by line, in whole minor units', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 50_000 }),
      fc.integer({ min: 0, max: 300 }),
      fc.constantFrom('EUR', 'JPY', 'KWD'),
      (price, ratio, currency) => {
        const sheet = costSheet({ ...general, currency, discountRatio: ratio / 1000 }, price * 10_000)
        const sum = sheet.lines.reduce((a, l) => a + (l.amountE4 as number), 0)
        expect(sum).toBe(sheet.profitE4)
        const unit = currency === 'JPY' ? 10_000 : currency === 'KWD' ? 10 : 100
        for (const l of sheet.lines)
          if (l.id !== 'price' && l.id !== 'packing' && l.id !== 'postageOut')
            expect(Math.abs((l.amountE4 as number) % unit)).toBe(0)
      },
    ),
  )
})

test('break-even and floor of example 1, next to the cents around them', () => {
  for (const goal of [0, e4('2.00')]) {
    const lowest = solvePrice(general, { profitE4: goal }).lowestE4 as number
    expect(costSheet(general, lowest).profitE4).toBeGreaterThanOrEqual(goal)
    expect(costSheet(general, lowest - 100).profitE4).toBeLessThan(goal)
  }
})

test('advertising, payback and what moves the profit', () => {
  expect(advertisingRoom({ ...general, advertisingE4: e4('1') }, e4('14.99'))).toEqual({
    affordableE4: e4('2.11'),
    breakEvenReturn: expect.closeTo(12.19 / 2.11, 12) as number,
  })
  // Ten pieces at 4.74 landed; each sale brings back 2.11 + 4.74 = 6.85: 47.40 / 6.85 = 6.92 → 7 sales, at half a sale a day 14 days.
  expect(payback(general, e4('14.99'), 0.5)).toEqual({ outlayE4: e4('47.40'), units: 7, days: 14 })
  const swings = sensitivity(general, e4('14.99'))
  expect(swings[0]?.input).toBe('price')
  // Goods 3.60: duty 0.13, returns (12.19 + 2.40 − 2.17 − 1.86) × 3 % = 0.32; 12.19 − 3.60 − 0.60 − 0.13 − 1.80 − 0.53 − 2.40 − 0.30 − 0.32
  // Goods 4.40: duty 0.15, returns (12.19 + 2.40 − 2.58 − 1.86) × 3 % = 0.30; 12.19 − 4.40 − 0.60 − 0.15 − 1.80 − 0.53 − 2.40 − 0.30 − 0.30
  const goods = swings.find((s) => s.input === 'goods')
  expect(goods?.lowerE4).toBe(e4('2.51'))
  expect(goods?.higherE4).toBe(e4('1.71'))
})

test('every number that is an input is tried a tenth up and down', () => {
  const full: CostInputs = {
    ...general,
    postageChargedE4: e4('3'),
    storagePerMonthE4: e4('0.50'),
    storageMonths: 3,
    costPerReturnE4: e4('4'),
    recoveredRatio: 0.5,
    feesRefundedRatio: 0.5,
    importTaxRecoverable: false,
    salesPerListing: 5,
    fees: [...general.fees, fee({ id: 'list', kind: 'listing', fixedE4: e4('2'), per: 'listing' })],
  }
  const tried = sensitivity(full, e4('14.99')).map((s) => s.input)
  for (const input of [
    'postageChargedE4',
    'storagePerMonthE4',
    'storageMonths',
    'costPerReturnE4',
    'recoveredRatio',
    'feesRefundedRatio',
    'importTaxRatio',
    'orderQuantity',
    'goods',
    'fees',
  ])
    expect(tried).toContain(input)
})

test('inputs that make no sense are refused by name', () => {
  expect(() => costSheet({ ...general, discountRatio: 1 }, e4('10'))).toThrow('discount')
  expect(() => costSheet({ ...general, discountRatio: 0.999 }, e4('10'))).not.toThrow()
  expect(() => costSheet({ ...general, returnRatio: -0.1 }, e4('9'))).toThrow(
    expect.objectContaining({ code: 'input-invalid', details: { name: 'returnRatio', want: '0 or more', got: -0.1 } }),
  )
  expect(() => costSheet({ ...general, packSold: 0 }, e4('9'))).toThrow(/packSold must be above 0/)
  for (const price of [NaN, Infinity, -1]) expect(() => costSheet(general, price)).toThrow(/price must be 0 or more/)
  expect(() => costSheet({ ...general, tiers: [{ from: 1, priceE4: NaN }] }, e4('9'))).toThrow(
    /price of the goods must/,
  )
})

describe('price rule', () => {
  const floorE4 = e4('7.02')
  const rule = { stepE4: 100, earning: [{ fromE4: floorE4, toE4: null }], ceilingE4: null }
  test('under the lowest by a cent', () =>
    expect(rulePrice(rule, [e4('9.90'), e4('10.99')])).toEqual({ priceE4: e4('9.89'), because: 'under the lowest' }))
  test('never below the floor, whatever the feed says', () => {
    expect(rulePrice({ stepE4: 0, earning: [{ fromE4: 0, toE4: null }], ceilingE4: null }, [0, 1])).toEqual({
      priceE4: 1,
      because: 'under the lowest',
    })
    expect(rulePrice(rule, [e4('7.02')])).toEqual({ priceE4: e4('7.02'), because: 'held at the floor' })
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.double(), fc.constantFrom(0, -5, NaN, Infinity, 1))), (prices) => {
        const { priceE4 } = rulePrice(rule, prices)
        expect(priceE4 === null || priceE4 >= floorE4).toBe(true)
      }),
    )
  })
  test('never below the floor, whatever the ceiling; and always where the least profit holds', () => {
    const capped = (ceiling: string) => ({ ...rule, ceilingE4: e4(ceiling) })
    expect(rulePrice(capped('8'), [e4('9')])).toEqual({ priceE4: e4('8'), because: 'held at the ceiling' })
    expect(rulePrice(capped('6'), [e4('9')])).toEqual({ priceE4: floorE4, because: 'held at the floor' })
    expect(rulePrice(capped('6'), [])).toEqual({ priceE4: floorE4, because: 'no competing price' })
    // between 9.80 and 12 a step of a fee takes the profit away
    const holed = {
      ...rule,
      earning: [
        { fromE4: floorE4, toE4: e4('9.80') },
        { fromE4: e4('12'), toE4: null },
      ],
    }
    expect(rulePrice(holed, [e4('9.90')])).toEqual({ priceE4: e4('9.80'), because: 'under the lowest' })
    expect(rulePrice(holed, [e4('12.50')])).toEqual({ priceE4: e4('12.49'), because: 'under the lowest' })
  })
  test('a price just at the ceiling, or just at the floor, is under the lowest and held by neither', () => {
    expect(rulePrice({ ...rule, ceilingE4: e4('9.89') }, [e4('9.90')])).toEqual({
      priceE4: e4('9.89'),
      because: 'under the lowest',
    })
    expect(rulePrice(rule, [floorE4 + e4('0.01')])).toEqual({ priceE4: floorE4, because: 'under the lowest' })
  })
  test('no competitor, no floor', () => {
    expect(rulePrice(rule, [])).toEqual({ priceE4: null, because: 'no competing price' })
    expect(rulePrice({ ...rule, ceilingE4: e4('20') }, [0])).toEqual({
      priceE4: e4('20'),
      because: 'no competing price',
    })
    expect(rulePrice({ ...rule, earning: [] }, [e4('9')])).toMatchObject({ priceE4: null })
  })
})

test('a fee schedule survives its file, and a broken one is refused by line', () => {
  const schedule = {
    market: 'Gavelhop',
    currency: 'GBP',
    validFrom: '2026-01-01',
    lines: [
      fee({ id: 'sale', ratio: 0.115, fixedE4: 3000, maxE4: 1_000_000, steps: [{ fromE4: 10_000_000, ratio: 0.03 }] }),
    ],
  }
  expect(scheduleFromJson(JSON.parse(JSON.stringify(scheduleToJson(schedule))))).toEqual(schedule)
  const broken = scheduleToJson(schedule) as { lines: { percent: unknown }[] }
  broken.lines[0]!.percent = 'ten'
  expect(() => scheduleFromJson(broken)).toThrow('percentage of line 1 must be a number')
  expect(() => scheduleFromJson({ format: 'other' })).toThrow(expect.objectContaining({ code: 'schedule-invalid' }))
})
