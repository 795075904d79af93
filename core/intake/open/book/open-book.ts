import { unpackEntry, zipEntries } from '../../../archive'
import { Problem } from '../../../problem'
import { findHeading, type FoundHeading } from '../find-heading'
import { isBlank, type Cell } from '../../../notation'
import { limits, type FileSource, type NumberedRow, type OpenedFile, type OpenOptions } from '../opened-file'
import { bookDamaged, bookParts, type BookParts, type Sheet } from './book-parts'
import { SharedTexts } from './shared-texts'
import { SheetReader } from './sheet-reader'
import { XmlScanner } from './xml-scanner'

/** sheets of a book that are looked at for the fullest table */
const mostLooked = 24
/** a shared text that is not read yet stands as this mark and its number */
const pending = '\u0001shared:'

interface Looked {
  sheet: Sheet
  heading: FoundHeading
  /** row numbers may leap, so heading and rows are told apart by place */
  rows: NumberedRow[]
  beyond: number
  unkept: number
}

/**
 * Opens a spreadsheet (Office Open XML, ECMA-376). Only the first rows are read, and only as many shared texts as they name; the rest
 * is unpacked piece by piece when the rows are asked for.
 *
 * @throws Problem 'file-xlsx-broken', 'file-too-large', 'file-no-table', 'file-wide', 'cancelled'
 */
export async function openBook(
  file: FileSource,
  wanted: string | null,
  { signal, onProgress }: OpenOptions = {},
): Promise<OpenedFile> {
  const parts = await bookParts(file, await zipEntries(file, bookDamaged(file)), signal)
  const looked: Looked[] = []
  const some = parts.sheets.slice(0, mostLooked)
  for (const [i, sheet] of some.entries()) {
    const rows = await firstRows(file, parts, sheet, signal)
    const heading = findHeading(rows.rows.map((r) => r.cells))
    if (heading) looked.push({ sheet, heading, ...rows })
    onProgress?.((i + 1) / some.length)
  }
  const chosen = looked.find((l) => l.sheet.name === wanted) ?? fullest(looked)
  if (!chosen) throw new Problem('file-no-table', { file: file.name })
  const [sample, first] = sampleOf(chosen)
  return {
    name: file.name,
    format: 'xlsx',
    encoding: null,
    delimiter: null,
    sheet: chosen.sheet.name,
    sheets: looked.map((l) => l.sheet.name),
    notes: chosen.heading.notes,
    headings: chosen.heading.headings,
    warnings: warningsOf(chosen),
    sample,
    rows: (stop) => allRows(file, parts, chosen.sheet, first, stop),
  }
}

/** Its first rows and the number of the first one under the heading. */
function sampleOf({ rows, heading }: Looked): [NumberedRow[], number] {
  const under = rows.slice(heading.at + 1).filter(({ cells }) => !cells.every(isBlank))
  const above = rows[heading.at]
  return [under.slice(0, limits.sampleRows), above ? above.row + 1 : 1]
}

/** Of several tables the one with the most packed bytes: how many rows a sheet has is known only when all of it is read. */
function fullest(looked: readonly Looked[]): Looked | null {
  const size = ({ sheet, rows }: Looked) =>
    rows.length < limits.sampleRows ? rows.length : limits.sampleRows + sheet.entry.packedBytes
  return looked.reduce<Looked | null>(
    (a, b) => (a && size(a) * a.heading.headings.length >= size(b) * b.heading.headings.length ? a : b),
    null,
  )
}

function warningsOf({ beyond, unkept }: Looked): string[] {
  return [
    ...(beyond > 0 ? [`${beyond} filled cells lie beyond column ${limits.columns} and are not read.`] : []),
    ...(unkept > 0
      ? [
          `${unkept} cells of the first rows hold formulas whose results the file does not keep. Open it in a spreadsheet program, save it there, and bring it again.`,
        ]
      : []),
  ]
}

async function firstRows(
  file: FileSource,
  parts: BookParts,
  sheet: Sheet,
  signal?: AbortSignal,
): Promise<Pick<Looked, 'rows' | 'beyond' | 'unkept'>> {
  let most = -1
  const textAt = (index: number) => {
    most = Math.max(most, index)
    return `${pending}${index}`
  }
  const reader = new SheetReader({ ...parts, textAt })
  const scanner = new XmlScanner(reader, file.name)
  for await (const { bytes } of unpackEntry(file, sheet.entry, bookDamaged(file), signal)) {
    scanner.push(bytes)
    if (reader.rows.length > limits.sampleRows + 60) break
  }
  const rows = reader.rows.slice(0, limits.sampleRows + 60)
  if (reader.widest > limits.columns && reader.beyond > rows.length)
    throw new Problem('file-wide', { file: file.name, columns: reader.widest, limit: limits.columns })
  const texts = await readTexts(file, parts, most + 1, signal)
  return {
    rows: rows.map(({ row, cells }) => ({ row, cells: cells.map((c) => resolved(c, texts)) })),
    beyond: reader.beyond,
    unkept: reader.unkept,
  }
}

function resolved(cell: Cell, texts: readonly string[]): Cell {
  if (typeof cell !== 'string' || !cell.startsWith(pending)) return cell
  return texts[Number(cell.slice(pending.length))] ?? null
}

/** The first shared texts, as many as are wanted. */
async function readTexts(
  file: FileSource,
  { texts }: BookParts,
  wanted: number,
  signal?: AbortSignal,
): Promise<string[]> {
  const shared = new SharedTexts(file.name)
  if (!texts || wanted <= 0) return shared.texts
  const scanner = new XmlScanner(shared, file.name)
  for await (const { bytes } of unpackEntry(file, texts, bookDamaged(file), signal)) {
    scanner.push(bytes)
    if (shared.texts.length >= wanted) return shared.texts
  }
  return shared.texts
}

async function* allRows(file: FileSource, parts: BookParts, sheet: Sheet, first: number, signal?: AbortSignal) {
  const texts = await readTexts(file, parts, Infinity, signal)
  const reader = new SheetReader({ ...parts, textAt: (index) => texts[index] ?? '' })
  const scanner = new XmlScanner(reader, file.name)
  for await (const { bytes, done } of unpackEntry(file, sheet.entry, bookDamaged(file), signal)) {
    scanner.push(bytes)
    const batch = reader.rows.filter(({ row, cells }) => row >= first && !cells.every(isBlank))
    reader.rows = []
    yield { batch, done: Math.min(done, 0.999) }
  }
  scanner.end()
  yield { batch: [], done: 1 }
}
