import fc from 'fast-check'
import { bestAssignment } from './best-assignment'

/** Every way of giving each row a column or none, tried. */
function tried(gains: readonly (readonly number[])[], row = 0, used: readonly number[] = []): number {
  if (row === gains.length) return 0
  let best = tried(gains, row + 1, used)
  gains[row]?.forEach((gain, c) => {
    if (gain > 0 && !used.includes(c)) best = Math.max(best, gain + tried(gains, row + 1, [...used, c]))
  })
  return best
}

test('the total is that of trying every way, and no column is given twice', () => {
  const gain = fc.oneof(fc.integer({ min: -5, max: 20 }), fc.constant(-Infinity))
  const table = fc
    .integer({ min: 1, max: 5 })
    .chain((columns) =>
      fc.array(fc.array(gain, { minLength: columns, maxLength: columns }), { minLength: 1, maxLength: 5 }),
    )
  fc.assert(
    fc.property(table, (gains) => {
      const found = bestAssignment(gains)
      const total = found.reduce((sum, c, r) => sum + (c < 0 ? 0 : (gains[r]?.[c] ?? 0)), 0)
      expect(total).toBe(tried(gains))
      const given = found.filter((c) => c >= 0)
      expect(new Set(given).size).toBe(given.length)
    }),
    { numRuns: 500 },
  )
})

test('a worked example: the dearest pair is given up for a better whole', () => {
  expect(
    bestAssignment([
      [9, 8],
      [8, 1],
    ]),
  ).toEqual([1, 0])
  expect(bestAssignment([[-1, 0]])).toEqual([-1])
  // of equal ones columns go in the order of rows, and a gain however small goes before that
  expect(
    bestAssignment([
      [2, 2, 2],
      [2, 2, 2],
    ]),
  ).toEqual([0, 1])
  expect(
    bestAssignment([
      [2, 2.001],
      [2, 2],
    ]),
  ).toEqual([1, 0])
  expect(bestAssignment([])).toEqual([])
})
