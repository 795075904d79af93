import { readFileSync } from 'node:fs'
import { firstFault } from '../schema'
import {
  blankInputs,
  feeLine,
  firstScenarios,
  noChanges,
  saleResult,
  scenarioPartNames,
  scenariosSchema,
  turnsToLossAt,
  underScenario,
  type Sale,
  type Scenario,
} from '.'

/** Made by scripts/fixtures/scenarios.py with Python's `fractions`. */
const cases = JSON.parse(
  readFileSync(new URL('./fixtures/python-scenarios.json', import.meta.url), 'utf8'),
) as (Sale & { changes: Scenario['changes']; wanted: { priceE4: number; landedE4: number; profitE4: number } })[]

test('what a sale comes to under a what-if is what exact fractions make of it', () => {
  expect(cases.length).toBe(200)
  const wrong = cases.flatMap(({ inputs, priceE4, isForeign, changes, wanted }, i) => {
    const sale = { inputs: { ...blankInputs(inputs.currency), ...inputs }, priceE4, isForeign }
    const { margin: _, ...got } = saleResult(underScenario(sale, { changes }))
    return JSON.stringify(got) === JSON.stringify(wanted) ? [] : [{ i, got, wanted }]
  })
  expect(wrong).toEqual([])
})

// Worked by hand in docs/checks.md: 20.00, goods 8.00, delivery 10.00 an order of 10, fee 10 %, postage 2.00, a tenth comes back worthless.
const inputs = {
  ...blankInputs('EUR'),
  tiers: [{ from: 1, priceE4: 80_000 }],
  orderQuantity: 10,
  supplierDeliveryE4: 100_000,
  postageOutE4: 20_000,
  fees: [feeLine({ id: 'market', ratio: 0.1 })],
  returnRatio: 0.1,
}
const sale: Sale = { inputs, priceE4: 200_000, isForeign: true }
const under = (changes: Partial<Scenario['changes']>, of: Sale = sale) =>
  saleResult(underScenario(of, { changes: { ...noChanges, ...changes } }))

test('by hand: each part alone, and some together', () => {
  expect(under({})).toEqual({ priceE4: 200_000, landedE4: 90_000, profitE4: 50_000, margin: 0.25 })
  expect(under({ price: -0.1 })).toMatchObject({ priceE4: 180_000, profitE4: 34_000 })
  expect(under({ rate: 0.1 })).toMatchObject({ landedE4: 99_000, profitE4: 41_000 })
  expect(under({ rate: 0.1 }, { ...sale, isForeign: false })).toMatchObject({ landedE4: 90_000, profitE4: 50_000 })
  expect(under({ goods: 0.1 })).toMatchObject({ landedE4: 98_000, profitE4: 42_000 })
  expect(under({ delivery: 0.5 })).toMatchObject({ landedE4: 95_000, profitE4: 35_000 })
  expect(under({ fees: 0.02 })).toMatchObject({ profitE4: 46_000 })
  expect(under({ returns: 0.05 })).toMatchObject({ profitE4: 40_000 })
  expect(under({ tax: 0.25 })).toMatchObject({ profitE4: 14_000 })
  expect(under({ rate: 0.1, goods: 0.1 })).toMatchObject({ landedE4: 107_800 })
})

test('a share that is taken away from never falls below none, nor rises above all', () => {
  const inputsUnder = (changes: Partial<Scenario['changes']>) =>
    underScenario(sale, { changes: { ...noChanges, ...changes } }).inputs
  expect(inputsUnder({ returns: -0.5 }).returnRatio).toBe(0)
  expect(inputsUnder({ returns: 0.95 }).returnRatio).toBe(1)
  expect(inputsUnder({ tax: -0.5 }).taxRatio).toBe(0)
  expect(inputsUnder({ tax: 0.07 }).taxRatio).toBe(0.07)
})

test('the least change that makes it a loss, and the one before it does not', () => {
  for (const part of scenarioPartNames) {
    const at = turnsToLossAt(sale, part)
    expect(at).not.toBeNull()
    const step = Math.sign(at as number) / 1000
    expect(under({ [part]: at as number }).profitE4).toBeLessThan(0)
    expect(under({ [part]: (at as number) - step }).profitE4).toBeGreaterThanOrEqual(0)
  }
  // 5.00 left: goods of 8.00 may rise by 62.5 %, fees by 25 points, returns by as many
  expect(turnsToLossAt(sale, 'goods')).toBe(0.626)
  expect(turnsToLossAt(sale, 'fees')).toBe(0.251)
  expect(turnsToLossAt(sale, 'returns')).toBe(0.251)
})
test('a loss already is one at no change; what cannot be one, or is not known, says so', () => {
  expect(turnsToLossAt({ ...sale, priceE4: 50_000 }, 'fees')).toBe(0)
  expect(turnsToLossAt({ ...sale, isForeign: false }, 'rate')).toBeNull()
  expect(turnsToLossAt({ ...sale, inputs: { ...inputs, tiers: null } }, 'goods')).toBeNull()
})

test.each([
  ['price', -0.99, 10],
  ['rate', -0.99, 10],
  ['goods', -0.99, 10],
  ['delivery', -1, 10],
  ['fees', -1, 1],
  ['returns', -1, 1],
  ['tax', -1, 1],
] as const)('%s may change from %d to %d', (part, least, most) => {
  const fault = (change: number) =>
    firstFault(scenariosSchema, [{ name: 'x', changes: { ...noChanges, [part]: change } }])
  expect([fault(least), fault(most)]).toEqual([null, null])
  expect([fault(least - 0.001), fault(most + 0.001)]).not.toContain(null)
})

test('what-ifs of a fresh workspace fit; two of one name, or a change out of bounds, do not', () => {
  expect(firstFault(scenariosSchema, firstScenarios)).toBeNull()
  // each is against the seller: dearer money and fees, a lower price, more returns
  const said = firstScenarios.map(({ changes }) => Object.entries(changes).filter(([, change]) => change !== 0))
  expect(said).toEqual([[['rate', 0.1]], [['price', -0.1]], [['fees', 0.02]], [['returns', 0.05]]])
  const [one] = firstScenarios as [Scenario]
  expect(firstFault(scenariosSchema, [one, { ...one, name: ` ${one.name.toUpperCase()}` }])?.what).toBe(
    'has two of one name',
  )
  expect(firstFault(scenariosSchema, [{ ...one, changes: { ...noChanges, price: -1 } }])).not.toBeNull()
  expect(firstFault(scenariosSchema, [{ ...one, name: '' }])).not.toBeNull()
  expect(
    firstFault(
      scenariosSchema,
      Array.from({ length: 20 }, (_, i) => ({ ...one, name: `${i}` })),
    ),
  ).toBeNull()
  expect(
    firstFault(
      scenariosSchema,
      Array.from({ length: 21 }, (_, i) => ({ ...one, name: `${i}` })),
    ),
  ).not.toBeNull()
  expect(firstFault(scenariosSchema, [{ ...one, name: 'x'.repeat(60) }])).toBeNull()
  expect(firstFault(scenariosSchema, [{ ...one, name: 'x'.repeat(61) }])).not.toBeNull()
})
