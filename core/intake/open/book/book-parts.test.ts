import { strToU8, zipSync } from 'fflate'
import { zipEntries } from '../../../archive'
import { bookDamaged, bookParts, isDayFormat } from './book-parts'

const plain = {
  'xl/workbook.xml': '<workbook><sheets><sheet name="S" r:id="r1"/></sheets></workbook>',
  'xl/_rels/workbook.xml.rels': '<Relationships><Relationship Id="r1" Target="worksheets/sheet1.xml"/></Relationships>',
  'xl/worksheets/sheet1.xml': '<worksheet/>',
}
async function partsOf(parts: Record<string, string>) {
  const bytes = zipSync(Object.fromEntries(Object.entries(parts).map(([name, text]) => [name, strToU8(text)])))
  const file = new File([bytes], 'x.xlsx')
  return bookParts(file, await zipEntries(file, bookDamaged(file)))
}

/** Which of the numbers 0 to 69, as formats of styles 0 to 69, dress a number as a day. */
async function builtInDays(): Promise<number[]> {
  const xfs = Array.from({ length: 70 }, (_, format) => `<xf numFmtId="${format}"/>`).join('')
  const { isDay } = await partsOf({ ...plain, 'xl/styles.xml': `<styleSheet><cellXfs>${xfs}</cellXfs></styleSheet>` })
  return Array.from({ length: 70 }, (_, i) => i).filter(isDay)
}

test('formats that every spreadsheet knows as days, and no times (ECMA-376, part 1, 18.8.30)', async () => {
  // 18–21 and 45–47 are times alone, and so are 32–35 in Chinese, Japanese and Korean books
  expect(await builtInDays()).toEqual([14, 15, 16, 17, 22, 27, 28, 29, 30, 31, 36, 50, 51, 52, 53, 54, 55, 56, 57, 58])
})

test('an own format stands over one that is known; styles of cells alone count', async () => {
  const styles =
    '<styleSheet><numFmts><numFmt numFmtId="14" formatCode="0.00"/><numFmt numFmtId="164" formatCode="dd.mm.yy"/></numFmts><cellStyleXfs><xf numFmtId="164"/><xf numFmtId="164"/></cellStyleXfs><cellXfs><xf numFmtId="14"/><xf numFmtId="164"/></cellXfs><cellStyles/><xf numFmtId="164"/><dxfs><xf numFmtId="164"/></dxfs></styleSheet>'
  const { isDay } = await partsOf({ ...plain, 'xl/styles.xml': styles })
  expect([-1, 0, 1, 2, 3].map(isDay)).toEqual([false, false, true, false, false])
  const late = styles.replace('<cellStyles/>', '').replace('<xf numFmtId="164"/><dxfs>', '<dxfs>')
  expect((await partsOf({ ...plain, 'xl/styles.xml': late })).isDay(2)).toBe(false)
})

test('a day has a day or a year, or a month beside a mark; what is quoted, coloured or escaped counts for nothing', () => {
  const days = ['yyyy', 'd', 'MM/DD', 'mmm-yy', 'm.', '-m', 'm-', '/m', '[$-409]d', '"day" d']
  const none = ['m', 'mm:ss', 'h:mm AM/PM;@'.slice(0, 4), '0 "yd"', '[Red]0', '\\y0', '@', '0.00E+00', '']
  expect(days.filter((c) => !isDayFormat(c))).toEqual([])
  expect(none.filter(isDayFormat)).toEqual([])
  expect(isDayFormat(`${'0'.repeat(300)}d`)).toBe(false)
  expect(isDayFormat(`${'0'.repeat(299)}d`)).toBe(true)
})

test('sheets stand where their relation says: beside the book, below the root, or by their number', async () => {
  const book = (sheets: string) => `<workbook><workbookPr/><sheets>${sheets}</sheets></workbook>`
  const rels = (list: [string, string][]) =>
    `<Relationships>${list.map(([id, to]) => `<Relationship Id="${id}" Target="${to}"/>`).join('')}</Relationships>`
  const found = await partsOf({
    'xl/workbook2.xml': book(
      '<sheet name="A" sheetId="9" r:id="a"/><sheet name="B" r:id="b"/><sheet r:id="c"/><sheet name="gone" r:id="d"/><sheet name="E" r:id="none"/>',
    ),
    'xl/_rels/workbook2.xml.rels': rels([
      ['a', './sheets/one.xml'],
      ['b', '/elsewhere/two.xml'],
      ['c', 'sheets/three.xml'],
      ['d', 'sheets/gone.xml'],
    ]),
    'xl/sheets/one.xml': '<a/>',
    'elsewhere/two.xml': '<a/>',
    'xl/sheets/three.xml': '<a/>',
    'xl/worksheets/sheet4.xml': '<a/>',
    'xl/sharedStrings.xml': '<sst/>',
  })
  expect(found.sheets.map(({ name, entry }) => [name, entry.name])).toEqual([
    ['A', 'xl/sheets/one.xml'],
    ['B', 'elsewhere/two.xml'],
    ['Sheet 3', 'xl/sheets/three.xml'],
    ['E', 'xl/worksheets/sheet4.xml'],
  ])
  expect([found.texts?.name, found.from1904]).toEqual(['xl/sharedStrings.xml', false])
})

test.each([
  ['1', true],
  ['true', true],
  ['0', false],
  ['false', false],
])('days from 1904 where the book says %s: %s', async (said, is) => {
  const book = plain['xl/workbook.xml'].replace('<sheets>', `<workbookPr date1904="${said}"/><sheets>`)
  const { from1904, texts } = await partsOf({ ...plain, 'xl/workbook.xml': book })
  expect([from1904, texts]).toEqual([is, null])
})

test('256 sheets are looked for, and no more', async () => {
  const sheets = Array.from({ length: 258 }, (_, i) => `<sheet name="${i}" r:id="r1"/>`).join('')
  const book = `<workbook><sheets>${sheets}</sheets></workbook>`
  expect((await partsOf({ ...plain, 'xl/workbook.xml': book })).sheets).toHaveLength(256)
})

test('no workbook, or a part of styles larger than any: damaged, and why', async () => {
  await expect(partsOf({ 'xl/other.xml': '<a/>' })).rejects.toMatchObject({
    code: 'file-xlsx-broken',
    details: { file: 'x.xlsx', reason: 'it holds no workbook' },
  })
  const styles = (bytes: number) => ({ ...plain, 'xl/styles.xml': `<s>${' '.repeat(bytes - 7)}</s>` })
  await expect(partsOf(styles(16_000_001))).rejects.toMatchObject({
    details: { reason: 'xl/styles.xml is larger than any such part' },
  })
  expect((await partsOf(styles(16_000_000))).sheets).toHaveLength(1)
})
