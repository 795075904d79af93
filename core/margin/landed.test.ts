import { readFileSync } from 'node:fs'
import { blankInputs, chargedKg, landedByQuantity, payback, workOut, type CostInputs } from '.'

/** Made by scripts/fixtures/landed.py with Python's `fractions`. */
const cases = JSON.parse(readFileSync(new URL('./fixtures/python-landed.json', import.meta.url), 'utf8')) as (Pick<
  CostInputs,
  | 'tiers'
  | 'packSold'
  | 'packBought'
  | 'supplierDeliveryE4'
  | 'inboundFreightE4'
  | 'freightPerKgE4'
  | 'dutyRatio'
  | 'importTaxRatio'
> & {
  weightG: number
  box: [number, number, number]
  at: { quantity: number; landedE4: number }[]
  lot: number
  priceE4: number
  perDay: number
  outlayE4: number
  units: number
  days: number
})[]

const inputsOf = ({
  at: _,
  lot,
  priceE4: __,
  perDay: ___,
  outlayE4: ____,
  units: _____,
  days: ______,
  weightG,
  box,
  ...offer
}: (typeof cases)[0]) => ({
  ...blankInputs('EUR'),
  importTaxRecoverable: false,
  ...offer,
  chargedKg: chargedKg({ weightG, box }) ?? 0,
  orderQuantity: lot,
})

test('landed cost at every quantity is what exact fractions make of it', () => {
  expect(cases.length).toBe(150)
  const wrong = cases.flatMap((c, i) =>
    c.at.flatMap(({ quantity, landedE4 }) => {
      const got = workOut({ ...inputsOf(c), orderQuantity: quantity }, 0, true).landedE4
      return got === landedE4 ? [] : [{ i, quantity, got, landedE4 }]
    }),
  )
  expect(wrong).toEqual([])
})

test('the curve has each of these where it goes through it, the lot, and both sides of every price step', () => {
  for (const c of cases) {
    const curve = new Map(landedByQuantity(inputsOf(c), 1).map((s) => [s.quantity, s.landedE4]))
    for (const { quantity, landedE4 } of c.at) if (curve.has(quantity)) expect(curve.get(quantity)).toBe(landedE4)
    const edges = (c.tiers ?? []).flatMap(({ from }) => (from > 1 ? [from - 1, from] : [from]))
    expect([...edges, c.lot].filter((q) => !curve.has(q))).toEqual([])
    expect([...curve.keys()]).toEqual([...curve.keys()].sort((a, b) => a - b))
  }
})

test('a first order pays for itself after as many sales and days as exact fractions say', () => {
  const wrong = cases.flatMap((c, i) => {
    const { outlayE4, units, days } = c
    const got = payback(inputsOf(c), c.priceE4, c.perDay)
    return JSON.stringify(got) === JSON.stringify({ outlayE4, units, days }) ? [] : [{ i, got, outlayE4, units, days }]
  })
  expect(wrong).toEqual([])
})

describe('the curve', () => {
  const inputs = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 20_000 }], supplierDeliveryE4: 90_000 }
  test('goes from the least order to five times the lot, or half as much again as the last price step', () => {
    const ends = (least: number, more = {}) => {
      const curve = landedByQuantity({ ...inputs, orderQuantity: 10, ...more }, least)
      return [curve[0]?.quantity, curve.at(-1)?.quantity]
    }
    expect(ends(1)).toEqual([1, 50])
    expect(ends(6)).toEqual([6, 50])
    expect(ends(1, { tiers: [...inputs.tiers, { from: 100, priceE4: 15_000 }] })).toEqual([1, 150])
    expect(ends(70)).toEqual([70, 71])
  })
  test('has a dozen quantities between two edges, evenly by their logarithm, each once', () => {
    // by hand: 10^(i/12) from 1 to 10, then 10 · 5^(i/12) up to 50, rounded
    const below = [1, 2, 3, 4, 5, 6, 7, 8]
    const above = [10, 11, 13, 15, 17, 20, 22, 26, 29, 33, 38, 44, 50]
    const curve = landedByQuantity({ ...inputs, orderQuantity: 10 }, 1)
    expect(curve.map((s) => s.quantity)).toEqual([...below, ...above])
  })
  test('has no quantity between two that are one apart, and starts at one whatever is asked', () => {
    const far = landedByQuantity(
      { ...inputs, orderQuantity: 1, tiers: [...inputs.tiers, { from: 1000, priceE4: 1 }] },
      1,
    )
    expect(far.map((l) => l.quantity)).toEqual(expect.arrayContaining([999, 1000]))
    expect(far.every((l) => Number.isInteger(l.quantity))).toBe(true)
    const steps = [3, 4, 5].map((from) => ({ from, priceE4: 20_000 - from }))
    const curve = landedByQuantity({ ...inputs, orderQuantity: 1, tiers: [...inputs.tiers, ...steps] }, 0)
    expect(curve.map((s) => s.quantity)).toEqual([1, 2, 3, 4, 5, 6, 7, 8])
  })
  test('shares delivery: 2.00 and 9.00 over one, over nine', () => {
    const at = new Map(landedByQuantity({ ...inputs, orderQuantity: 9 }, 1).map((s) => [s.quantity, s.landedE4]))
    expect([at.get(1), at.get(9)]).toEqual([110_000, 30_000])
  })
  test('of what costs nothing, or what is not known, there is none', () => {
    expect(landedByQuantity({ ...inputs, tiers: null }, 1)).toEqual([])
    expect(landedByQuantity({ ...inputs, tiers: [] }, 1)).toEqual([])
    expect(() => landedByQuantity({ ...inputs, orderQuantity: 0 }, 1)).toThrow('orderQuantity')
  })
})

// Worked by hand in docs/checks.md; the divisor of 5,000 cm³ a kilogram is common practice, from memory.
test('freight goes by the greater of weight and volumetric weight', () => {
  expect(chargedKg({ weightG: 800, box: [40, 30, 20] })).toBe(4.8)
  expect(chargedKg({ weightG: 6000, box: [40, 30, 20] })).toBe(6)
  expect(chargedKg({ weightG: 800, box: [40, 30, 20] }, 6000)).toBe(4)
  expect(chargedKg({ weightG: 800, box: null })).toBe(0.8)
  expect(chargedKg({ weightG: null, box: [10, 10, 10] })).toBe(0.2)
  expect(chargedKg({ weightG: null, box: null })).toBeNull()
  const inputs = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 60_000 }], packBought: 2, freightPerKgE4: 45_000 }
  // half a pack: 3.00 for the goods, 4.8 kg × 4.50 / 2 = 10.80 for its freight
  expect(workOut({ ...inputs, chargedKg: 4.8 }, 0, true).landedE4).toBe(138_000)
})
