import { numbers, TableBuilder, type RowRecord, type Table } from '../tables'
import { isBlank, type Cell, type OpenedFile } from './opened-file'
import type { Mapping } from './propose-mapping'
import { rowReader, type ReadRow } from './read-record'
import { isNumeric, recordKind } from './record-kinds'

export interface RejectedRow {
  row: number
  reason: string
  cells: Cell[]
}

export interface ImportResult {
  table: Table
  /** rows of the file that became records */
  taken: number
  rejected: RejectedRow[]
  /** rejected rows beyond those kept with their cells */
  rejectedMore: number
  doubts: { row: number; field: string; reason: string }[]
  doubtsMore: number
  /** last day the figures speak of */
  capturedOn: number
}

export interface ImportOptions {
  signal?: AbortSignal
  /** share of the file read, 0–1, and rows taken so far */
  onProgress?: (done: number, rows: number) => void
  /** lets other work of the thread in between batches, such as hearing that it is to stop */
  pause?: () => Promise<void>
}

const kept = 20_000

/**
 * Reads every row under the mapping into a typed table. Rows that cannot be taken come back with number and reason;
 * a record that repeats an earlier one to the letter is one of them.
 *
 * @throws Problem 'cancelled'
 */
export async function importRows(
  file: OpenedFile,
  mapping: Mapping,
  options: ImportOptions = {},
): Promise<ImportResult> {
  const kind = recordKind(mapping.kind)
  const read = rowReader(mapping)
  const builder = new TableBuilder(
    kind.fields.map((f) => ({ name: f.name, type: isNumeric(f.type) ? ('number' as const) : ('text' as const) })),
  )
  const result: ImportResult = {
    table: { rows: 0, columns: {} },
    taken: 0,
    rejected: [],
    rejectedMore: 0,
    doubts: [],
    doubtsMore: 0,
    capturedOn: mapping.capturedOn,
  }
  const seen = new Map<string, FirstSeen>()
  for await (const { batch, done } of file.rows(options.signal)) {
    for (const { row, cells } of batch) {
      const taken = read(cells)
      const reason = taken.rejected ?? repeats(taken, row, builder, seen)
      if (reason !== null || !taken.record) {
        if (result.rejected.length < kept) result.rejected.push({ row, reason: reason ?? 'not read', cells })
        else result.rejectedMore++
        continue
      }
      const lastDay = addRecords(builder, taken.record, taken.days)
      if (mapping.kind === 'sales') result.capturedOn = Math.max(result.capturedOn, lastDay)
      result.taken++
      for (const doubt of taken.doubts) {
        if (result.doubts.length < kept) result.doubts.push({ row, ...doubt })
        else result.doubtsMore++
      }
    }
    options.onProgress?.(done, result.taken)
    await options.pause?.()
  }
  result.table = builder.finish()
  if (mapping.kind === 'sales' && isWeekly(numbers(result.table, 'day'))) result.capturedOn += 6
  return result
}

/** Rows that all lie whole weeks apart speak of weeks: their last day is six days after the last row's. */
function isWeekly(days: Float64Array): boolean {
  const first = days[0]
  return first !== undefined && days.some((d) => d !== first) && days.every((d) => (d - first) % 7 === 0)
}

/** Adds a row's record, or one for each day of a wide row; returns its last day. */
function addRecords(builder: TableBuilder, record: RowRecord, days: ReadRow['days']): number {
  if (!days) {
    builder.add(record)
    return typeof record.day === 'number' ? record.day : -Infinity
  }
  let last = -Infinity
  for (const { day, units } of days) {
    record.day = day
    record.units = units
    builder.add(record)
    last = Math.max(last, day)
  }
  return last
}

/** Where the records of a key first stood: row of the file, row of the table, and how many there were. */
interface FirstSeen {
  row: number
  at: number
  records: number
}

/** The same key with the same values is a repeat; the same key with other values is a second record, and taken. */
function repeats(
  { record, days }: ReadRow,
  row: number,
  builder: TableBuilder,
  seen: Map<string, FirstSeen>,
): string | null {
  if (!record) return null
  const key = `${record.market ?? record.supplier}\u0001${record.id}\u0001${record.day ?? ''}`
  const before = seen.get(key)
  const records = days?.length ?? 1
  if (!before) {
    seen.set(key, { row, at: builder.rows, records })
    return null
  }
  const same = days
    ? before.records === records && days.every((d, i) => builder.holds(before.at + i, { ...record, ...d }))
    : builder.holds(before.at, record)
  return same ? `an exact repeat of row ${before.row}` : null
}

/** Rejected rows as a file that can be corrected and brought again: the file's own headings, with row and reason in front. */
export function rejectedAsTable(headings: readonly string[], rejected: readonly RejectedRow[]): Cell[][] {
  return [
    [rejectColumns[0], rejectColumns[1], ...headings],
    ...rejected.map((r) => [
      r.row,
      r.reason,
      ...headings.map((_, i) => (isBlank(r.cells[i]) ? '' : (r.cells[i] as Cell))),
    ]),
  ]
}

/** Headings that a download of rejected rows adds; a file of the same shape is recognised without them. */
export const rejectColumns = ['Row in file', 'Why it was not taken'] as const
