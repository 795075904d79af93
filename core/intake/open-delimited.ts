import Papa from 'papaparse'
import { Problem, stopIfCancelled } from '../problem'
import type { Encoding } from './decode-text'
import { findHeading } from './find-heading'
import { splitBytes } from './split-bytes'
import { splitRows } from './split-rows'
import {
  isBlank,
  limits,
  type BlockForm,
  type BlockStep,
  type FileSource,
  type NumberedRow,
  type OpenedFile,
} from './opened-file'

const delimiters = [',', ';', '\t', '|']

/** Opens CSV, TSV and their like. @throws Problem 'file-no-table' */
export async function openDelimited(file: FileSource, encoding: Encoding): Promise<OpenedFile> {
  const bytes = new Uint8Array(await file.slice(0, limits.sampleBytes).arrayBuffer())
  const whole = bytes.length === file.size
  const text = new TextDecoder(encoding).decode(bytes)
  const delimiter = detectDelimiter(text)
  const grid = parse(text, delimiter, !whole).rows.slice(0, limits.sampleRows + 40)
  const heading = findHeading(grid)
  if (!heading) throw new Problem('file-no-table', { file: file.name })
  const first = heading.at + 1
  return {
    name: file.name,
    format: 'delimited',
    encoding,
    delimiter,
    sheet: null,
    sheets: [],
    notes: heading.notes,
    headings: heading.headings,
    sample: number(grid.slice(first), first + 1).slice(0, limits.sampleRows),
    rows: (signal) => readRows(file, encoding, delimiter, first, signal),
    ...(encoding === 'utf-8' && newlineOf(text) !== '\r'
      ? { byteRows: byteRowsOf(file, first, { delimiter, twoMarks: newlineOf(text) === '\r\n' }) }
      : {}),
  }
}

/** The delimiter that splits the most lines into the same number of cells, more cells the better. */
export function detectDelimiter(text: string): string {
  let best = ','
  let bestScore = 0
  for (const delimiter of delimiters) {
    const widths = parse(text.slice(0, 60_000), delimiter, text.length > 60_000)
      .rows.slice(0, 200)
      .map((r) => r.length)
    const counts = new Map<number, number>()
    for (const w of widths) if (w > 1) counts.set(w, (counts.get(w) ?? 0) + 1)
    for (const [w, n] of counts) {
      const score = (n / widths.length) ** 2 * Math.log2(w + 1)
      if (score > bestScore) [best, bestScore] = [delimiter, score]
    }
  }
  return best
}

function parse(text: string, delimiter: string, cut: boolean): { rows: string[][]; used: number } {
  const split = splitRows(text, delimiter, newlineOf(text), !cut)
  if (split) return split
  // Irregular quoting is read as PapaParse reads it. Papa.Parser is what Papa's own streamers are built on; `ignoreLastRow` leaves a row that is not whole yet.
  const result = new Papa.Parser({ delimiter, newline: newlineOf(text), quoteChar: '"' }).parse(
    text,
    0,
    cut,
  ) as unknown as {
    data: string[][]
    meta: { cursor: number }
  }
  return { rows: result.data, used: result.meta.cursor }
}

function newlineOf(text: string): '\r\n' | '\n' | '\r' {
  const start = text.slice(0, 100_000)
  if (start.includes('\r\n')) return '\r\n'
  return start.includes('\n') || !start.includes('\r') ? '\n' : '\r'
}

async function* readRows(file: FileSource, encoding: Encoding, delimiter: string, first: number, signal?: AbortSignal) {
  const decoder = new TextDecoder(encoding)
  const reader = file.stream().getReader()
  let rest = ''
  let row = 1
  let read = 0
  try {
    for (;;) {
      stopIfCancelled(signal)
      const { value, done } = await reader.read()
      read += value?.length ?? 0
      rest += decoder.decode(value, { stream: !done })
      if (rest.length < 400_000 && !done) continue
      const { rows, used } = parse(rest, delimiter, !done)
      rest = done ? '' : rest.slice(used)
      const batch = number(rows, row).filter((r) => r.row > first)
      row += rows.length
      yield { batch, done: done ? 1 : read / file.size }
      if (done) return
    }
  } finally {
    await reader.cancel()
  }
}

function byteRowsOf(file: FileSource, skip: number, form: BlockForm): OpenedFile['byteRows'] {
  return { skip, form, blocks: (signal) => readBlocks(file, form, signal) }
}

const blockBytes = 1_000_000

/** Block by block, each of whole rows; what a block leaves over begins the next, which is read meanwhile. */
export async function* readBlocks(
  file: FileSource,
  { delimiter, twoMarks }: BlockForm,
  signal?: AbortSignal,
): AsyncGenerator<BlockStep> {
  let at = await afterMark(file)
  const readNext = () => {
    const part = file.slice(at, Math.min(file.size, at + blockBytes)).arrayBuffer()
    at += blockBytes
    return part
  }
  let row = 1
  let left = new Uint8Array(0)
  for (let next = readNext(); ;) {
    stopIfCancelled(signal)
    const bytes = joined(left, new Uint8Array(await next))
    const atEnd = at >= file.size
    if (!atEnd) next = readNext()
    const done = Math.min(1, at / file.size)
    const edges = splitBytes(bytes, delimiter.charCodeAt(0), atEnd, twoMarks)
    if (edges.rows > 0) yield { block: { bytes, edges, firstRow: row }, done }
    row += edges.rows
    left = bytes.subarray(edges.used)
    if (edges.irregular) {
      const text = new TextDecoder().decode(left)
      const { rows, used } = parse(text, delimiter, !atEnd)
      yield { batch: number(rows, row), done }
      row += rows.length
      left = left.subarray(new TextEncoder().encode(text.slice(0, used)).length)
    }
    if (atEnd) return
  }
}

function joined(a: Uint8Array, b: Uint8Array<ArrayBuffer>): Uint8Array<ArrayBuffer> {
  if (a.length === 0) return b
  const both = new Uint8Array(a.length + b.length)
  both.set(a)
  both.set(b, a.length)
  return both
}

/** A byte order mark is no part of the first cell. */
async function afterMark(file: FileSource): Promise<number> {
  const [a, b, c] = new Uint8Array(await file.slice(0, 3).arrayBuffer())
  return a === 0xef && b === 0xbb && c === 0xbf ? 3 : 0
}

function number(rows: string[][], from: number): NumberedRow[] {
  return rows.map((cells, i) => ({ row: from + i, cells })).filter(({ cells }) => !cells.every(isBlank))
}
