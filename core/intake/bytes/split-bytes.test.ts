import fc from 'fast-check'
import Papa from 'papaparse'
import { hashText } from '../../tables'
import { cellMark, splitBytes } from './split-bytes'

const encode = (text: string) => new TextEncoder().encode(text)
const decoder = new TextDecoder()

function rowsOf(text: string, atEnd = true): { rows: string[][]; used: number; irregular: boolean } {
  const bytes = encode(text)
  const { starts, ends, marks, hashes, rowEnds, rows, used, irregular } = splitBytes(bytes, 44, atEnd)
  const list = Array.from({ length: rows }, (_, r) =>
    Array.from({ length: (rowEnds[r] ?? 0) - (r === 0 ? 0 : (rowEnds[r - 1] ?? 0)) }, (_cell, i) => {
      const c = (r === 0 ? 0 : (rowEnds[r - 1] ?? 0)) + i
      const cell = decoder.decode(bytes.subarray(starts[c], ends[c]))
      if (marks[c] === 0) expect(cell).toMatch(/^[!-%'-~]+(?: [!-%'-~]+)*$/)
      const plain = marks[c] === cellMark.doubled ? cell.replaceAll('""', '"') : cell
      expect(hashes[c]).toBe(hashText(plain))
      return plain
    }),
  )
  return { rows: list, used, irregular }
}

test('the same cells as PapaParse, whatever they hold', () => {
  const cell = fc.string({ unit: fc.constantFrom('a', '"', ',', '\n', '\r', ' ', 'é', '鳥', '1') })
  const table = fc.array(fc.array(cell, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 6 })
  fc.assert(
    fc.property(table, fc.constantFrom('\n', '\r\n'), (rows, newline) => {
      const text = Papa.unparse(rows, { newline, quotes: true })
      const { rows: ours, used, irregular } = rowsOf(text)
      expect([ours, irregular]).toEqual([Papa.parse<string[]>(text, { newline }).data, false])
      expect(used).toBe(encode(text).length)
      // cut anywhere, what is left over begins a row
      const bytes = encode(text)
      const cut = Math.floor(bytes.length / 2)
      const part = splitBytes(bytes.subarray(0, cut), 44, false)
      const rest = splitBytes(bytes.subarray(part.used), 44, true)
      expect(part.rows + rest.rows).toBe(ours.length)
    }),
    { numRuns: 500 },
  )
})

test.each([
  [
    'a,b\n1,2',
    [
      ['a', 'b'],
      ['1', '2'],
    ],
  ],
  [
    'a,b\r\n1,\r\n',
    [
      ['a', 'b'],
      ['1', ''],
    ],
  ],
  ['a,', [['a', '']]],
  ['\n\na', [[''], [''], ['a']]],
  ['', []],
  ['"a",b\r\n', [['a', 'b']]],
  ['a\rb,c\n', [['a'], ['b', 'c']]],
  [
    'a,b\n1,2\r\n3,4\r5,6',
    [
      ['a', 'b'],
      ['1', '2'],
      ['3', '4'],
      ['5', '6'],
    ],
  ],
  ['"a"\r"b"\r\n"c"\n', [['a'], ['b'], ['c']]],
])('%j', (text, rows) => {
  expect(rowsOf(text)).toEqual({ rows, used: encode(text).length, irregular: false })
})

test('irregular quoting is told of, with the rows before it', () => {
  expect(rowsOf('a,b\n"x" y,2\n')).toMatchObject({ rows: [['a', 'b']], used: 4, irregular: true })
  expect(rowsOf('a\n"x')).toMatchObject({ rows: [['a']], irregular: true })
  expect(rowsOf('a\n"x', false)).toMatchObject({ rows: [['a']], used: 2, irregular: false })
})

test('line ends of three kinds in one text lose no row, wherever it is cut', () => {
  const ends = fc.constantFrom('\n', '\r\n', '\r')
  const row = fc.tuple(
    fc.array(fc.constantFrom('abc', '12.50', '"x, y"', '', 'é'), { minLength: 2, maxLength: 4 }),
    ends,
  )
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 9 }), fc.nat(), (rows, where) => {
      const text = rows.map(([cells, end]) => cells.join(',') + end).join('')
      expect(rowsOf(text).rows).toEqual(rows.map(([cells]) => cells.map((c) => c.replaceAll('"', ''))))
      const bytes = encode(text)
      const part = splitBytes(bytes.subarray(0, where % bytes.length), 44, false)
      const rest = splitBytes(bytes.subarray(part.used), 44, true)
      expect(part.rows + rest.rows).toBe(rows.length)
    }),
    { numRuns: 500 },
  )
})
