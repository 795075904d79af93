import { Problem, stopIfCancelled } from '../../../problem'
import type { Encoding } from '../decode-text'
import { limits, type FileSource, type NumberedRow, type OpenedFile } from '../opened-file'
import { flattenRecord } from './flatten-record'
import { nesting } from './nesting'
import { brokenRow, parsed, RecordNames } from './record-rows'

/** Opens newline-delimited JSON. A line that is not JSON becomes a row with its text, so that it is reported, not lost. */
export async function openNdjson(file: FileSource, encoding: Encoding): Promise<OpenedFile> {
  const bytes = await file.slice(0, limits.sampleBytes).arrayBuffer()
  const text = new TextDecoder(encoding).decode(bytes)
  const lines = (bytes.byteLength === file.size ? text : text.slice(0, text.lastIndexOf('\n')))
    .split('\n')
    .slice(0, limits.sampleRows)
  const names = new RecordNames(file.name)
  for (const line of lines) {
    const record = parseLine(line)
    if (record) names.add(record)
  }
  if (names.names.size === 0) throw new Problem('file-no-table', { file: file.name })
  const toNumbered = (line: string, row: number): NumberedRow[] => {
    if (line.trim() === '') return []
    const record = parseLine(line)
    return [record ? names.row(record, row) : brokenRow(line, row)]
  }
  return {
    name: file.name,
    format: 'ndjson',
    encoding,
    delimiter: null,
    sheet: null,
    sheets: [],
    notes: [],
    headings: [...names.names.keys()],
    sample: lines.flatMap((line, i) => toNumbered(line, i + 1)),
    rows: (signal) => readLines(file, encoding, toNumbered, signal),
  }
}

function parseLine(line: string) {
  const text = line.trim()
  if (!text.startsWith('{') || nesting(text) > limits.depth) return null
  const record = parsed(text)
  return record === undefined ? null : flattenRecord(record)
}

async function* readLines(
  file: FileSource,
  encoding: Encoding,
  toNumbered: (line: string, row: number) => NumberedRow[],
  signal?: AbortSignal,
) {
  const decoder = new TextDecoder(encoding)
  const reader = file.stream().getReader()
  // parts of a line that goes on, joined only when it ends: a long one is not gone over again with each piece
  let begun: string[] = []
  let length = 0
  let row = 0
  let read = 0
  try {
    for (;;) {
      stopIfCancelled(signal)
      const { value, done } = await reader.read()
      read += value?.length ?? 0
      const text = decoder.decode(value, { stream: !done })
      begun.push(text)
      length += text.length
      if (!done && !text.includes('\n')) {
        checkLine(file, length, row + 1)
        continue
      }
      const lines = begun.join('').split('\n')
      lines.forEach((line, i) => checkLine(file, line.length, row + i + 1))
      const rest = done ? '' : (lines.pop() ?? '')
      begun = [rest]
      length = rest.length
      const batch = lines.flatMap((line) => toNumbered(line, ++row))
      yield { batch, done: done ? 1 : read / file.size }
      if (done) return
    }
  } finally {
    await reader.cancel()
  }
}

function checkLine({ name }: FileSource, length: number, row: number): void {
  if (length > limits.rowMegabytes * 1e6)
    throw new Problem('row-too-long', { file: name, row, megabytes: limits.rowMegabytes })
}
