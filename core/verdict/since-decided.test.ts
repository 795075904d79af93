import { sinceDecided } from '.'

const snapshot = { title: 'Bird bath', picture: null, profitE4: 100_000, units: 100, listings: 2 }
const now = (profitE4: number | null, units: number | null) => ({ title: 'Bird bath', profitE4, units })
const told = (after: ReturnType<typeof now> | null) => sinceDecided({ key: 'a', snapshot }, after)

test('small moves are not told, larger ones with before and after', () => {
  expect(told(now(109_999, 100))).toBeNull()
  expect(told(now(110_000, 100))?.profit).toEqual([100_000, 110_000])
  // 1.96 √(100 + 127) = 29.5 > 27; 1.96 √(100 + 130) = 29.7 < 30
  expect(told(now(100_000, 127))).toBeNull()
  expect(told(now(100_000, 130))?.units).toEqual([100, 130])
  expect(told(now(null, null))).toBeNull()
  expect(told(null)).toMatchObject({ gone: true, title: 'Bird bath' })
})

test('of a profit of cents, cents are not news', () => {
  const small = { ...snapshot, profitE4: 1_000 }
  expect(sinceDecided({ key: 'a', snapshot: small }, now(4_000, 100))).toBeNull()
})
