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
