import { Problem } from '../problem'
import type { Encoding } from './decode-text'
import { flattenRecord } from './flatten-record'
import { inBatches } from './open-book'
import { limits, type Cell, type FileSource, type NumberedRow, type OpenedFile } from './opened-file'

/** Opens JSON: the longest list of records in it is the table, or the one record it is. @throws Problem 'file-json-broken', 'file-json-deep', 'file-no-table' */
export async function openJson(file: FileSource, encoding: Encoding): Promise<OpenedFile> {
  const text = new TextDecoder(encoding).decode(await file.arrayBuffer())
  if (nesting(text) > limits.depth) throw new Problem('file-json-deep', { file: file.name, limit: limits.depth })
  const value = parseJson(text, file.name)
  const found = longestList(value) ?? oneRecord(value)
  if (!found) throw new Problem('file-no-table', { file: file.name })
  const { headings, rows } = toRows(found.list, 1)
  const notes = found.beside.map(([key, v]) => `${key} ${String(v)}`)
  return openedRecords(file.name, 'json', encoding, headings, rows, notes)
}

export function openedRecords(
  name: string,
  format: 'json' | 'ndjson',
  encoding: Encoding,
  headings: string[],
  rows: NumberedRow[],
  notes: string[],
): OpenedFile {
  if (headings.length === 0) throw new Problem('file-no-table', { file: name })
  const sample = rows.slice(0, limits.sampleRows)
  const base = { name, format, encoding, delimiter: null, sheet: null, sheets: [], notes, headings, sample }
  return { ...base, rows: (signal) => inBatches(rows, signal) }
}

/** Records as rows under the union of their names. */
export function toRows(list: unknown[], firstRow: number): { headings: string[]; rows: NumberedRow[] } {
  const flat = list.map(flattenRecord)
  const headings = new Map<string, number>()
  for (const record of flat)
    for (const name of record.keys()) if (!headings.has(name)) headings.set(name, headings.size)
  const rows = flat.map((record, i) => {
    const cells: Cell[] = Array.from({ length: headings.size }, () => null)
    for (const [name, cell] of record) cells[headings.get(name) as number] = cell
    return { row: firstRow + i, cells }
  })
  return { headings: [...headings.keys()], rows }
}

export function parseJson(text: string, file: string): unknown {
  try {
    return JSON.parse(text)
  } catch (cause) {
    throw new Problem(
      'file-json-broken',
      { file, reason: cause instanceof Error ? cause.message : 'unreadable' },
      { cause },
    )
  }
}

/** How deep brackets nest, read off the text before anything is built from it. */
export function nesting(text: string): number {
  let depth = 0
  let deepest = 0
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i)
    if (c === 34) i = endOfString(text, i)
    else if (c === 91 || c === 123) deepest = Math.max(deepest, ++depth)
    else if (c === 93 || c === 125) depth--
  }
  return deepest
}

function endOfString(text: string, start: number): number {
  let i = start + 1
  while (i < text.length && text.charCodeAt(i) !== 34) i += text.charCodeAt(i) === 92 ? 2 : 1
  return i
}

/** A single record with values of its own is a table of one row. */
function oneRecord(value: unknown): { list: unknown[]; beside: [string, unknown][] } | null {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return null
  const plain = Object.values(value).filter((v) => typeof v === 'string' || typeof v === 'number')
  return plain.length > 1 ? { list: [value], beside: [] } : null
}

function longestList(value: unknown): { list: unknown[]; beside: [string, unknown][] } | null {
  let best: { list: unknown[]; beside: [string, unknown][] } | null = null
  const look = (v: unknown, beside: [string, unknown][], depth: number): void => {
    if (depth > 4 || typeof v !== 'object' || v === null) return
    if (Array.isArray(v)) {
      const records = v.filter((r) => typeof r === 'object' && r !== null && !Array.isArray(r))
      if (records.length > v.length / 2 && records.length > (best?.list.length ?? 0)) best = { list: records, beside }
      return
    }
    const plain = Object.entries(v).filter(([, x]) => typeof x !== 'object')
    for (const inner of Object.values(v)) look(inner, [...beside, ...plain], depth + 1)
  }
  look(value, [], 0)
  return best
}
