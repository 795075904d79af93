import type { Item } from '../catalog'
import { measure, shippedCuts } from '.'

const of = (profitE4: number | null, landedE4: number | null) =>
  measure('markUp').of({ best: { profitE4 }, landedE4 } as unknown as Item)

// mark-up = profit / landed cost: the trade's term.
test.each([
  [73_700, 32_000, 73_700 / 32_000],
  [-16_000, 32_000, -0.5],
  [0, 32_000, 0],
  [50_000, 0, null],
  [50_000, null, null],
  [null, 32_000, null],
])('a profit of %p on goods of %p is a mark-up of %p', (profit, landed, wanted) =>
  expect(of(profit, landed)).toBe(wanted),
)
test('an item without a market where it earns has none', () =>
  expect(measure('markUp').of({ best: null, landedE4: 1 } as unknown as Item)).toBeNull())

test('the way from a small shop to its source is a Cut that ships', () => {
  const cut = shippedCuts.find((c) => c.name === 'From shop to source')
  expect(cut?.query).toMatchObject({
    limits: { smallStores: [1, null], markUp: [1, null] },
    sort: { by: 'markUp', descending: true },
  })
})
