import fc from 'fast-check'
import { fromStored, hashText, numberAt, numbers, rowReader, TableBuilder, textAt, textColumn, toStored } from '.'

const specs = [
  { name: 'title', type: 'text' as const },
  { name: 'units', type: 'number' as const },
  { name: 'never', type: 'text' as const },
]

test('what goes in comes out, unknown stays unknown, and empty columns take no room', () => {
  const builder = new TableBuilder(specs)
  for (let i = 0; i < 3000; i++) builder.add({ title: i % 3 ? `t${i % 7}` : null, units: i % 5 ? i : null })
  const table = builder.finish()
  expect(table.rows).toBe(3000)
  expect(Object.keys(table.columns)).toEqual(['title', 'units'])
  const read = rowReader(table)
  for (let i = 0; i < 3000; i++) {
    expect(read.text('title', i)).toBe(i % 3 ? `t${i % 7}` : null)
    expect(read.number('units', i)).toBe(i % 5 ? i : null)
    expect(read.text('never', i)).toBeNull()
  }
  expect(textColumn(table, 'title').words).toHaveLength(7)
})

test('a column of the other type or none reads as unknown', () => {
  const table = new TableBuilder(specs).add({ title: 'x', units: 1 }).finish()
  expect(textAt(textColumn(table, 'units'), 0)).toBeNull()
  expect(numberAt(numbers(table, 'title'), 0)).toBeNull()
  expect(numberAt(numbers(table, 'units'), 99)).toBeNull()
})

test('at rest a column is narrow, and comes back as it was', () => {
  const whole = fc.oneof(...[7, 15, 31].map((bits) => fc.integer({ min: -(2 ** bits), max: 2 ** bits - 1 })))
  const value = fc.oneof({ weight: 8, arbitrary: whole }, fc.constantFrom(NaN, 0, -0, 2 ** 31, -(2 ** 53)), fc.double())
  fc.assert(
    fc.property(fc.oneof(fc.array(whole), fc.array(value)), (list) => {
      const values = Float64Array.from(list)
      expect(fromStored(toStored({ type: 'number', values }))).toEqual({ type: 'number', values })
    }),
    { numRuns: 2000 },
  )
  const stored = (list: number[]) => toStored({ type: 'number', values: Float64Array.from(list) })
  expect(stored([1, NaN, -127])).toEqual({ type: 'number', values: Int8Array.of(1, -128, -127) })
  expect(stored([-128, NaN])).toEqual({ type: 'number', values: Int16Array.of(-128, -32768) })
  const words = Array.from({ length: 0x8001 }, (_, i) => `w${i}`)
  for (const some of [words, words.slice(1)]) {
    const codes = Int32Array.from([-1, ...some.keys()])
    const back = fromStored(toStored({ type: 'text', codes, words: some }))
    expect(back.type === 'text' && back.codes).toEqual(codes)
  }
})

// Values by R's package digest 0.6.31, algo "murmur32": scripts/fixtures/hash.R
test.each([
  ['', '00000000'],
  ['a', '3c2569b2'],
  ['ab', '9bbfd75f'],
  ['abc', 'b3dd93fa'],
  ['test', 'ba6bd213'],
  ['Hello, world!', 'c0363e43'],
  ['Kärnten', '5334327f'],
  ['The quick brown fox jumps over the lazy dog', '2e4ff723'],
])('hash of %j', (text, hash) => expect(hashText(text) >>> 0).toBe(parseInt(hash, 16)))
