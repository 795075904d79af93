import type { PageHeader } from 'hyparquet'
import { checkDelta, checkHeader, checkRuns, pageBounds } from './check-page'
import { unpackPage } from './unpack-page'

const header = (some: object = {}) =>
  ({
    compressed_page_size: 100,
    uncompressed_page_size: 200,
    data_page_header: { num_values: 50 },
    ...some,
  }) as unknown as PageHeader
const told =
  (some: object, bytesLeft = 100, valuesLeft = 50) =>
  () =>
    checkHeader(header(some), bytesLeft, valuesLeft)

test('a page is as long as what is left, and no longer', () => {
  expect(told({})).not.toThrow()
  expect(told({}, 99)).toThrow('cut off')
  expect(told({ compressed_page_size: 0 })).not.toThrow()
  for (const odd of [-1, NaN, undefined]) expect(told({ compressed_page_size: odd })).toThrow('cut off')
})

test('it unpacks to so many bytes at most', () => {
  expect(told({ uncompressed_page_size: pageBounds.bytes })).not.toThrow()
  expect(told({ uncompressed_page_size: pageBounds.bytes + 1 })).toThrow('unpacks to 192 MB')
  expect(told({ uncompressed_page_size: 0 })).not.toThrow()
  expect(told({ uncompressed_page_size: -1 })).toThrow('unpacks to')
})

test('it holds as many rows as are left, in either form, and twenty million at most', () => {
  expect(told({}, 100, 49)).toThrow('more rows than the file says')
  const two = { data_page_header: undefined, data_page_header_v2: { num_values: 50 } }
  expect(told(two)).not.toThrow()
  expect(told(two, 100, 49)).toThrow('more rows than the file says')
  expect(told({ data_page_header: { num_values: -1 } })).toThrow('more rows')
  const many = (n: number) => told({ data_page_header: { num_values: n } }, 100, 1e9)
  expect(many(pageBounds.values)).not.toThrow()
  expect(many(pageBounds.values + 1)).toThrow('more rows')
  // a page of a dictionary holds none
  expect(told({ data_page_header: undefined, dictionary_page_header: { num_values: 200 } }, 100, 0)).not.toThrow()
  expect(told({ data_page_header: undefined, dictionary_page_header: { num_values: 201 } })).toThrow(
    'longer than its page',
  )
  expect(told({ data_page_header: undefined, dictionary_page_header: { num_values: -1 } })).toThrow(
    'longer than its page',
  )
  const bare = { data_page_header: undefined, uncompressed_page_size: 0 }
  expect(told({ ...bare, dictionary_page_header: { num_values: 1 } })).not.toThrow()
  expect(told({ ...bare, dictionary_page_header: { num_values: 2 } })).toThrow('longer than its page')
})

// Runs as the format writes them (Apache Parquet, "Run Length Encoding / Bit-Packing Hybrid"): a length twice over, its last bit for packed.
test('runs are gone over: of one value, of packed eights, of values wider than a byte', () => {
  const end = (bytes: number[], width: number, values: number, from = 0) =>
    checkRuns(Uint8Array.from(bytes), from, width, values)
  expect(end([2 * 5, 7], 3, 5)).toBe(2)
  expect(end([9, 9, 2 * 5, 7], 3, 5, 2)).toBe(4)
  // nine bits take two bytes, eight take one
  expect(end([2 * 5, 7, 7], 9, 5)).toBe(3)
  expect(end([2 * 5, 7], 8, 5)).toBe(2)
  // two packed eights of three bits are six bytes
  expect(end([2 * 2 + 1, 0, 0, 0, 0, 0, 0], 3, 16)).toBe(7)
  expect(end([2 * 2 + 1, 0, 0, 0, 0, 0, 0], 3, 12)).toBe(7)
  expect(end([], 1, 0)).toBe(0)
  // a run longer than what is left is refused, packed ones but for the room behind them
  expect(() => end([2 * 6, 7], 3, 5)).toThrow('longer than its page')
  expect(end([2 * 5, 7, 2 * 1, 7], 3, 6)).toBe(4)
  expect(() => end([2 * 5, 7, 2 * 2, 7], 3, 6)).toThrow('longer than its page')
  expect(() => end([0x83, 0x01], 0, 1)).toThrow('longer than its page')
  expect(() => end([2 * 5, 7], 3, 6)).toThrow('cut off')
})

test('differences are packed in blocks of sense, and texts that begin alike come to a quarter of a gigabyte at most', () => {
  const head = (block: number[], parts: number[]) => () =>
    checkDelta(Uint8Array.from([...block, ...parts, 1, 0, 0, 0]), 0, 1, 'DELTA_BINARY_PACKED')
  expect(head([0x80, 1], [4])).not.toThrow()
  expect(head([0], [4])).toThrow('no sense')
  expect(head([0x80, 1], [0])).toThrow('no sense')
  expect(head([0x80, 0x80, 0x40], [4])).not.toThrow()
  expect(head([0x81, 0x80, 0x40], [4])).toThrow('no sense')
  expect(head([0x80, 1], [0x80, 8])).not.toThrow()
  expect(head([0x80, 1], [0x81, 8])).toThrow('no sense')
  expect(() => checkDelta(Uint8Array.from([0]), 0, 0, 'DELTA_BINARY_PACKED')).not.toThrow()
  // two texts: how much each begins as the one before, then how long its rest is; first value, then a block of no bits
  const zigzag = (v: number) => {
    const bytes: number[] = []
    for (let n = v * 2; ; n = Math.floor(n / 128)) {
      if (n < 128) return [...bytes, n]
      bytes.push((n % 128) + 128)
    }
  }
  const one = (v: number) => [0x80, 1, 4, 1, ...zigzag(v)]
  const texts = (prefix: number, rest: number) => () =>
    checkDelta(Uint8Array.from([...one(prefix), ...one(rest)]), 0, 1, 'DELTA_BYTE_ARRAY')
  expect(texts(0, 9)).not.toThrow()
  expect(texts(pageBounds.text - 9, 9)).not.toThrow()
  expect(texts(pageBounds.text - 9, 10)).toThrow('unpack to 256 MB')
})

test('a page without a codec is its bytes, of the size that it says', () => {
  expect([...unpackPage(Uint8Array.from([1, 2, 3]), 3, 'UNCOMPRESSED')]).toEqual([1, 2, 3])
  expect(() => unpackPage(Uint8Array.from([1, 2, 3]), 2, 'UNCOMPRESSED')).toThrow('another size')
})
