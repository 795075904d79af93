import { leastWhere } from './least-where'

test.each([0, 1, 2, 3, 6, 7, 99, 100])('of numbers up to 100 the first that is %d or more', (bound) => {
  expect(leastWhere((n) => n >= bound, 100)).toBe(bound)
})

test('what holds nowhere is not found, and each is asked once', () => {
  const asked: number[] = []
  expect(
    leastWhere((n) => {
      asked.push(n)
      return n >= 77
    }, 127),
  ).toBe(77)
  expect(new Set(asked).size).toBe(asked.length)
  expect(asked.length).toBeLessThanOrEqual(8)
  expect(leastWhere(() => false, 100)).toBeNull()
  expect(leastWhere(() => true, 0)).toBe(0)
})
