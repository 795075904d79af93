import { parquetMetadata, parquetSchema, type FileMetaData } from 'hyparquet'
import { Problem, stopIfCancelled } from '../../../problem'
import { flattenRecord } from '../json/flatten-record'
import {
  limits,
  type OpenOptions,
  type FileSource,
  type NumberedRow,
  type OpenedFile,
  type SlicedSource,
} from '../opened-file'
import type { Cell } from '../../../notation'
import { groupColumns } from './group-rows'

const batchRows = 5000
/** bounds on what a footer may claim */
const [mostFooter, mostRows] = [64_000_000, 50_000_000]

/**
 * Opens an Apache Parquet file; pages are unpacked and decoded one by one, whatever the size of its row groups, and each is looked at
 * before it is unpacked.
 *
 * @throws Problem 'file-parquet-broken', 'file-wide', 'file-too-large', 'cancelled'
 */
export async function openParquet(file: FileSource, { signal, onProgress }: OpenOptions = {}): Promise<OpenedFile> {
  const metadata = await orBroken(file.name, () => footerOf(file))
  const rows = Number(metadata.num_rows)
  if (rows > mostRows)
    throw new Problem('file-parquet-broken', {
      file: file.name,
      reason: `it says that it holds ${rows} rows, more than are read`,
    })
  const names = new Map<string, number>()
  const children = metadata.schema.length > 0 ? parquetSchema(metadata).children : []
  if (children.length > limits.columns)
    throw new Problem('file-wide', { file: file.name, columns: children.length, limit: limits.columns })
  for (const { children: inner, element } of children) if (inner.length === 0) names.set(element.name, names.size)
  const source = { file, metadata, names }
  const sample: NumberedRow[] = []
  for await (const { batch } of readRows({ ...source, onProgress }, limits.sampleRows, signal)) {
    sample.push(...batch)
    if (sample.length >= limits.sampleRows) break
  }
  return {
    name: file.name,
    format: 'parquet',
    encoding: null,
    delimiter: null,
    sheet: null,
    sheets: [],
    notes: [],
    headings: [...names.keys()],
    sample: sample.slice(0, limits.sampleRows),
    rows: (stop) => readRows(source, batchRows, stop),
  }
}

async function footerOf(file: SlicedSource): Promise<FileMetaData> {
  const tail = new DataView(await file.slice(Math.max(0, file.size - 8), file.size).arrayBuffer())
  if (tail.byteLength < 8 || tail.getUint32(4, true) !== 0x31524150) throw new Error('it is cut off')
  const size = tail.getUint32(0, true)
  if (size > Math.min(mostFooter, file.size - 8)) throw new Error('its footer lies')
  return parquetMetadata(await file.slice(file.size - 8 - size, file.size).arrayBuffer(), { geoparquet: false })
}

interface Source {
  file: SlicedSource & { name: string }
  metadata: FileMetaData
  /** names of the columns met so far, with their places */
  names: Map<string, number>
  /** share of the columns whose first page is decoded, while the file is opened */
  onProgress?: (done: number) => void
}

async function* readRows({ file, metadata, names, onProgress }: Source, size: number, signal?: AbortSignal) {
  const rows = Number(metadata.num_rows)
  let row = 0
  for (const group of metadata.row_groups) {
    stopIfCancelled(signal)
    const columns = await orBroken(file.name, () => groupColumns(file, metadata, group))
    const wanted = Number(group.num_rows)
    for (let taken = 0; taken < wanted;) {
      stopIfCancelled(signal)
      const values = await orBroken(file.name, () =>
        columns.map(({ source }, i) => {
          onProgress?.(i / columns.length)
          return source.take(Math.min(size, wanted - taken))
        }),
      )
      const count = Math.max(0, ...values.map((v) => v.length))
      if (count === 0 || values.some((v) => v.length !== count))
        throw new Problem('file-parquet-broken', {
          file: file.name,
          reason: `it says that it holds ${rows} rows, but its pages hold other numbers of them`,
        })
      const batch = Array.from({ length: count }, (_, i) => rowOf(columns, values, i, { names, row: row + i + 1 }))
      taken += count
      row += count
      yield { batch, done: Math.min(1, row / Math.max(rows, 1)) }
    }
  }
}

function rowOf(
  columns: readonly { name: string }[],
  values: readonly unknown[][],
  i: number,
  { names, row }: { names: Map<string, number>; row: number },
): NumberedRow {
  const cells: Cell[] = new Array<Cell>(names.size).fill(null)
  columns.forEach(({ name }, c) => {
    const value = plainValue(values[c]?.[i])
    if (value === null || typeof value !== 'object') {
      const at = names.get(name)
      if (at !== undefined) cells[at] = value as Cell
      return
    }
    for (const [inner, cell] of flattenRecord({ [name]: value })) {
      if (!names.has(inner) && names.size < limits.columns) names.set(inner, names.size)
      const at = names.get(inner)
      if (at !== undefined) cells[at] = cell
    }
  })
  return { row, cells }
}

/** Days, big whole numbers and bytes as what a text file would say. */
function plainValue(value: unknown): unknown {
  if (typeof value === 'bigint') return Number.isSafeInteger(Number(value)) ? Number(value) : String(value)
  if (value instanceof Date)
    return Number.isNaN(value.getTime()) ? null : value.toISOString().replace('T00:00:00.000Z', '')
  if (value instanceof Uint8Array) return new TextDecoder().decode(value)
  if (value === undefined) return null
  if (Array.isArray(value)) return value.slice(0, 1000).map(plainValue)
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value)
        .slice(0, limits.columns + 1)
        .map(([k, v]) => [k, plainValue(v)]),
    )
  return value
}

async function orBroken<T>(file: string, work: () => T | Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (cause) {
    if (cause instanceof Problem) throw cause
    const reason = cause instanceof Error ? cause.message : 'unreadable'
    throw new Problem('file-parquet-broken', { file, reason }, { cause })
  }
}
