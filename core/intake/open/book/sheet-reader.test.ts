import { isoDay } from '../../../identity'
import { limits } from '../opened-file'
import { SharedTexts } from './shared-texts'
import { SheetReader, unescaped, type SheetContext } from './sheet-reader'
import { XmlScanner } from './xml-scanner'

/** Style 1 dresses numbers as days; shared text 3 is 'three'. */
const context: SheetContext = {
  textAt: (i) => (i === 3 ? 'three' : ''),
  isDay: (style) => style === 1,
  from1904: false,
}

/** What a sheet of these rows comes to. */
function read(rows: string, more: Partial<SheetContext> = {}): SheetReader {
  const reader = new SheetReader({ ...context, ...more })
  const scanner = new XmlScanner(reader, 'x.xlsx')
  scanner.push(new TextEncoder().encode(`<sheetData>${rows}</sheetData>`))
  scanner.end()
  return reader
}
const cells = (row: string, more: Partial<SheetContext> = {}) => read(`<row>${row}</row>`, more).rows[0]?.cells
const cell = (attributes: string, value: string, more: Partial<SheetContext> = {}) =>
  cells(`<c ${attributes}><v>${value}</v></c>`, more)?.[0]

test('rows and cells that name no place follow the one before', () => {
  const { rows } = read(
    '<row><c><v>1</v></c><c><v>2</v></c></row><row r="5"><c r="C5"><v>3</v></c><c><v>4</v></c></row><row><c><v>5</v></c></row><row r="0"><c><v>6</v></c></row><row r="x"><c><v>7</v></c></row>',
  )
  expect(rows).toEqual([
    { row: 1, cells: [1, 2] },
    { row: 5, cells: [null, null, 3, 4] },
    { row: 6, cells: [5] },
    { row: 7, cells: [6] },
    { row: 8, cells: [7] },
  ])
})

test('rows and cells of which nothing is told make none', () => {
  expect(read('<row r="2"></row><row r="3"><c r="A3"/><c r="B3" s="1"/></row>').rows).toEqual([])
  expect(cells('<c r="A1"/><c r="B1"><v>4</v></c>')).toEqual([null, 4])
  // what stands nowhere is not read
  expect(read('<row><c r="12"><v>4</v></c></row>').rows).toEqual([])
})

test('columns by their letters, large and small: A, Z, AA, AZ, OJ', () => {
  const at = (place: string) => cells(`<c r="${place}"><v>1</v></c>`)?.length ?? 0
  expect(['A1', 'Z1', 'z1', 'AA1', 'AZ1', 'BA1', 'OJ1'].map(at)).toEqual([1, 26, 26, 27, 52, 53, 400])
})

test('cells beyond the 400th are counted, and not read', () => {
  const reader = read(
    '<row><c r="A1"><v>1</v></c><c r="OJ1"><v>2</v></c><c r="OK1"><v>3</v></c><c r="XFD1"><v>4</v></c></row>',
  )
  expect([reader.rows[0]?.cells.length, reader.beyond, reader.widest]).toEqual([limits.columns, 2, 4])
  expect(read('<row><c><v>1</v></c><c><v>2</v></c></row><row><c><v>1</v></c></row>').widest).toBe(2)
})

test('numbers, truths, texts and errors by their type', () => {
  expect(cell('', ' 2.5 ')).toBe(2.5)
  expect(cell('t="n"', '1e3')).toBe(1000)
  expect(cell('', '1e999')).toBe('1e999')
  expect(cell('', 'twelve')).toBe('twelve')
  expect(cells('<c><v> </v></c><c><v>2</v></c>')).toEqual([null, 2])
  expect(['1', ' true ', '0', 'false'].map((v) => cell('t="b"', v))).toEqual([true, true, false, false])
  expect(cell('t="s"', '3')).toBe('three')
  expect(cell('t="str"', 'a_x0041_b')).toBe('aAb')
  expect(cell('t="e"', '#DIV/0!')).toBe('#DIV/0!')
  expect(cell('t="d"', '2026-05-31')).toBe('2026-05-31')
  expect(
    cells('<c t="inlineStr"><is><r><t>Nest </t></r><r><t>box</t></r><rPh sb="0" eb="3"><t>reading</t></rPh></is></c>'),
  ).toEqual(['Nest box'])
})

test('days from March 1900 to the last day of 9999, where the style says so; a time of day adds nothing', () => {
  // Serial 61 is 1 March 1900: before it spreadsheets count a 29 February that never was. 2,958,465 is 31 December 9999 (ECMA-376, 18.17.4).
  expect(cell('s="1"', '61')).toBe('1900-03-01')
  expect(cell('s="1"', '60.9')).toBe(60.9)
  expect(cell('s="1"', '2958465.99')).toBe('9999-12-31')
  expect(cell('s="1"', '2958466')).toBe(2958466)
  expect(cell('s="1"', '45292.5')).toBe('2024-01-01')
  expect(cell('s="2"', '45292')).toBe(45292)
  expect(cell('', '45292', { isDay: (style) => style === -1 })).toBe('2024-01-01')
  // from 1904 days are numbered 1,462 lower
  expect(cell('s="1"', '43830', { from1904: true })).toBe('2024-01-01')
  expect(isoDay(45292 - 25_569)).toBe('2024-01-01')
})

test('a formula whose result is not kept stands as it is written, cut after eighty letters', () => {
  const reader = read(
    `<row><c><f>A1+${'1'.repeat(100)}</f></c><c><f>B1*2</f><v>6</v></c><c><f t="shared" si="0"/></c></row>`,
  )
  expect(reader.rows[0]?.cells).toEqual([`=A1+${'1'.repeat(77)}`, 6, '='])
  expect(reader.unkept).toBe(2)
  // the next cell knows nothing of it
  expect(read('<row><c><f>A1</f></c><c/></row>').unkept).toBe(1)
})

test('a cell holds 32,767 characters, in however many pieces they come', () => {
  const long = 'a'.repeat(20_000)
  const value = cells(`<c t="inlineStr"><is><r><t>${long}</t></r><r><t>${long}</t></r><r><t>more</t></r></is></c>`)?.[0]
  expect(String(value)).toHaveLength(32_767)
})

test('what XML cannot hold is written by its number', () => {
  expect(unescaped('a_x000D_b_x00e9_')).toBe('a\rbé')
  expect(unescaped('a_xZZZZ_b_x41_')).toBe('a_xZZZZ_b_x41_')
})

describe('texts that cells share', () => {
  const shared = (xml: string) => {
    const texts = new SharedTexts('big.xlsx')
    const scanner = new XmlScanner(texts, 'big.xlsx')
    scanner.push(new TextEncoder().encode(`<sst>${xml}</sst>`))
    scanner.end()
    return texts
  }

  test('are numbered as they stand, with nothing of one in the next', () => {
    expect(
      shared(
        '<si><t>one</t></si><si/><si><r><t>t</t></r><r><t>wo</t></r></si><si><t>three</t><rPh><t>read</t></rPh></si><si><t>4</t></si>',
      ).texts,
    ).toEqual(['one', '', 'two', 'three', '4'])
    expect(shared(`<si><t>${'a'.repeat(40_000)}</t></si>`).texts[0]).toHaveLength(32_767)
  })

  test('are refused beyond 220 million characters, each counting for sixteen more', () => {
    const texts = new SharedTexts('big.xlsx')
    const one = () => {
      texts.open('si')
      texts.text('a'.repeat(32_751))
      texts.close('si')
    }
    // 32,751 and 16 are 32,767: 6,714 of them are 219,997,638 characters, and one more is too many
    for (let i = 0; i < 6714; i++) one()
    expect(one).toThrow(
      expect.objectContaining({
        code: 'file-too-large',
        details: { file: 'big.xlsx', megabytes: 221, kind: 'spreadsheet text', limit: 220 },
      }) as Error,
    )
  })
})

test('how a text is read aloud is no part of it, nor does it silence the next', () => {
  const read = '<rPh sb="0" eb="3"><t>reading</t></rPh>'
  const inline = (inner: string) => `<c t="inlineStr"><is>${inner}</is></c>`
  expect(cells(inline(`<r><t>Nest</t></r>${read}<r><t> box</t></r>`) + inline('<t>Bath</t>'))).toEqual([
    'Nest box',
    'Bath',
  ])
})
