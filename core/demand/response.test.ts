import { readFileSync } from 'node:fs'
import { leastSquares, priceResponse } from '.'

interface RFit {
  value: number[]
  low: number[]
  high: number[]
  r2: number
}
/** Made by scripts/fixtures/tuna-response.R: seven real items over 338 weeks. */
const r = JSON.parse(readFileSync(new URL('./fixtures/r-tuna-response.json', import.meta.url), 'utf8')) as {
  items: { units: number[]; price: number[]; display: number[]; both: RFit; 'price only': RFit }[]
}

test.each(r.items)(
  'price against units and the lift of display are those of R’s lm',
  ({ units, price, display, both, ...only }) => {
    const periods = units.map((u, i) => ({ units: u, price: price[i] as number, promoted: display[i] as number }))
    const found = priceResponse(periods)
    expect(found?.of).toBe(338)
    expect(found?.r2).toBeCloseTo(both.r2, 8)
    for (const part of ['value', 'low', 'high'] as const) {
      expect(found?.elasticity[part]).toBeCloseTo(both[part][1] as number, 6)
      expect(found?.promotion?.[part]).toBeCloseTo(Math.expm1(both[part][2] as number), 6)
    }
    const alone = priceResponse(periods.map((p) => ({ ...p, promoted: null })))
    expect(alone?.promotion).toBeNull()
    expect(alone?.elasticity.value).toBeCloseTo(only['price only'].value[1] as number, 6)
  },
)

test('too few periods, prices that stand still, or a promotion that never changes say nothing of themselves', () => {
  const periods = Array.from({ length: 30 }, (_, i) => ({ units: 5 + (i % 7), price: 10 + (i % 4), promoted: 0 }))
  expect(priceResponse(periods.slice(0, 19))).toBeNull()
  expect(priceResponse(periods.map((p) => ({ ...p, price: 10 })))).toBeNull()
  expect(priceResponse(periods.map((p) => ({ ...p, units: 0 })))).toBeNull()
  expect(priceResponse(periods)).toMatchObject({ promotion: null, of: 30 })
  expect(leastSquares([1, 2, 3], [[1, 2, 3]])).toBeNull()
})

test('twenty periods are enough, of those in which something sold at a price; so are prices a twentieth apart', () => {
  const periods = Array.from({ length: 20 }, (_, i) => ({
    units: 5 + (i % 7),
    price: i % 2 ? 10 : 10.5,
    promoted: null,
  }))
  expect(priceResponse(periods)?.of).toBe(20)
  expect(priceResponse(periods.map((p) => ({ ...p, price: Math.min(p.price, 10.49) })))).toBeNull()
  const idle = { units: 0, price: 10, promoted: null }
  expect(priceResponse([...periods, idle, { ...idle, units: 3, price: 0 }])?.of).toBe(20)
  expect(priceResponse([...periods.slice(1), idle])).toBeNull()
  // what one piece at a price of 1 says counts as much
  expect(priceResponse([...periods, { ...idle, units: 1, price: 1 }])?.of).toBe(21)
})

test('a line through two columns needs two values more than it has coefficients, and columns that are no mixture', () => {
  const [a, b, y] = [
    [1, 2, 3, 4, 7],
    [2, 1, 5, 3, 1],
    [3, 4, 8, 8, 9],
  ]
  expect(leastSquares(y, [a, b])).toMatchObject({ of: 5 })
  expect(leastSquares(y.slice(1), [a.slice(1), b.slice(1)])).toBeNull()
  expect(leastSquares(y, [a, a.map((v) => 2 * v + 1)])).toBeNull()
  // y = 1 + 2a − b, exactly: all is explained. A column of small figures is no other one
  const exact = leastSquares(
    a.map((v, i) => 1 + 2 * v - b[i]!),
    [a, b],
  )
  expect(exact?.coefficients.map((c) => c.value)).toEqual([1, 2, -1].map((v) => expect.closeTo(v, 9) as number))
  expect(exact?.r2).toBeCloseTo(1, 9)
  expect(leastSquares([1, 2, 4, 4, 5], [b.map((v) => v * 100), a])?.coefficients).toHaveLength(3)
  // what never differs has nothing to be explained
  expect(leastSquares([4, 4, 4, 4, 4], [a])).toMatchObject({ r2: 0 })
})
