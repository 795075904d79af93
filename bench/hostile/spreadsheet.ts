import { strToU8, zipSync } from 'fflate'

const head = '<?xml version="1.0" encoding="UTF-8"?>'
const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main'
const relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'

/** A workbook of one sheet from the sheet's XML. */
export function bookOf(sheet: string | Uint8Array, parts: Record<string, string | Uint8Array> = {}): Uint8Array {
  const bytes = (part: string | Uint8Array) => (typeof part === 'string' ? strToU8(part) : part)
  return zipSync(
    Object.fromEntries(
      Object.entries({
        'xl/workbook.xml': `${head}<workbook xmlns="${main}" xmlns:r="${relations}"><sheets><sheet name="S" sheetId="1" r:id="r1"/></sheets></workbook>`,
        'xl/_rels/workbook.xml.rels': `${head}<Relationships><Relationship Id="r1" Target="worksheets/sheet1.xml"/></Relationships>`,
        'xl/worksheets/sheet1.xml': sheet,
        ...parts,
      }).map(([name, part]) => [name, bytes(part)]),
    ),
    { level: 6 },
  )
}

export const sheetOf = (rows: string) => `${head}<worksheet xmlns="${main}"><sheetData>${rows}</sheetData></worksheet>`
const inline = (place: string, text: string) => `<c r="${place}" t="inlineStr"><is><t>${text}</t></is></c>`
const headings = `<row r="1">${inline('A1', 'Item ID')}${inline('B1', 'Title')}${inline('C1', 'Price (EUR)')}</row>`
const row = (n: number) =>
  `<row r="${n}">${inline(`A${n}`, `A${n}`)}${inline(`B${n}`, `Bell ${n}`)}<c r="C${n}"><v>${n % 90}.5</v></c></row>`
const rows = (n: number) => Array.from({ length: n }, (_, i) => row(i + 2)).join('')
const empty = (n: number) => {
  const line = strToU8('<row r="9"/>')
  const out = new Uint8Array(line.length * n)
  for (let i = 0; i < n; i++) out.set(line, i * line.length)
  return out
}
const around = (before: string, middle: Uint8Array, after: string) => {
  const [a, b] = [strToU8(before), strToU8(after)]
  const out = new Uint8Array(a.length + middle.length + b.length)
  out.set(a)
  out.set(middle, a.length)
  out.set(b, a.length + middle.length)
  return out
}
const letters = (n: number, letter = 97) => new Uint8Array(n).fill(letter)

/** Spreadsheets that are larger, deeper or odder than they look. */
export function hostileBooks(random: () => number): [string, Uint8Array][] {
  const n = 3 + Math.floor(random() * 200)
  return [...oversizedBooks(n), ...oddBooks(n), ['three-hundred-sheets', manySheets(300)]]
}

function oversizedBooks(n: number): [string, Uint8Array][] {
  const shared = (middle: Uint8Array) => around(`${head}<sst><si><t>`, middle, '</t></si><si><t>b</t></si></sst>')
  return [
    ['far-cell', bookOf(sheetOf(`${headings}${rows(n)}<row r="1048576">${inline('XFD1048576', 'far')}</row>`))],
    ['only-a-far-cell', bookOf(sheetOf(`<row r="1048576">${inline('XFD1048576', 'far')}</row>`))],
    [
      'shared-text-of-100-mb',
      bookOf(
        sheetOf(
          `${headings}${rows(n)}<row r="900"><c r="A900" t="s"><v>0</v></c><c r="B900" t="s"><v>1</v></c><c r="C900"><v>2</v></c></row>`,
        ),
        { 'xl/sharedStrings.xml': shared(letters(100_000_000)) },
      ),
    ],
    [
      'million-empty-rows',
      bookOf(
        around(
          sheetOf(headings).replace('</sheetData></worksheet>', ''),
          empty(1_000_000),
          `${rows(n)}</sheetData></worksheet>`,
        ),
      ),
    ],
    [
      'attribute-of-10-mb',
      bookOf(
        around(
          sheetOf(headings).replace('</sheetData></worksheet>', '<row r="'),
          letters(10_000_000, 49),
          '"></row></sheetData></worksheet>',
        ),
      ),
    ],
    [
      'nested-100000-deep',
      bookOf(`${head}<worksheet><sheetData>${'<a>'.repeat(100_000)}${'</a>'.repeat(100_000)}</sheetData></worksheet>`),
    ],
    [
      'entities-that-multiply',
      bookOf(
        `<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><worksheet><sheetData>${headings}</sheetData></worksheet>`,
      ),
    ],
    [
      'cdata-without-end',
      bookOf(around(`${head}<worksheet><sheetData><row><c t="inlineStr"><is><t><![CDATA[`, letters(20_000_000), '')),
    ],
    ['comment-without-end', bookOf(around(`${head}<worksheet><!--`, letters(20_000_000), ''))],
    [
      'sixteen-thousand-columns',
      bookOf(
        sheetOf(
          `<row r="1">${Array.from({ length: 16_384 }, (_, i) => `<c><v>${i}</v></c>`).join('')}</row>`.repeat(20),
        ),
      ),
    ],
    ['sheet-of-zeros', bookOf(new Uint8Array(200_000_000))],
  ]
}

function oddBooks(n: number): [string, Uint8Array][] {
  return [
    [
      'day-of-1e15',
      bookOf(
        sheetOf(
          `${headings}${rows(n)}<row r="700">${inline('A700', 'x')}${inline('B700', 'y')}<c r="C700" s="1"><v>1e15</v></c></row>`,
        ),
        { 'xl/styles.xml': `${head}<styleSheet><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/></cellXfs></styleSheet>` },
      ),
    ],
    [
      'no-sheet-behind-its-name',
      zipSync({
        'xl/workbook.xml': strToU8(`${head}<workbook><sheets><sheet name="S" r:id="r1"/></sheets></workbook>`),
      }),
    ],
    [
      'cells-without-places',
      bookOf(
        sheetOf(
          `<row>${inline('A1', 'Item ID').replace(' r="A1"', '')}${inline('B1', 'Title').replace(' r="B1"', '')}</row>${'<row><c><v>1</v></c><c><v>2</v></c></row>'.repeat(n)}`,
        ),
      ),
    ],
    [
      'odd-places',
      bookOf(
        sheetOf(
          `${headings}<row r="-4"><c r="ZZZZZZ9"><v>1</v></c><c r="9A"><v>3</v></c><c r=""><v>1e999</v></c></row>${rows(n)}`,
        ),
      ),
    ],
    [
      'formulas-without-results',
      bookOf(
        sheetOf(
          `${headings}${rows(n)}${Array.from({ length: 30 }, (_, i) => `<row r="${900 + i}">${inline(`A${900 + i}`, `f${i}`)}${inline(`B${900 + i}`, 'f')}<c r="C${900 + i}"><f>A1*2</f></c></row>`).join('')}`,
        ),
      ),
    ],
    [
      'entities-in-numbers',
      bookOf(
        sheetOf(
          `${headings}<row r="2">${inline('A2', '&#x110000;&#0;&amp&;&lt;')}${inline('B2', '_x0000__xFFFF_')}<c r="C2"><v>&#49;2</v></c></row>`,
        ),
      ),
    ],
  ]
}

function manySheets(n: number): Uint8Array {
  const names = Array.from({ length: n }, (_, i) => i + 1)
  return bookOf(sheetOf(headings), {
    'xl/workbook.xml': `${head}<workbook>${names.map((i) => `<sheet name="S${i}" r:id="r${i}"/>`).join('')}</workbook>`,
    'xl/_rels/workbook.xml.rels': `${head}<Relationships>${names.map((i) => `<Relationship Id="r${i}" Target="worksheets/sheet${i}.xml"/>`).join('')}</Relationships>`,
    ...Object.fromEntries(names.map((i) => [`xl/worksheets/sheet${i}.xml`, sheetOf(headings + rows(40))])),
  })
}
