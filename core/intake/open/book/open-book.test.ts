import fc from 'fast-check'
import { strToU8, zipSync } from 'fflate'
import readBook from 'read-excel-file/universal'
import writeBook from 'write-excel-file/universal'
import { isoDay } from '../../../identity'
import { openFile } from '../open-file'
import type { Cell } from '../../../notation/cell'
import { isDayFormat } from './book-parts'

const sheet = (rows: string) =>
  `<?xml version="1.0"?><x:worksheet xmlns:x="m"><x:sheetData>${rows}</x:sheetData></x:worksheet>`
const bookOf = (rows: string, parts: Record<string, string> = {}) =>
  zipSync(
    Object.fromEntries(
      Object.entries({
        'xl/workbook.xml': '<workbook xmlns:r="r"><sheets><sheet name="S" sheetId="1" r:id="r9"/></sheets></workbook>',
        'xl/_rels/workbook.xml.rels':
          '<Relationships><Relationship Target="/xl/worksheets/s.xml" Id="r9"/></Relationships>',
        'xl/worksheets/s.xml': sheet(rows),
        ...parts,
      }).map(([name, text]) => [name, strToU8(text)]),
    ),
  )
const text = (place: string, t: string) => `<c r="${place}" t="inlineStr"><is><t>${t}</t></is></c>`
const heads = `<row r="1">${text('A1', 'Item ID')}${text('B1', 'Title')}${text('C1', 'Price')}</row>`
async function open(bytes: Uint8Array) {
  const file = await openFile(new File([bytes as Uint8Array<ArrayBuffer>], 'x.xlsx'))
  const rows: { row: number; cells: Cell[] }[] = []
  for await (const { batch } of file.rows()) rows.push(...batch)
  return { file, rows }
}

test('whatever a kept library writes is read as another kept library reads it', async () => {
  const cell = fc.oneof(
    fc.constant(null),
    fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 }),
    fc.boolean(),
    fc
      .stringMatching(/^[a-zA-Zäß鳥&<>"' ]{1,12}$/)
      .filter((s) => s.trim() === s && s !== '' && !(s in Object.prototype)),
    fc.integer({ min: 30_000, max: 60_000 }).map((n) => new Date((n - 25_569) * 86_400_000)),
  )
  const table = fc.array(fc.tuple(cell, cell, cell), { minLength: 3, maxLength: 12 })
  await fc.assert(
    fc.asyncProperty(table, async (rows) => {
      const data = [['Item ID', 'Title', 'Price', 'Seen'], ...rows.map((r, i) => [`id${i}`, ...r])]
      const written = data.map((r) =>
        r.map((value) => (value === null ? null : value instanceof Date ? { value, format: 'yyyy-mm-dd' } : { value })),
      )
      const blob = await writeBook(written as never, { sheet: 'S' }).toBlob()
      const bytes = new Uint8Array(await blob.arrayBuffer())
      const [theirs] = await readBook(bytes.buffer)
      const plain = (v: unknown) => (v instanceof Date ? isoDay(Math.round(v.getTime() / 86_400_000)) : v)
      const wanted = (theirs?.data.slice(1) ?? []).map((r) => r.map(plain))
      const { rows: ours } = await open(bytes)
      expect(ours.map((r) => Array.from({ length: 4 }, (_, i) => r.cells[i] ?? null))).toEqual(wanted)
    }),
    { numRuns: 60 },
  )
})

test('shared and inline texts, rich text without its readings, entities and escaped characters', async () => {
  const shared =
    '<sst><si><t>Bell &amp; Co</t></si><si><r><t>Rich</t></r><r><t xml:space="preserve"> text</t></r><rPh sb="0"><t>reading</t></rPh></si><si><t>a_x0041_b</t></si></sst>'
  const row = (n: number, b: string) =>
    `<row r="${n}"><c r="A${n}" t="str"><v>i${n}</v></c>${b}<c r="C${n}"><v>2</v></c></row>`
  const { rows } = await open(
    bookOf(
      `${heads}${row(2, '<c r="B2" t="s"><v>0</v></c>')}${row(3, '<c r="B3" t="s"><v>1</v></c>')}${row(4, '<c r="B4" t="s"><v>2</v></c>')}${row(5, text('B5', '&#65;&lt;&#x42;'))}`,
      { 'xl/sharedStrings.xml': shared },
    ),
  )
  expect(rows.map((r) => r.cells[1])).toEqual(['Bell & Co', 'Rich text', 'aAb', 'A<B'])
})

test('days by style, from 1900 and from 1904; times, figures out of range and errors stay what they are', async () => {
  const styles =
    '<styleSheet><numFmts><numFmt numFmtId="170" formatCode="[$-407]d. mmm yyyy"/></numFmts><cellStyleXfs><xf numFmtId="14"/></cellStyleXfs><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/><xf numFmtId="170"/><xf numFmtId="20"/></cellXfs></styleSheet>'
  const cells = (n: number, ...c: [string, string][]) =>
    `<row r="${n}">${text(`A${n}`, `i${n}`)}${c.map(([a, v], i) => `<c r="${'BCDEF'[i]}${n}" ${a}><v>${v}</v></c>`).join('')}</row>`
  const rows = `<row r="1">${['Item ID', 'B', 'C', 'D', 'E', 'F'].map((h, i) => text(`${'ABCDEF'[i]}1`, h)).join('')}</row>${cells(2, ['s="1"', '46173.75'], ['s="2"', '46173'], ['s="3"', '0.5'], ['s="1"', '1e15'], ['t="e"', '#N/A'])}${cells(3, ['s="0"', '46173'], ['s="9"', '7'], ['', '3'], ['t="b"', '1'], ['t="d"', '2026-05-31'])}`
  const { rows: got } = await open(bookOf(rows, { 'xl/styles.xml': styles }))
  expect(got.map((r) => r.cells.slice(1))).toEqual([
    ['2026-05-31', '2026-05-31', 0.5, 1e15, '#N/A'],
    [46173, 7, 3, true, '2026-05-31'],
  ])
  const mac = {
    'xl/workbook.xml':
      '<workbook xmlns:r="r"><workbookPr date1904="1"/><sheets><sheet name="S" r:id="r9"/></sheets></workbook>',
    'xl/styles.xml': styles,
  }
  expect((await open(bookOf(rows, mac))).rows[0]?.cells[1]).toBe('2030-06-01')
})

test('formulas without kept results are told of, and no row is lost by them', async () => {
  const rows = `${heads}<row r="2">${text('A2', 'a')}${text('B2', 't')}<c r="C2"><f>1+1</f><v>2</v></c></row><row r="3">${text('A3', 'b')}${text('B3', 'u')}<c r="C3"><f>C2*2</f></c></row>`
  const { file, rows: got } = await open(bookOf(rows))
  expect(got.map((r) => r.cells[2])).toEqual([2, '=C2*2'])
  expect(file.warnings?.[0]).toMatch(/1 cells of the first rows hold formulas whose results the file does not keep/)
})

test('rows keep their numbers over gaps; a cell far away is passed over and told of', async () => {
  const rows = `${heads}<row r="7">${text('A7', 'a')}${text('B7', 't')}<c r="C7"><v>2</v></c></row><row r="9000">${text('A9000', 'b')}${text('B9000', 'u')}<c r="C9000"><v>3</v></c>${text('XFD9000', 'far')}</row>`
  const { file, rows: got } = await open(bookOf(rows))
  expect(got.map((r) => [r.row, r.cells.length])).toEqual([
    [7, 3],
    [9000, 3],
  ])
  expect(file.warnings?.[0]).toMatch(/1 filled cells lie beyond column 400/)
})

test.each([
  ['yyyy-mm-dd', true],
  ['d. mmm', true],
  ['[Red]#,##0.00', false],
  ['0.00 "days"', false],
  ['hh:mm', false],
  ['mm/yy', true],
  ['General', false],
  ['\\d0', false],
])('%s is a day: %s', (code, is) => {
  expect(isDayFormat(code)).toBe(is)
})

test('of several sheets the one with the most cells is read, be it narrow and long or wide and short', async () => {
  const table = (columns: number, rows: number, name: string) =>
    Array.from({ length: rows }, (_, r) => {
      const cells = Array.from({ length: columns }, (_c, c) =>
        text(
          `${String.fromCharCode(65 + c)}${r + 1}`,
          r === 0 ? `${name} ${['id', 'title', 'price', 'units', 'rating'][c]}` : `v${r}${c}`,
        ),
      )
      return `<row r="${r + 1}">${cells.join('')}</row>`
    }).join('')
  const two = (first: string, second: string) =>
    zipSync(
      Object.fromEntries(
        Object.entries({
          'xl/workbook.xml':
            '<workbook xmlns:r="r"><sheets><sheet name="One" sheetId="1" r:id="r1"/><sheet name="Two" sheetId="2" r:id="r2"/></sheets></workbook>',
          'xl/_rels/workbook.xml.rels':
            '<Relationships><Relationship Target="worksheets/a.xml" Id="r1"/><Relationship Target="worksheets/b.xml" Id="r2"/></Relationships>',
          'xl/worksheets/a.xml': sheet(first),
          'xl/worksheets/b.xml': sheet(second),
        }).map(([name, content]) => [name, strToU8(content)]),
      ),
    )
  const chosen = async (first: string, second: string) => (await open(two(first, second))).file.sheet
  // 2 × 6 cells beside 5 × 4, 2 × 12 beside 5 × 4
  expect(await chosen(table(2, 6, 'a'), table(5, 4, 'b'))).toBe('Two')
  expect(await chosen(table(2, 12, 'a'), table(5, 4, 'b'))).toBe('One')
  expect(await chosen(table(5, 4, 'b'), table(2, 12, 'a'))).toBe('Two')
})
