import { tierPrice } from './tiers'
test('a tier is found whatever the order of the tiers; below the first the smallest counts', () => {
  const tiers = [
    { from: 100, priceE4: 10 },
    { from: 10, priceE4: 30 },
    { from: 50, priceE4: 20 },
  ]
  expect([1, 10, 49, 50, 99, 100, 5000].map((n) => tierPrice(tiers, n))).toEqual([30, 30, 30, 20, 20, 10, 10])
  expect(tierPrice([], 5)).toBeNull()
})
