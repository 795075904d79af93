import { joined } from './joined'
import Papa from 'papaparse'
import { Problem, stopIfCancelled } from '../../problem'
import type { Encoding } from './decode-text'
import { findHeading } from './find-heading'
import { splitBytes, type CellEdges, type EdgeArrays } from '../bytes/split-bytes'
import { splitRows } from './split-rows'
import { isBlank } from '../../notation'
import {
  limits,
  type BlockForm,
  type BlockStep,
  type FileSource,
  type NumberedRow,
  type OpenedFile,
} from './opened-file'

const delimiters = [',', ';', '\t', '|']

/** Opens CSV, TSV and their like; reading rows may throw 'row-too-long'. @throws Problem 'file-no-table' */
export async function openDelimited(file: FileSource, encoding: Encoding): Promise<OpenedFile> {
  const bytes = new Uint8Array(await file.slice(0, limits.sampleBytes).arrayBuffer())
  const whole = bytes.length === file.size
  const text = new TextDecoder(encoding).decode(bytes)
  const form = { delimiter: detectDelimiter(text), newline: newlineOf(text) }
  const grid = parse(text, form, !whole).rows.slice(0, limits.sampleRows + 40)
  const heading = findHeading(grid)
  if (!heading) throw new Problem('file-no-table', { file: file.name })
  const first = heading.at + 1
  return {
    name: file.name,
    format: 'delimited',
    encoding,
    delimiter: form.delimiter,
    sheet: null,
    sheets: [],
    notes: heading.notes,
    headings: heading.headings,
    sample: number(grid.slice(first), first + 1).slice(0, limits.sampleRows),
    rows: (signal) => readRows(file, encoding, form, first, signal),
    ...(encoding === 'utf-8' ? { byteRows: byteRowsOf(file, first, form) } : {}),
  }
}

/** The delimiter that splits the most lines into the same number of cells, more cells the better. */
export function detectDelimiter(text: string): string {
  let best = ','
  let bestScore = 0
  const newline = newlineOf(text)
  for (const delimiter of delimiters) {
    const widths = parse(text.slice(0, 60_000), { delimiter, newline }, text.length > 60_000)
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

function parse(text: string, form: BlockForm, cut: boolean): { rows: string[][]; used: number } {
  const split = splitRows(text, form.delimiter, !cut)
  if (split) return split
  // Irregular quoting is read as PapaParse reads it. Papa.Parser is what Papa's own streamers are built on; `ignoreLastRow` leaves a row that is not whole yet.
  const result = new Papa.Parser({ ...form, quoteChar: '"' }).parse(text, 0, cut) as unknown as {
    data: string[][]
    meta: { cursor: number }
  }
  return { rows: result.data, used: result.meta.cursor }
}

/** What ends most lines: a few other marks among them are part of a cell. */
function newlineOf(text: string): BlockForm['newline'] {
  const start = text.slice(0, 100_000)
  const count = (mark: string) => start.split(mark).length - 1
  const [both, feeds, returns] = [count('\r\n'), count('\n'), count('\r')]
  if (both > 0 && both * 2 >= feeds) return '\r\n'
  return feeds > 0 || returns === 0 ? '\n' : '\r'
}

/** characters, bytes */
const [textBlock, byteBlock] = [400_000, 1_000_000]

/** How much of a row is there already: as much again is read then, so that a long one is not looked at from its beginning each time. @throws Problem 'row-too-long' */
function goesOn(rest: { length: number }, file: FileSource, row: number): number {
  const megabytes = limits.rowMegabytes
  if (rest.length > megabytes * 1e6) throw new Problem('row-too-long', { file: file.name, row, megabytes })
  return rest.length
}

async function* readRows(file: FileSource, encoding: Encoding, form: BlockForm, first: number, signal?: AbortSignal) {
  const decoder = new TextDecoder(encoding)
  const reader = file.stream().getReader()
  let rest = ''
  let row = 1
  let read = 0
  let enough = textBlock
  try {
    for (;;) {
      stopIfCancelled(signal)
      const { value, done } = await reader.read()
      read += value?.length ?? 0
      rest += decoder.decode(value, { stream: !done })
      if (rest.length < enough && !done) continue
      const { rows, used } = parse(rest, form, !done)
      rest = done ? '' : rest.slice(used)
      enough = textBlock + goesOn(rest, file, row + rows.length)
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

/**
 * Block by block, each of whole rows; what a block leaves over begins the next, which is read meanwhile. A block holds until the
 * next is asked for: its edges' room is used again, or that of edges which are handed back with the request.
 */
export async function* readBlocks(
  file: FileSource,
  form: BlockForm,
  signal?: AbortSignal,
): AsyncGenerator<BlockStep, void, EdgeArrays | null | undefined> {
  let at = await afterMark(file)
  let size = byteBlock
  const readNext = () => {
    const part = file.slice(at, Math.min(file.size, at + size)).arrayBuffer()
    at += size
    return part
  }
  let row = 1
  let left = new Uint8Array(0)
  let spare: EdgeArrays | null = null
  for (let next = readNext(); ;) {
    stopIfCancelled(signal)
    const bytes = joined(left, new Uint8Array(await next))
    const atEnd = at >= file.size
    if (!atEnd) next = readNext()
    const done = Math.min(1, at / file.size)
    const edges: CellEdges = splitBytes(bytes, form.delimiter.charCodeAt(0), atEnd, spare)
    if (edges.rows > 0) {
      const back = yield { block: { bytes, edges, firstRow: row }, done }
      // edges that went to another thread are gone
      spare = back ?? (edges.starts.length > 0 ? edges : null)
    }
    row += edges.rows
    left = bytes.subarray(edges.used)
    if (edges.irregular) {
      const text = new TextDecoder().decode(left)
      const { rows, used } = parse(text, form, !atEnd)
      yield { batch: number(rows, row), done }
      row += rows.length
      left = left.subarray(new TextEncoder().encode(text.slice(0, used)).length)
    }
    if (atEnd) return
    size = byteBlock + goesOn(left, file, row)
  }
}

/** A byte order mark is no part of the first cell. */
async function afterMark(file: FileSource): Promise<number> {
  const [a, b, c] = new Uint8Array(await file.slice(0, 3).arrayBuffer())
  return a === 0xef && b === 0xbb && c === 0xbf ? 3 : 0
}

function number(rows: string[][], from: number): NumberedRow[] {
  return rows.map((cells, i) => ({ row: from + i, cells })).filter(({ cells }) => !cells.every(isBlank))
}
