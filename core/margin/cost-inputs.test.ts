import { blankInputs } from '.'
import { checkInputs } from './cost-inputs'

const inputs = { ...blankInputs('EUR'), tiers: [{ from: 1, priceE4: 10_000 }] }
const refused = (some: Partial<typeof inputs>) => {
  try {
    checkInputs({ ...inputs, ...some })
    return null
  } catch (thrown) {
    return (thrown as { details: { name: string } }).details.name
  }
}

test.each([
  ['a price below nothing', -1],
  ['a price without end', Infinity],
  ['what is no number', NaN],
])('%s of the goods is refused', (_, priceE4) => {
  expect(refused({ tiers: [{ from: 1, priceE4 }] })).toBe('price of the goods')
  // wherever it stands among the tiers
  expect(refused({ tiers: [...inputs.tiers, { from: 10, priceE4 }] })).toBe('price of the goods')
})

test('goods for nothing, and a discount of nearly all, are fine; all of it is not', () => {
  expect(refused({})).toBeNull()
  expect(refused({ tiers: [{ from: 1, priceE4: 0 }] })).toBeNull()
  expect(refused({ discountRatio: 0.99 })).toBeNull()
  expect(refused({ discountRatio: 1 })).toBe('discount')
})

test('shares up to ten times, counts above none', () => {
  expect(refused({ taxRatio: 10 })).toBeNull()
  expect(refused({ taxRatio: 10.1 })).toBe('taxRatio')
  expect(refused({ taxRatio: -0.01 })).toBe('taxRatio')
  expect(refused({ packSold: 0 })).toBe('packSold')
  expect(refused({ packSold: NaN })).toBe('packSold')
  expect(refused({ postageOutE4: -1 })).toBe('postageOutE4')
  expect(refused({ postageOutE4: Infinity })).toBe('postageOutE4')
})
