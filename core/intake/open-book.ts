import { unzip } from 'fflate'
import readBook from 'read-excel-file/universal'
import { Problem, stopIfCancelled } from '../problem'
import { isoDay } from '../identity'
import { findHeading, type FoundHeading } from './find-heading'
import { isBlank, limits, type Cell, type FileSource, type NumberedRow, type OpenedFile } from './opened-file'

/** Opens a spreadsheet (Office Open XML). @throws Problem 'file-xlsx-broken', 'file-too-large', 'file-no-table' */
export async function openBook(file: FileSource, wanted: string | null): Promise<OpenedFile> {
  const bytes = await file.arrayBuffer()
  await checkUnzippedSize(file, new Uint8Array(bytes))
  const sheets = await readSheets(file, bytes)
  const tables = sheets
    .map((sheet) => ({ ...sheet, heading: findHeading(sheet.grid) }))
    .filter((s): s is typeof s & { heading: FoundHeading } => s.heading !== null)
  const chosen =
    tables.find((s) => s.name === wanted) ??
    tables.reduce<(typeof tables)[number] | null>((a, b) => (a && cellsIn(a) >= cellsIn(b) ? a : b), null)
  if (!chosen) throw new Problem('file-no-table', { file: file.name })
  const first = chosen.heading.at + 1
  const rows: NumberedRow[] = chosen.grid
    .slice(first)
    .map((cells, i) => ({ row: first + 1 + i, cells }))
    .filter(({ cells }) => !cells.every(isBlank))
  return {
    name: file.name,
    format: 'xlsx',
    encoding: null,
    delimiter: null,
    sheet: chosen.name,
    sheets: tables.map((s) => s.name),
    notes: chosen.heading.notes,
    headings: chosen.heading.headings,
    sample: rows.slice(0, limits.sampleRows),
    rows: (signal) => inBatches(rows, signal),
  }
}

/** Rows that are already in memory, in batches, so that progress shows and cancelling works. */
export async function* inBatches(rows: NumberedRow[], signal?: AbortSignal) {
  const size = 2000
  for (let i = 0; i < Math.max(rows.length, 1); i += size) {
    stopIfCancelled(signal)
    yield { batch: rows.slice(i, i + size), done: Math.min(1, (i + size) / rows.length) }
    await Promise.resolve()
  }
}

function cellsIn(sheet: { grid: Cell[][]; heading: FoundHeading }): number {
  return (sheet.grid.length - sheet.heading.at) * sheet.heading.headings.length
}

async function readSheets(file: FileSource, bytes: ArrayBuffer): Promise<{ name: string; grid: Cell[][] }[]> {
  try {
    const sheets = await readBook(bytes)
    return sheets.map(({ sheet, data }) => ({ name: sheet, grid: data.map((row) => row.map(toCell)) }))
  } catch (cause) {
    throw new Problem('file-xlsx-broken', { file: file.name }, { cause })
  }
}

function toCell(value: unknown): Cell {
  if (value instanceof Date) return isoDay(Math.floor(value.getTime() / 86_400_000))
  if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean') return value
  return null
}

/** A small file can unfold to gigabytes: the sizes its directory states are added up before anything is unfolded. */
async function checkUnzippedSize(file: FileSource, bytes: Uint8Array): Promise<void> {
  let total = 0
  await new Promise<void>((resolve, reject) =>
    unzip(
      bytes,
      {
        filter: (entry) => {
          total += entry.originalSize
          return false
        },
      },
      (error) => (error ? reject(new Problem('file-xlsx-broken', { file: file.name }, { cause: error })) : resolve()),
    ),
  )
  if (total > limits.unzippedMegabytes * 1e6) {
    throw new Problem('file-too-large', {
      file: file.name,
      megabytes: Math.ceil(total / 1e6),
      kind: 'unpacked spreadsheet',
      limit: limits.unzippedMegabytes,
    })
  }
}
