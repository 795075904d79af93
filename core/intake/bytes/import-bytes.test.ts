import { numbers, textIn, textColumn } from '../../tables'
import type { Mapping } from '../mapping'
import { ByteImporter, isForBytes } from './import-bytes'
import { splitBytes } from './split-bytes'

const fields = ['id', 'title', 'price', 'units', 'rating', 'growth', 'listedOn', 'gtin'] as const
const mappingOf = (names: readonly string[] = fields, more: Partial<Mapping> = {}): Mapping => ({
  kind: 'listings',
  columns: names.map((field) => (field === '' ? { as: 'unused' } : { as: 'field', field })),
  styles: names.map(() => ({})),
  number: { decimal: '.', group: ',' },
  order: 'dmy',
  market: 'Marrowgate',
  supplier: null,
  currency: 'EUR',
  capturedOn: 20_604,
  windowDays: 30,
  latestDay: null,
  ...more,
})

/** Rows read from their bytes, those before `skip` left out: what was taken, and which rows were looked at cell by cell. */
function read(lines: readonly string[], { mapping = mappingOf(), skip = 0, firstRow = 1 } = {}) {
  const looked: { row: number; cells: unknown[]; before: number | null }[] = []
  const days: number[] = []
  const importer = new ByteImporter(
    mapping,
    (row, cells, isRepeatOf) => looked.push({ row, cells, before: isRepeatOf() }),
    (day) => days.push(day),
  )
  const bytes = new TextEncoder().encode(lines.map((line) => `${line}\n`).join(''))
  const taken = importer.take({ bytes, edges: splitBytes(bytes, 44, true), firstRow }, skip)
  const rows = () => {
    const table = importer.finish()
    return { table, ids: Array.from({ length: table.rows }, (_, i) => textIn(table, 'id', i)) }
  }
  return { taken, looked, days, rows, importer }
}
const first = 'A-0000001,Hanging bird bath,24.00,15,4.8,0.25,2026-05-01,4006381333931'
const second = 'A-0000002,Balcony hook,"12.90",3,5,-0.5,2026-04-30,'

test('plain rows are taken as they stand, none is looked at cell by cell', () => {
  const lines = [first, second, 'A-3,Tidy,1,0,0,0,2025-12-31,']
  const { taken, looked, rows } = read(lines)
  expect([taken, looked]).toEqual([3, []])
  const { table, ids } = rows()
  expect(ids).toEqual(['A-0000001', 'A-0000002', 'A-3'])
  const figures = ['price', 'units', 'rating', 'growth', 'listedOn'].map((name) => [...numbers(table, name)])
  expect(figures).toEqual([
    [240_000, 129_000, 10_000],
    [15, 3, 0],
    [4.8, 5, 0],
    [0.25, -0.5, 0],
    [20_574, 20_573, 20_453],
  ])
  expect([...textColumn(table, 'market').codes]).toEqual([0, 0, 0])
  expect([textIn(table, 'market', 2), textIn(table, 'currency', 0), textIn(table, 'gtin', 1)]).toEqual([
    'Marrowgate',
    'EUR',
    null,
  ])
})

/** rows that differ from a plain one in one cell */
const other = (place: number, cell: string) =>
  first
    .split(',')
    .map((c, at) => (at === place ? cell : c))
    .join(',')

test.each([
  ['no number', other(0, '')],
  ['no title', other(1, '')],
  ['no price', other(2, '')],
  ['a price of nothing', other(2, '0')],
  ['a price below nothing', other(2, '-1')],
  ['half a unit', other(3, '2.5')],
  ['a rating over five', other(4, '5.1')],
  ['a word where a figure belongs', other(3, 'many')],
  ['no day', other(6, 'soon')],
  ['a line of totals', 'Total,,100.00,40,,,,'],
  ['doubled quotes', other(1, '"Bath ""blue"""')],
  ['wide figures', other(3, '１２')],
  ['a cell too few', 'A-9'],
])('a closer look at: %s', (_what, line) => {
  const { taken, looked, rows } = read([second, line, 'A-3,Tidy,1,0,0,0,2025-12-31,'])
  expect([taken, looked.map((l) => l.row)]).toEqual([2, [2]])
  expect(rows().ids).toEqual(['A-0000002', 'A-3'])
})

test.each([
  ['an amount with its thousands', other(2, '"1,234.50"'), 'price', 12_345_000],
  ['eleven digits', other(2, '1234567.1234'), 'price', 12_345_671_234],
  ['more digits', other(2, '12345678.1234'), 'price', 123_456_781_234],
  ['units with a point and nothing', other(3, '15.0'), 'units', 15],
  ['a rating of five', other(4, '5'), 'rating', 5],
  ['a share of percent', other(5, '25 %'), 'growth', 0.25],
  ['five decimals', other(2, '1.00005'), 'price', 10_001],
  ['an amount with its sign', other(2, '€24.00'), 'price', 240_000],
])('as it stands: %s', (_what, line, name, value) => {
  const { taken, looked, rows } = read([line, line.replace('A-0000001', 'A-0000009')])
  expect([taken, looked]).toEqual([2, []])
  expect([...numbers(rows().table, name)]).toEqual([value, value])
})

test('a disarmed formula is armed again, and is a word of its own', () => {
  const { taken, rows } = read([other(1, "'=1+1 and more"), other(1, '=1+1 and more').replace('A-0000001', 'B')])
  expect(taken).toBe(2)
  const { table } = rows()
  expect([textIn(table, 'title', 0), textIn(table, 'title', 1)]).toEqual(['=1+1 and more', '=1+1 and more'])
})

test('a row that says what an earlier one said is looked at, and of which it is told', () => {
  const { taken, looked } = read([first, second, first, other(3, '16')], { firstRow: 11 })
  expect(taken).toBe(3)
  expect(looked).toEqual([{ row: 13, cells: first.split(','), before: 11 }])
})

test('what lies above the table is left out', () => {
  const { taken, looked, rows } = read(['Item,Title,Price,Units,Rating,Change,Listed,EAN', first, second], { skip: 1 })
  expect([taken, looked]).toEqual([2, []])
  expect(rows().ids).toEqual(['A-0000001', 'A-0000002'])
})

test('a column that is not read neither counts nor tells rows apart', () => {
  const mapping = mappingOf(['id', '', 'title', 'price'])
  const { taken, looked } = read(['A,x,Bird bath,2.00', 'B,=1,Bird bath,2.00', 'A,"y""",Bird bath,2.00'], { mapping })
  expect([taken, looked.map((l) => [l.row, l.before])]).toEqual([2, [[3, 1]]])
})

test('where the file says the currency by row, an amount with its own has the last word', () => {
  const mapping = mappingOf(['id', 'title', 'price', 'currency'], { currency: null })
  const { looked, taken } = read(['A,Bath,2.00,EUR', 'B,Bath,£3.00,EUR', 'C,Bath,4.00,'], { mapping })
  expect([taken, looked.map((l) => l.row)]).toEqual([2, [2]])
  const plain = read(['A,Bath,2.00,USD', 'B,Bath,£3.00,', 'C,Bath,4.00,'], {
    mapping: mappingOf(['id', 'title', 'price']),
  })
  const { table } = plain.rows()
  expect(Array.from({ length: table.rows }, (_, i) => textIn(table, 'currency', i))).toEqual(['EUR', 'GBP', 'EUR'])
})

test('days are told of the rows that are taken', () => {
  const mapping = mappingOf(['id', 'day', 'units'], { kind: 'sales' })
  const { taken, looked, days } = read(['A,2026-05-01,3', 'B,soon,3', 'C,2026-05-03,0'], { mapping })
  expect([taken, looked.map((l) => l.row), days]).toEqual([2, [2], [20_574, 20_576]])
})

test('words of rows that were not taken are in no table, and the next table begins empty', () => {
  const { rows, importer } = read([first, 'A-0000007,Nobody takes this,0,1,1,1,2026-05-01,', second])
  const { table } = rows()
  expect(
    Array.from({ length: textColumn(table, 'title').words.length }, (_, i) => textColumn(table, 'title').words.at(i)),
  ).toEqual(['Hanging bird bath', 'Balcony hook'])
  expect(importer.finish()).toEqual({ rows: 0, columns: {} })
})

test('more rows than there is room for at first, in several blocks', () => {
  const line = (i: number) => `A-${1_000_000 + i},Bird bath number ${i % 700},${(i % 90) + 1}.50,${i % 7},,,,`
  const [blocks, each] = [3, 1500]
  const importer = new ByteImporter(
    mappingOf(),
    (row) => expect(row).toBe(0),
    () => undefined,
  )
  for (let b = 0; b < blocks; b++) {
    const bytes = new TextEncoder().encode(Array.from({ length: each }, (_, i) => `${line(b * each + i)}\n`).join(''))
    expect(importer.take({ bytes, edges: splitBytes(bytes, 44, true), firstRow: b * each + 1 }, 0)).toBe(each)
  }
  const table = importer.finish()
  expect(table.rows).toBe(blocks * each)
  for (const i of [0, 1, 699, 700, 1499, 1500, 2999, 4499])
    expect([
      textIn(table, 'id', i),
      textIn(table, 'title', i),
      numbers(table, 'price')[i],
      numbers(table, 'units')[i],
    ]).toEqual([`A-${1_000_000 + i}`, `Bird bath number ${i % 700}`, ((i % 90) + 1.5) * 10_000, i % 7])
})

test('a file is read from its bytes where each cell is a field: no offers with their steps, no days across a row', () => {
  expect(isForBytes(mappingOf(['id', '', 'title']))).toBe(true)
  expect(isForBytes(mappingOf(['id', 'title'], { kind: 'offers' }))).toBe(false)
  const across = mappingOf(['id'])
  expect(isForBytes({ ...across, columns: [...across.columns, { as: 'day', day: 20_600 }] })).toBe(false)
})
