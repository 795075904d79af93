import {
  advertisingRoom,
  blankInputs,
  feeLine,
  firstOrder,
  highestBuyingPrice,
  payback,
  sensitivity,
  type CostInputs,
  type FeeLine,
} from '.'

/** 20.00; goods 8.00, a fee of 10 % and 0.40, postage 2.00: 7.60 are left. Worked by hand. */
const inputs: CostInputs = {
  ...blankInputs('EUR'),
  tiers: [{ from: 1, priceE4: 80_000 }],
  fees: [feeLine({ id: 'market', ratio: 0.1, fixedE4: 4_000 })],
  postageOutE4: 20_000,
}
const price = 200_000

describe('the most one may pay', () => {
  test('leaves the margin to the cent, and a cent more does not', () => {
    // 25 % of 20.00 are 5.00; fee and postage take 4.40
    expect(highestBuyingPrice(inputs, price, 0.25)).toBe(106_000)
    // a third of 20.00 is not met to the cent by 8.93⅓, so 8.93
    expect(highestBuyingPrice(inputs, price, 1 / 3)).toBe(89_300)
  })
  test('is of a pack, however many pieces are sold of it', () => {
    // ten at 106.04 are 10.604 each, which is 10.60 on the sheet
    expect(highestBuyingPrice({ ...inputs, packBought: 10 }, price, 0.25)).toBe(1_060_400)
    expect(highestBuyingPrice({ ...inputs, packSold: 4 }, price, 0.25)).toBe(26_500)
  })
  test('is nothing where free goods just leave the margin, and is not there where they do not', () => {
    expect(highestBuyingPrice(inputs, price, 0.78)).toBe(0)
    expect(highestBuyingPrice(inputs, price, 0.7805)).toBeNull()
    expect(highestBuyingPrice(inputs, 0, 0)).toBeNull()
  })
  test('is not there where any price would do, as all goods come back and are worth what they cost', () => {
    const back = { ...inputs, fees: [], returnRatio: 1, recoveredRatio: 1, costPerReturnE4: 0, postageOutE4: 0 }
    expect(highestBuyingPrice(back, price, 0)).toBeNull()
    expect(highestBuyingPrice({ ...back, recoveredRatio: 0.5 }, price, 0)).toBe(0)
  })
  test('is in the units of a currency without cents', () => {
    expect(highestBuyingPrice({ ...blankInputs('JPY'), tiers: [] }, 9_990_000, 0.5)).toBe(4_990_000)
  })
})

describe('what advertising a sale can bear', () => {
  test('is the profit before it, whatever is spent now, and the return at which nothing is left', () => {
    expect(advertisingRoom({ ...inputs, advertisingE4: 30_000 }, price)).toEqual({
      affordableE4: 76_000,
      breakEvenReturn: 200 / 76,
    })
  })
  test('has no such return where nothing is left, where a sale loses, and where the cost is not known', () => {
    const none = { ...inputs, fees: [] }
    expect(advertisingRoom(none, 100_000)).toEqual({ affordableE4: 0, breakEvenReturn: null })
    expect(advertisingRoom(none, 90_000)).toEqual({ affordableE4: -10_000, breakEvenReturn: null })
    expect(advertisingRoom({ ...inputs, tiers: null }, price)).toEqual({ affordableE4: null, breakEvenReturn: null })
  })
})

describe('a first order', () => {
  test('is laid out for all the sales that it holds', () => {
    expect(firstOrder({ ...inputs, orderQuantity: 6, packBought: 10, packSold: 4 }, 32_000)).toEqual({
      packs: 6,
      outlayE4: 480_000,
    })
    expect(firstOrder(inputs, null).outlayE4).toBeNull()
  })
  test('of 24 at 8.00 comes back after 13 sales of 15.60, in four days and a bit at 3 a day', () => {
    expect(payback({ ...inputs, orderQuantity: 24 }, price, 3)).toEqual({ outlayE4: 1_920_000, units: 13, days: 5 })
  })
  test('never comes back from sales that bring nothing, and has no days where nobody knows how many are sold', () => {
    const bare = { ...inputs, fees: [], postageOutE4: 0 }
    expect(payback(bare, 0, 3)).toEqual({ outlayE4: 80_000, units: null, days: null })
    expect(payback({ ...bare, postageOutE4: 30_000 }, 20_000, 3)).toMatchObject({ units: null, days: null })
    expect(payback(bare, price, null)).toEqual({ outlayE4: 80_000, units: 1, days: null })
    expect(payback(bare, price, 0)?.days).toBeNull()
    expect(payback({ ...bare, tiers: null }, price, 3)).toBeNull()
  })
})

describe('what moves the profit', () => {
  const rows = (some: Partial<CostInputs>, at = price) =>
    sensitivity({ ...inputs, ...some }, at).map(({ input, lowerE4, higherE4 }) => [input, lowerE4, higherE4])
  test('is each input a tenth down and up, the largest swing first, and nothing that does not move it', () => {
    expect(rows({})).toEqual([
      ['price', 58_000, 94_000],
      ['goods', 84_000, 68_000],
      ['fees', 78_400, 73_600],
      ['postageOutE4', 78_000, 74_000],
    ])
  })
  test('moves prices to whole cents', () => {
    // 9.99 a tenth down is 8.991, up 10.989
    expect(rows({ fees: [], postageOutE4: 0 }, 99_900)).toEqual([
      ['price', 9_900, 29_900],
      ['goods', 27_900, 11_900],
    ])
  })
  test('moves shares as shares, and counts by whole ones', () => {
    const only = (some: Partial<CostInputs>, name: string) => rows(some).find(([input]) => input === name)
    expect(only({ returnRatio: 0.1 }, 'returnRatio')).toEqual(['returnRatio', 58_000, 54_000])
    expect(only({ orderQuantity: 10, supplierDeliveryE4: 90_000 }, 'orderQuantity')).toEqual([
      'orderQuantity',
      66_000,
      67_800,
    ])
    // 1.1 of 3 is 3, 0.9 of 3 is 3 too
    expect(only({ orderQuantity: 3, supplierDeliveryE4: 90_000 }, 'orderQuantity')).toBeUndefined()
    expect(only({ storagePerMonthE4: 10_000, storageMonths: 2.5 }, 'storageMonths')).toEqual([
      'storageMonths',
      53_500,
      48_500,
    ])
  })
  test('is told with what moves it most first', () => {
    const rows = sensitivity({ ...inputs, postageOutE4: 5_000, packingE4: 50_000 }, price)
    const swings = rows.map((r) => Math.abs(r.higherE4 - r.lowerE4))
    expect(swings).toEqual([...swings].sort((a, b) => b - a))
    // 20.00 less a tenth of it, then the 8.00, the 5.00, the fees' 2.40 and half a euro
    expect(rows.map((r) => r.input)).toEqual(['price', 'goods', 'packingE4', 'fees', 'postageOutE4'])
  })
  test('moves all that fees take: shares of every step, the least and the most; where steps begin stays', () => {
    const fees = (line: Partial<FeeLine>) => {
      const found = rows({ fees: [{ ...feeLine({ id: 'f', ratio: 0 }), ...line }] }).find(([input]) => input === 'fees')
      return found?.slice(1)
    }
    // 20.00 less 8.00 and 2.00 are 10.00; 10 % of the first 10.00 and 5 % of the rest are 1.50, a tenth of it 0.15
    const steps = [{ fromE4: 100_000, ratio: 0.05 }]
    expect(fees({ ratio: 0.1, steps })).toEqual([86_500, 83_500])
    expect(fees({ ratio: 0.1, steps, stepsApply: 'whole' })).toEqual([91_000, 89_000])
    expect(fees({ ratio: 0.01, minE4: 30_000 })).toEqual([73_000, 67_000])
    expect(fees({ ratio: 0.5, maxE4: 30_000 })).toEqual([73_000, 67_000])
    expect(fees({ fixedE4: 10_000 })).toEqual([91_000, 89_000])
  })
  test('leaves the goods out where their price is not known, as nothing is known then', () => {
    expect(rows({ tiers: null })).toEqual([])
  })
})
