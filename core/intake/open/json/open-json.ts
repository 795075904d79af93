import { Problem, stopIfCancelled } from '../../../problem'
import type { Encoding } from '../decode-text'
import { findHeading } from '../find-heading'
import { inBatches } from '../in-batches'
import {
  limits,
  type OpenOptions,
  type FileSource,
  type NumberedRow,
  type OpenedFile,
  type SlicedSource,
} from '../opened-file'
import type { Cell } from '../../../notation'
import { OutlineReader, type JsonOutline } from './find-lists'
import { flattenRecord } from './flatten-record'
import { listElements } from './list-elements'
import { openNdjson } from './open-ndjson'
import { brokenRow, parsed, RecordNames } from './record-rows'

const piece = 4_000_000

/**
 * Opens JSON: the longest list of records in it is the table, or the one record it is. The text is gone over once for its outline;
 * records are built one by one when rows are asked for.
 *
 * @throws Problem 'file-json-broken', 'file-json-deep', 'file-no-table', 'file-wide', 'row-too-long', 'cancelled'
 */
export async function openJson(given: FileSource, encoding: Encoding, options: OpenOptions = {}): Promise<OpenedFile> {
  const { file, decoder } = await inBytes(given, encoding)
  const outline = await outlineOf(file, options)
  if (outline.depth > limits.depth) throw new Problem('file-json-deep', { file: file.name, limit: limits.depth })
  if (outline.isSeries) return openNdjson(given, encoding)
  if (!outline.isWhole)
    throw new Problem('file-json-broken', { file: file.name, reason: 'brackets or quotes do not close' })
  const [list] = outline.lists
  if (!list) return openRecord(file, encoding, decoder)
  const first: unknown[] = []
  for await (const { elements } of listElements(file, list.at, options.signal)) {
    first.push(...elements.slice(0, limits.sampleRows - first.length).map((bytes) => parsed(decoder.decode(bytes))))
    if (first.length >= limits.sampleRows) break
  }
  const base = jsonBase(file.name, encoding, list.notes)
  if (first.filter(Array.isArray).length > first.length / 2)
    return { ...base, ...gridOf(file, list.at, decoder, first) }
  const names = new RecordNames(file.name)
  for (const record of first) if (isRecord(record)) names.add(flattenRecord(record))
  if (names.names.size === 0) throw new Problem('file-no-table', { file: file.name })
  const rowOf = (value: unknown, text: () => string, row: number): NumberedRow =>
    isRecord(value) ? names.row(flattenRecord(value), row) : brokenRow(text(), row)
  return {
    ...base,
    headings: [...names.names.keys()],
    sample: first.map((value, i) => rowOf(value, () => String(value), i + 1)),
    rows: (signal) => recordRows(file, list.at, decoder, rowOf, signal),
  }
}

type RowOf = (value: unknown, text: () => string, row: number) => NumberedRow

async function* recordRows(file: SlicedSource, at: number, decoder: TextDecoder, rowOf: RowOf, signal?: AbortSignal) {
  let row = 0
  for await (const { elements, done } of listElements(file, at, signal)) {
    const batch = elements.map((bytes) => {
      const text = decoder.decode(bytes)
      return rowOf(parsed(text), () => text, ++row)
    })
    yield { batch, done }
  }
}

/** Rows that are lists of cells, the first of them perhaps a heading. */
function gridOf(
  file: SlicedSource,
  at: number,
  decoder: TextDecoder,
  first: readonly unknown[],
): Pick<OpenedFile, 'headings' | 'sample' | 'rows'> {
  const cellsOf = (value: unknown) => (Array.isArray(value) ? value.map(plainCell) : [])
  const heading = findHeading(first.map(cellsOf))
  if (!heading) throw new Problem('file-no-table', { file: file.name })
  const rowOf: RowOf = (value, text, row) =>
    Array.isArray(value) ? { row, cells: cellsOf(value) } : brokenRow(text(), row)
  return {
    headings: heading.headings,
    sample: first.map((value, i) => rowOf(value, () => '', i + 1)).slice(heading.at + 1),
    async *rows(signal) {
      for await (const { batch, done } of recordRows(file, at, decoder, rowOf, signal))
        yield { batch: batch.filter(({ row }) => row > heading.at + 1), done }
    },
  }
}

function plainCell(value: unknown): Cell {
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? value : null
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

async function outlineOf(file: SlicedSource, { signal, onProgress }: OpenOptions): Promise<JsonOutline> {
  const reader = new OutlineReader()
  for (let at = 0; at < file.size; at += piece) {
    stopIfCancelled(signal)
    reader.push(new Uint8Array(await file.slice(at, Math.min(file.size, at + piece)).arrayBuffer()))
    onProgress?.(Math.min(1, (at + piece) / file.size))
  }
  return reader.outline()
}

/** A single record with values of its own is a table of one row. */
async function openRecord(file: SlicedSource, encoding: Encoding, decoder: TextDecoder): Promise<OpenedFile> {
  if (file.size > limits.rowMegabytes * 1e6) throw new Problem('file-no-table', { file: file.name })
  const text = decoder.decode(await file.arrayBuffer())
  const value = parsed(text)
  if (value === undefined) throw new Problem('file-json-broken', { file: file.name, reason: 'it is no JSON' })
  const plain = isRecord(value)
    ? Object.values(value).filter((v) => typeof v === 'string' || typeof v === 'number')
    : []
  if (plain.length < 2) throw new Problem('file-no-table', { file: file.name })
  const names = new RecordNames(file.name)
  const record = flattenRecord(value)
  names.add(record)
  const rows = [names.row(record, 1)]
  const base = jsonBase(file.name, encoding, [])
  return { ...base, headings: [...names.names.keys()], sample: rows, rows: (signal) => inBatches(rows, signal) }
}

/** UTF-16 is turned into UTF-8 first; in other encodings brackets and quotes stand for themselves. */
async function inBytes(file: SlicedSource, encoding: Encoding): Promise<{ file: SlicedSource; decoder: TextDecoder }> {
  if (!encoding.startsWith('utf-16'))
    return { file: withoutMark(file, encoding, await startOf(file)), decoder: new TextDecoder(encoding) }
  const bytes = new TextEncoder().encode(new TextDecoder(encoding).decode(await file.arrayBuffer()))
  const blob = new Blob([bytes])
  return {
    file: {
      name: file.name,
      size: blob.size,
      slice: (a, b) => blob.slice(a, b),
      arrayBuffer: () => blob.arrayBuffer(),
    },
    decoder: new TextDecoder(),
  }
}

async function startOf(file: SlicedSource): Promise<Uint8Array> {
  return new Uint8Array(await file.slice(0, 3).arrayBuffer())
}

/** A byte order mark is no part of the text. */
function withoutMark(file: SlicedSource, encoding: Encoding, [a, b, c]: Uint8Array): SlicedSource {
  if (encoding !== 'utf-8' || a !== 0xef || b !== 0xbb || c !== 0xbf) return file
  const whole = () => file.slice(3, file.size)
  return {
    name: file.name,
    size: file.size - 3,
    slice: (from, to) => file.slice(from + 3, to + 3),
    arrayBuffer: () => whole().arrayBuffer(),
  }
}

/** What an opened file says of itself, whatever its records. */
function jsonBase(name: string, encoding: Encoding, notes: string[]) {
  return { name, format: 'json' as const, encoding, delimiter: null, sheet: null, sheets: [], notes }
}
