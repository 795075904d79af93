import { Problem, stopIfCancelled } from '../problem'
import type { Encoding } from './decode-text'
import { flattenRecord } from './flatten-record'
import { limits, type Cell, type FileSource, type NumberedRow, type OpenedFile } from './opened-file'
import { nesting } from './open-json'

/** Opens newline-delimited JSON. A line that is not JSON becomes a row with its text, so that it is reported, not lost. */
export async function openNdjson(file: FileSource, encoding: Encoding): Promise<OpenedFile> {
  const bytes = await file.slice(0, limits.sampleBytes).arrayBuffer()
  const text = new TextDecoder(encoding).decode(bytes)
  const lines = (bytes.byteLength === file.size ? text : text.slice(0, text.lastIndexOf('\n'))).split('\n')
  const records = lines.slice(0, limits.sampleRows).flatMap((line) => parseLine(line) ?? [])
  const names = new Map<string, number>()
  for (const record of records) for (const name of record.keys()) if (!names.has(name)) names.set(name, names.size)
  if (names.size === 0) throw new Problem('file-no-table', { file: file.name })
  const toNumbered = (line: string, row: number): NumberedRow[] => {
    if (line.trim() === '') return []
    const record = parseLine(line)
    if (!record) return [{ row, cells: [line.trim().slice(0, 2000)] }]
    const cells: Cell[] = Array.from({ length: names.size }, () => null)
    for (const [name, cell] of record) {
      const at = names.get(name)
      if (at !== undefined) cells[at] = cell
    }
    return [{ row, cells }]
  }
  return {
    name: file.name,
    format: 'ndjson',
    encoding,
    delimiter: null,
    sheet: null,
    sheets: [],
    notes: [],
    headings: [...names.keys()],
    sample: lines.slice(0, limits.sampleRows).flatMap((line, i) => toNumbered(line, i + 1)),
    rows: (signal) => readLines(file, encoding, toNumbered, signal),
  }
}

function parseLine(line: string): Map<string, Cell> | null {
  const text = line.trim()
  if (!text.startsWith('{') || nesting(text) > limits.depth) return null
  try {
    return flattenRecord(JSON.parse(text))
  } catch (e) {
    if (e instanceof SyntaxError) return null
    throw e
  }
}

async function* readLines(
  file: FileSource,
  encoding: Encoding,
  toNumbered: (line: string, row: number) => NumberedRow[],
  signal?: AbortSignal,
) {
  const decoder = new TextDecoder(encoding)
  const reader = file.stream().getReader()
  let rest = ''
  let row = 0
  let read = 0
  try {
    for (;;) {
      stopIfCancelled(signal)
      const { value, done } = await reader.read()
      read += value?.length ?? 0
      const lines = (rest + decoder.decode(value, { stream: !done })).split('\n')
      rest = done ? '' : (lines.pop() ?? '')
      const batch = lines.flatMap((line) => toNumbered(line, ++row))
      yield { batch, done: done ? 1 : read / file.size }
      if (done) return
    }
  } finally {
    await reader.cancel()
  }
}
