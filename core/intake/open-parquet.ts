import { gunzipSync } from 'fflate'
import { decompress } from 'fzstd'
import { parquetMetadataAsync, parquetReadObjects, parquetSchema, type AsyncBuffer, type FileMetaData } from 'hyparquet'
import { Problem, stopIfCancelled } from '../problem'
import { flattenRecord } from './flatten-record'
import { limits, type Cell, type FileSource, type NumberedRow, type OpenedFile } from './opened-file'

/** Snappy is built into the reader. No WebAssembly: the page's policy forbids it. */
const compressors = {
  GZIP: (packed: Uint8Array) => gunzipSync(packed),
  ZSTD: (packed: Uint8Array) => decompress(packed),
}
const batchRows = 5000

/** Opens an Apache Parquet file; it is read part by part. @throws Problem 'file-parquet-broken' */
export async function openParquet(file: FileSource): Promise<OpenedFile> {
  const buffer: AsyncBuffer = {
    byteLength: file.size,
    slice: async (start, end = file.size) => file.slice(start < 0 ? file.size + start : start, end).arrayBuffer(),
  }
  const metadata = await orBroken(file.name, () => parquetMetadataAsync(buffer))
  const rowCount = Number(metadata.num_rows)
  const headings = new Map<string, number>(
    metadata.schema.length > 0
      ? parquetSchema(metadata)
          .children.flatMap((c) => (c.children.length === 0 ? [c.element.name] : []))
          .map((n, i) => [n, i])
      : [],
  )
  const read = (from: number, to: number) => readRows({ buffer, metadata, name: file.name, headings }, from, to)
  const sample = rowCount > 0 ? await read(0, Math.min(rowCount, limits.sampleRows)) : []
  return {
    name: file.name,
    format: 'parquet',
    encoding: null,
    delimiter: null,
    sheet: null,
    sheets: [],
    notes: [],
    headings: [...headings.keys()],
    sample,
    async *rows(signal) {
      for (let from = 0; from < rowCount; from += batchRows) {
        stopIfCancelled(signal)
        const to = Math.min(rowCount, from + batchRows)
        yield { batch: await read(from, to), done: to / rowCount }
      }
    },
  }
}

interface Source {
  buffer: AsyncBuffer
  metadata: FileMetaData
  name: string
  headings: Map<string, number>
}

async function readRows(
  { buffer, metadata, name, headings }: Source,
  from: number,
  to: number,
): Promise<NumberedRow[]> {
  const records = await orBroken(name, () =>
    parquetReadObjects({ file: buffer, metadata, rowStart: from, rowEnd: to, compressors }),
  )
  return records.map((record, i) => {
    const cells: Cell[] = Array.from({ length: headings.size }, () => null)
    for (const [heading, cell] of flattenRecord(plainRecord(record))) {
      const at = headings.get(heading) ?? headings.size
      headings.set(heading, at)
      cells[at] = cell
    }
    return { row: from + i + 1, cells }
  })
}

/** Days, big whole numbers and bytes as what a text file would say. */
function plainRecord(record: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(Object.entries(record).map(([name, value]) => [name, plainValue(value)]))
}

function plainValue(value: unknown): unknown {
  if (typeof value === 'bigint') return Number.isSafeInteger(Number(value)) ? Number(value) : String(value)
  if (value instanceof Date)
    return Number.isNaN(value.getTime()) ? null : value.toISOString().replace('T00:00:00.000Z', '')
  if (value instanceof Uint8Array) return new TextDecoder().decode(value)
  return value
}

async function orBroken<T>(file: string, work: () => T | Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (cause) {
    if (cause instanceof Problem) throw cause
    throw new Problem(
      'file-parquet-broken',
      { file, reason: cause instanceof Error ? cause.message : 'unreadable' },
      { cause },
    )
  }
}
