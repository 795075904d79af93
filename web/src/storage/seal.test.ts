import fc from 'fast-check'
import { isSound, sealed, sealOf } from './seal'

const place = ['columns', 'a', 0, 'price']

test('what is kept is sound, at its own place, also as a structured clone and with its parts in another order', () => {
  fc.assert(
    fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (record) => {
      delete record.seal
      const kept = sealed(place, record)
      expect(isSound(place, structuredClone(kept))).toBe(true)
      expect(isSound(place, Object.fromEntries(Object.entries(kept).reverse()))).toBe(true)
      expect(isSound(['columns', 'a', 0, 'title'], kept)).toBe(false)
    }),
  )
})

const columns = [
  Float64Array.of(1, 2, NaN, -0.5, 1e9),
  Int8Array.of(1, 2, 3, 4, 5),
  Int16Array.of(1, 2, 3, 4, 5),
  Int32Array.of(1, 2, 3, 4, 5),
  Uint8Array.of(1, 2, 3, 4, 5),
]
test.each(columns.map((c) => [c.constructor.name, c] as const))('%s: each change is found', (_, values) => {
  const kept = sealed(place, { rows: 5, values })
  const spoilt = [
    { ...kept, values: values.slice(0, 4) },
    { ...kept, values: values.slice(0, 0) },
    { ...kept, values: values.map((v, i) => (i === 4 ? v + 1 : v)) },
    { ...kept, values: values.map((v, i) => (i === 0 ? v + 1 : v)) },
    { ...kept, values: values.toReversed() },
    { ...kept, values: Array.from(values) },
    { ...kept, values: undefined },
    { ...kept, rows: 4 },
    { ...kept, more: 1 },
    { ...kept, seal: kept.seal ^ 1 },
    { rows: 5, values },
    null,
    undefined,
    'text',
  ]
  expect(isSound(place, kept)).toBe(true)
  for (const record of spoilt) expect(isSound(place, record)).toBe(false)
})

test('kinds of values differ, whatever they look like', () => {
  const values = [
    null,
    0,
    '',
    '0',
    false,
    [],
    {},
    [0],
    ['0'],
    { 0: 0 },
    [[]],
    1,
    '1',
    true,
    new Map([[1, 2]]),
    [1, 2],
    Uint8Array.of(1),
    Int8Array.of(1),
  ]
  const seals = values.map((v) => sealOf(place, v))
  expect(new Set(seals).size).toBe(values.length)
})

test('a part that cannot be aligned counts all the same', () => {
  const bytes = Uint8Array.of(9, 1, 2, 3, 4, 5, 6, 7, 8)
  const [odd, even] = [bytes.subarray(1), bytes.slice(1)]
  expect(sealOf(place, odd)).toBe(sealOf(place, even))
})
