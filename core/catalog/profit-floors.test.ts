import { solvePrice } from '../margin'
import { profitFloors } from './profit-floors'
import { itemCost } from './item-costs'
import { plainRules } from './rules'

const rules = {
  ...plainRules('EUR'),
  rates: [{ from: 'GBP', to: 'EUR', rate: 1.25, day: '2026-05-31' }],
}

test('the floor is the lowest price that leaves the profit with goods for nothing, in the currency of the source', () => {
  const { inputs } = itemCost({
    rules,
    market: 'Farholt',
    kind: 'physical',
    offer: null,
    packs: { sold: 1, bought: 1 },
  })
  const { lowestE4 } = solvePrice({ ...inputs, tiers: [{ from: 1, priceE4: 0 }] }, { profitE4: 50_000 })
  const euros = profitFloors(rules, { market: 'Farholt', currency: 'EUR' }, 50_000)
  expect(euros.physical).toBeCloseTo((lowestE4 as number) / 10_000, 9)
  // fees are assumed where none are entered, so more than the profit itself must be asked
  expect(euros.physical).toBeGreaterThan(5)
  const pounds = profitFloors(rules, { market: 'Farholt', currency: 'GBP' }, 50_000)
  expect(pounds.physical).toBeCloseTo((euros.physical as number) / 1.25, 9)
  expect(profitFloors(rules, { market: 'Farholt', currency: 'JPY' }, 50_000)).toEqual({
    physical: null,
    printed: null,
    digital: null,
  })
})
