import fc from 'fast-check'
import { Groups } from './groups'
import { priceLikeness } from '.'

const none = (n: number) => new Int32Array(n).fill(-1)
const labels = (...of: number[]) => Int32Array.from(of)

test('sets grow together, and are numbered as they first appear', () => {
  const groups = new Groups(none(6), none(6))
  groups.join(4, 1)
  groups.join(5, 3)
  groups.join(3, 4)
  expect([...groups.numbered()]).toEqual([0, 1, 2, 1, 1, 1])
  expect([0, 1, 2, 3, 4, 5].map((i) => groups.root(i))).toEqual([0, 1, 2, 1, 1, 1])
  expect([groups.mayJoin(1, 5), groups.mayJoin(0, 1)]).toEqual([false, true])
})

test('two barcodes never come together, nor two brands, but for what a barcode joined', () => {
  const groups = new Groups(labels(0, -1, 1, -1), labels(-1, 7, -1, 8))
  groups.join(0, 1)
  expect(groups.mayJoin(1, 2)).toBe(false)
  expect(groups.mayJoin(0, 3)).toBe(false)
  groups.join(1, 2)
  expect(groups.root(2)).toBe(2)
  // what neither says keeps nothing apart, and is known from then on
  groups.join(2, 3)
  expect(groups.root(3)).toBe(2)
  expect(groups.mayJoin(0, 3)).toBe(false)
  groups.joinAnyway(3, 0)
  expect([...groups.numbered()]).toEqual([0, 0, 0, 0])
  expect([0, 1, 2, 3].map((i) => groups.hasLabel(i))).toEqual([true, true, true, true])
})

test('a set has a barcode where one of it has, the first barcode of all too', () => {
  const groups = new Groups(labels(-1, 0, -1), none(3))
  expect([0, 1, 2].map((i) => groups.hasLabel(i))).toEqual([false, true, false])
  groups.join(0, 1)
  expect([0, 1, 2].map((i) => groups.hasLabel(i))).toEqual([true, true, false])
  expect(new Groups().hasLabel(0)).toBe(false)
})

test('as they stand: groups by number, and those that stand by themselves', () => {
  const groupOf = labels(3, -1, 0, 3, -1, 0, 3)
  const groups = Groups.from(groupOf, none(7), none(7))
  expect([...groups.numbered()]).toEqual([0, 1, 2, 0, 3, 2, 0])
})

test('whatever is joined, the sets are those of looking through all that was', () => {
  const pair = fc.tuple(fc.integer({ min: 0, max: 11 }), fc.integer({ min: 0, max: 11 }))
  fc.assert(
    fc.property(fc.array(pair, { maxLength: 16 }), (pairs) => {
      const groups = new Groups(none(12))
      const plain = Array.from({ length: 12 }, (_, i) => i)
      for (const [a, b] of pairs) {
        groups.join(a, b)
        const [from, to] = [plain[b], plain[a]]
        plain.forEach((g, i) => g === from && (plain[i] = to as number))
      }
      const firsts = [...new Set(plain)]
      expect([...groups.numbered()]).toEqual(plain.map((g) => firsts.indexOf(g)))
    }),
  )
})

test.each([
  [30, 90, false, 3, true],
  [30, 91, false, 91 / 30, false],
  [90, 30, false, 1 / 3, true],
  [91, 30, false, 30 / 91, false],
  [90, 90, true, 1, true],
  [90, 91, true, 91 / 90, false],
  [90, 3, true, 1 / 30, true],
  [91, 3, true, 3 / 91, false],
])('a piece for %d and one for %d (by a supplier: %s)', (mine, other, isSupplier, ratio, isPlausible) => {
  expect(priceLikeness(mine, other, isSupplier)).toEqual({ ratio, isPlausible })
})
test('prices that are not known, or nothing, compare with none', () => {
  for (const [mine, other] of [
    [null, 5],
    [5, null],
    [0, 5],
    [5, 0],
  ] as const)
    expect(priceLikeness(mine, other)).toBeNull()
  expect(priceLikeness(0.5, 0.5)?.ratio).toBe(1)
})
