import { unpackEntry, type ZipEntry } from '../../../archive'
import { Problem } from '../../../problem'
import type { FileSource } from '../opened-file'
import { XmlScanner, type XmlTag } from './xml-scanner'

export interface Sheet {
  name: string
  entry: ZipEntry
}

export interface BookParts {
  sheets: Sheet[]
  texts: ZipEntry | null
  isDay: (style: number) => boolean
  from1904: boolean
}

/** That a spreadsheet is damaged, and how. */
export const bookDamaged =
  ({ name }: { name: string }) =>
  (reason: string) =>
    new Problem('file-xlsx-broken', { file: name, reason })

const mostSheets = 256
/** the parts that say what is where are small */
const mostPart = 16_000_000

/** What a workbook says of itself: its sheets, where their texts are, which styles dress numbers as days (ECMA-376, part 1, 18.2 and 18.8). */
export async function bookParts(
  file: FileSource,
  entries: ReadonlyMap<string, ZipEntry>,
  signal?: AbortSignal,
): Promise<BookParts> {
  const workbook = [...entries.keys()].find((n) => /^xl\/workbook\d*\.xml$/i.test(n))
  if (!workbook) throw new Problem('file-xlsx-broken', { file: file.name, reason: 'it holds no workbook' })
  const targets = new Map<string, string>()
  const each = (name: string, onOpen: (element: string, tag: XmlTag) => void) =>
    openTags(file, entries.get(name), onOpen, signal)
  await each(relsOf(workbook), (element, tag) => {
    if (element === 'Relationship') targets.set(tag.attribute('Id') ?? '', tag.attribute('Target') ?? '')
  })
  const sheets: Sheet[] = []
  let from1904 = false
  await each(workbook, (element, tag) => {
    if (element === 'workbookPr') from1904 = /^(?:1|true)$/.test(tag.attribute('date1904') ?? '')
    if (element !== 'sheet' || sheets.length >= mostSheets) return
    const target = targets.get(idOf(tag)) ?? `worksheets/sheet${sheets.length + 1}.xml`
    const entry = entries.get(target.startsWith('/') ? target.slice(1) : `xl/${target.replace(/^\.\//, '')}`)
    if (entry) sheets.push({ name: tag.attribute('name') ?? `Sheet ${sheets.length + 1}`, entry })
  })
  return { sheets, texts: entries.get('xl/sharedStrings.xml') ?? null, isDay: await dayStyles(each), from1904 }
}

/** Where the relations of a part stand: 'xl/workbook.xml' → 'xl/_rels/workbook.xml.rels'. */
function relsOf(part: string): string {
  const at = part.lastIndexOf('/') + 1
  return `${part.slice(0, at)}_rels/${part.slice(at)}.rels`
}

/** `r:id`: `sheetId` also ends in "id", so the attribute's whole name is asked for. */
function idOf(tag: XmlTag): string {
  return tag.attribute('id') ?? ''
}

type Each = (name: string, onOpen: (element: string, tag: XmlTag) => void) => Promise<void>

async function dayStyles(each: Each): Promise<(style: number) => boolean> {
  const own = new Map<number, boolean>()
  const styles: boolean[] = []
  let inCells = false
  await each('xl/styles.xml', (element, tag) => {
    if (element === 'numFmt') own.set(Number(tag.attribute('numFmtId')), isDayFormat(tag.attribute('formatCode') ?? ''))
    else if (element === 'cellXfs') inCells = true
    else if (element === 'cellStyles' || element === 'dxfs') inCells = false
    else if (element === 'xf' && inCells && styles.length < 100_000) {
      const format = Number(tag.attribute('numFmtId'))
      styles.push(own.get(format) ?? isBuiltInDay(format))
    }
  })
  return (style) => styles[style] ?? false
}

/** Number formats that every spreadsheet knows (18.8.30), in all their languages; times alone are no days. */
function isBuiltInDay(format: number): boolean {
  return (
    (format >= 14 && format <= 17) ||
    format === 22 ||
    (format >= 27 && format <= 31) ||
    (format >= 50 && format <= 58) ||
    format === 36
  )
}

/** Does a format write a day? Quoted texts, colours and escaped letters do not count. */
export function isDayFormat(code: string): boolean {
  const bare = code.slice(0, 300).replace(/"[^"]{0,300}"|\[[^\]]{0,300}\]|\\./g, '')
  return /[dy]/i.test(bare) || /m[/.-]|[/.-]m/i.test(bare)
}

async function openTags(
  file: FileSource,
  entry: ZipEntry | undefined,
  onOpen: (element: string, tag: XmlTag) => void,
  signal?: AbortSignal,
): Promise<void> {
  if (!entry) return
  const scanner = new XmlScanner(
    { open: onOpen, close: () => undefined, text: () => undefined, wantsText: false },
    file.name,
  )
  let size = 0
  for await (const { bytes } of unpackEntry(file, entry, bookDamaged(file), signal)) {
    size += bytes.length
    if (size > mostPart)
      throw new Problem('file-xlsx-broken', { file: file.name, reason: `${entry.name} is larger than any such part` })
    scanner.push(bytes)
  }
  scanner.end()
}
