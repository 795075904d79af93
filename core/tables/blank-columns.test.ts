import { gatherRows, isBlank, numbers, sharingBlanks, type Column, type Table } from '.'

const column = (...values: number[]): Column => ({ type: 'number', values: Float64Array.from(values) })
const table = (columns: Record<string, Column>, rows = 2): Table => ({ rows, columns })

test('a column is blank where none of its numbers is known; one of words is not', () => {
  expect([column(NaN, NaN), column(NaN, 0), column(0, NaN), column()].map(isBlank)).toEqual([true, false, false, true])
  expect(isBlank({ type: 'text', codes: Int32Array.from([-1]), words: [] })).toBe(false)
  expect(isBlank(undefined)).toBe(false)
})

const some = () => table({ a: column(NaN, NaN), b: column(1, NaN), c: column(NaN, NaN) })

test('blank columns are one list, all others stay as they are', () => {
  const before = some()
  const shared = sharingBlanks(before)
  expect(shared).toEqual(before)
  expect(numbers(shared, 'a')).toBe(numbers(shared, 'c'))
  expect(shared.columns.b).toBe(before.columns.b)
})

test('rows that come and go leave blank columns one list, until something is known in one of them', () => {
  const shared = sharingBlanks(some())
  const from = Int32Array.from([1, -1, 0])
  const still = gatherRows(shared, from, sharingBlanks(table({ a: column(NaN), b: column(7), c: column(NaN) }, 1)))
  expect(still).toEqual(table({ a: column(NaN, NaN, NaN), b: column(NaN, 7, 1), c: column(NaN, NaN, NaN) }, 3))
  expect(numbers(still, 'a')).toBe(numbers(still, 'c'))
  expect(numbers(still, 'a')).not.toBe(numbers(shared, 'a'))

  const told = gatherRows(shared, from, sharingBlanks(table({ a: column(NaN), b: column(NaN), c: column(4) }, 1)))
  expect(told).toEqual(table({ a: column(NaN, NaN, NaN), b: column(NaN, NaN, 1), c: column(NaN, 4, NaN) }, 3))
})
