import fc from 'fast-check'
import Papa from 'papaparse'
import { splitRows } from './split-rows'

/** PapaParse is the oracle: a well-known parser of RFC 4180 text. */
function papa(text: string, delimiter: string, newline: '\r\n' | '\n' | '\r'): string[][] {
  return Papa.parse<string[]>(text, { delimiter, newline }).data
}

const cell = fc.oneof(
  fc.stringMatching(/^[a-z0-9 .]{0,6}$/),
  fc.constantFrom(
    '',
    '"quoted"',
    'a "b" c',
    'x,y',
    'line\nbreak',
    'tab\tbed',
    'ü€',
    ' spaced ',
    '""',
    '\u2028',
    '12,5',
  ),
)
const table = fc.array(fc.array(cell, { minLength: 1, maxLength: 5 }), { minLength: 1, maxLength: 8 })
const style = fc.record({
  delimiter: fc.constantFrom(',', ';', '\t', '|'),
  newline: fc.constantFrom('\r\n' as const, '\n' as const, '\r' as const),
})

test('any well-formed table is split as PapaParse splits it', () => {
  fc.assert(
    fc.property(table, style, fc.boolean(), (rows, { delimiter, newline }, ends) => {
      const text = Papa.unparse(rows, { delimiter, newline }) + (ends ? newline : '')
      expect(splitRows(text, delimiter, true)?.rows).toEqual(papa(text, delimiter, newline))
    }),
    { numRuns: 400 },
  )
})

test('cut anywhere, the whole rows come out and the rest is left for later', () => {
  fc.assert(
    fc.property(table, style, fc.nat(), (rows, { delimiter, newline }, where) => {
      const text = Papa.unparse(rows, { delimiter, newline }) + newline
      const at = where % text.length
      const first = splitRows(text.slice(0, at), delimiter, false)
      const rest = splitRows(text.slice(first?.used ?? 0), delimiter, true)
      expect([...(first?.rows ?? []), ...(rest?.rows ?? [])]).toEqual(papa(text, delimiter, newline))
    }),
    { numRuns: 400 },
  )
})

test('quoting that is not regular is left to others', () => {
  expect(splitRows('a,"b"c,d\n', ',', true)).toBeNull()
  expect(splitRows('a,"b,c\n', ',', true)).toBeNull()
  // It may still close in what is to come.
  expect(splitRows('a\n"b,c', ',', false)).toEqual({ rows: [['a']], used: 2 })
})

test('line ends of three kinds in one text lose no row, wherever it is cut', () => {
  const ends = fc.constantFrom('\n', '\r\n', '\r')
  const row = fc.tuple(fc.array(fc.constantFrom('a', '1', '"x"', '"p\nq"', ''), { minLength: 2, maxLength: 4 }), ends)
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 8 }), fc.nat(), (rows, where) => {
      const text = rows.map(([cells, end]) => cells.join(',') + end).join('')
      const wanted = rows.map(([cells]) => cells.map((c) => c.replaceAll('"', '')))
      const at = where % text.length
      const first = splitRows(text.slice(0, at), ',', false)
      const rest = splitRows(text.slice(first?.used ?? 0), ',', true)
      const got = [...(first?.rows ?? []), ...(rest?.rows ?? [])]
      // a text that ends with a line end has an empty row behind it
      expect(got.slice(0, -1)).toEqual(wanted)
    }),
    { numRuns: 400 },
  )
})
