import { limits } from '../opened-file'
import { flattenRecord } from './flatten-record'

const flat = (record: unknown) => Object.fromEntries(flattenRecord(record))

test('records in records are one level, lists of plain values one cell, lists of records by their place', () => {
  expect(flat({ a: 1, b: { c: 'x', d: { e: true } }, f: null, g: undefined })).toEqual({
    a: 1,
    'b.c': 'x',
    'b.d.e': true,
    f: null,
    g: null,
  })
  expect(flat({ tags: ['a', 2, true, null], none: [] })).toEqual({ tags: 'a|2|true|null', none: '' })
  expect(flat({ sizes: [{ w: 1 }, { w: 2 }] })).toEqual({ 'sizes.1.w': 1, 'sizes.2.w': 2 })
})

test('lists and depths have their ends: a thousand values, ten records, eight levels, names of two hundred letters', () => {
  const values = (n: number) => String(flat({ a: Array(n).fill('x') }).a).split('|').length
  expect([values(1000), values(1001)]).toEqual([1000, 1000])
  const records = (n: number) => Object.keys(flat({ a: Array.from({ length: n }, () => ({ b: 1 })) })).length
  expect([records(10), records(11)]).toEqual([10, 10])
  const deep = (n: number): unknown => (n === 0 ? 'end' : { a: deep(n - 1) })
  expect([Object.values(flat(deep(8))), Object.values(flat(deep(9)))]).toEqual([['end'], []])
  expect(Object.keys(flat({ ['x'.repeat(300)]: 1 }))[0]).toHaveLength(200)
  const lists = (n: number): unknown => (n === 0 ? { z: 1 } : [lists(n - 1)])
  expect([Object.values(flat({ a: lists(6) })), Object.values(flat({ a: lists(7) }))]).toEqual([[1], []])
})

test('a record of too many names is cut one name after the most that a table may have', () => {
  const wide = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`n${i}`, i]))
  expect(flattenRecord(wide(limits.columns + 1)).size).toBe(limits.columns + 1)
  expect(flattenRecord(wide(limits.columns + 9)).size).toBe(limits.columns + 1)
  expect(flattenRecord({ a: wide(limits.columns), b: wide(40) }).size).toBe(limits.columns + 1)
})
