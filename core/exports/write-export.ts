import { parquetWriteBuffer } from 'hyparquet-writer'
import writeBook from 'write-excel-file/universal'
import { dayOfIso } from '../identity'
import { writeCsv } from '../notation'
import type { ExportedColumn } from './exported-columns'

import type { ExportFormat } from './export-formats'

const writers: Record<
  ExportFormat,
  (columns: readonly ExportedColumn[], sheet: string) => Uint8Array | Promise<Uint8Array>
> = {
  csv: (columns) => withMark(csvOf(columns, (c) => c.label)),
  xlsx: xlsxOf,
  ndjson: (columns) => new TextEncoder().encode(ndjsonOf(columns)),
  parquet: parquetOf,
}

/**
 * A table as a file: CSV (RFC 4180, UTF-8 with byte order mark), XLSX (ECMA-376), NDJSON, or Apache Parquet.
 *
 * @param sheet name of the sheet in a spreadsheet
 */
export async function writeExport(
  format: ExportFormat,
  columns: readonly ExportedColumn[],
  sheet: string,
): Promise<Uint8Array> {
  return writers[format](columns, sheet)
}

/** CSV (RFC 4180) with a heading row; texts that a spreadsheet would run are disarmed. */
export function csvOf(columns: readonly ExportedColumn[], heading: (c: ExportedColumn) => string): string {
  return writeCsv([columns.map(heading), ...rowsOf(columns)])
}

/** A byte order mark in front, so that spreadsheets take the file for UTF-8. */
function withMark(text: string): Uint8Array {
  return new TextEncoder().encode(`\ufeff${text}`)
}

function rowsOf(columns: readonly ExportedColumn[]): (string | number | null)[][] {
  const rows = columns[0]?.values.length ?? 0
  return Array.from({ length: rows }, (_, row) => columns.map((c) => c.values[row] ?? null))
}

/** One object a line; what is not known is left out. */
function ndjsonOf(columns: readonly ExportedColumn[]): string {
  return rowsOf(columns)
    .map(
      (row) =>
        `${JSON.stringify(Object.fromEntries(columns.flatMap((c, i) => (row[i] === null ? [] : [[c.name, row[i]]]))))}\n`,
    )
    .join('')
}

async function xlsxOf(columns: readonly ExportedColumn[], sheet: string): Promise<Uint8Array> {
  const head = columns.map((c) => ({ value: c.label, fontWeight: 'bold' as const }))
  const body = rowsOf(columns).map((row) =>
    row.map((value, i) => {
      if (value === null) return null
      return columns[i]?.type === 'date'
        ? { value: new Date(`${value}T00:00:00Z`), format: 'yyyy-mm-dd' }
        : { value: typeof value === 'string' ? safeText(value) : value }
    }),
  )
  const blob = await writeBook([head, ...body], { sheet: sheet.slice(0, 31), stickyRowsCount: 1 }).toBlob()
  return new Uint8Array(await blob.arrayBuffer())
}

/**
 * The library looks its shared texts up in a plain object, where a text such as 'constructor' finds something that is none of its own
 * and the book cannot be opened. A space behind it is taken off when it is read.
 */
function safeText(text: string): string {
  return text in Object.prototype ? `${text} ` : text
}

/** Apache Parquet, Snappy: texts as UTF-8 strings, counts as 64-bit integers, amounts as doubles, days as dates. */
function parquetOf(columns: readonly ExportedColumn[]): Uint8Array {
  return new Uint8Array(
    parquetWriteBuffer({
      columnData: columns.map(({ name, type, values }) => ({ name, data: values.map((v) => parquetValue(v, type)) })),
      schema: [
        { name: 'root', num_children: columns.length },
        ...columns.map(({ name, type }) => ({ name, repetition_type: 'OPTIONAL' as const, ...parquetTypes[type] })),
      ],
      createdBy: 'Sickle',
    }),
  )
}

const parquetTypes = {
  text: { type: 'BYTE_ARRAY', converted_type: 'UTF8' },
  integer: { type: 'INT64' },
  number: { type: 'DOUBLE' },
  date: { type: 'INT32', converted_type: 'DATE' },
} as const

function parquetValue(value: string | number | null, type: ExportedColumn['type']): unknown {
  if (value === null) return null
  if (type === 'integer') return BigInt(Math.round(Number(value)))
  return type === 'date' ? new Date((dayOfIso(String(value)) ?? 0) * 86_400_000) : value
}
