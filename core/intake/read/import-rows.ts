import { calendarDay } from '../../identity'
import type { RowRecord, Table } from '../../tables'
import type { OpenedFile } from '../open/opened-file'
import type { Mapping } from '../mapping'
import { recordReader, type ReadRow } from './read-record'
import type { RejectedRow } from '../rejected-rows'
import { recordKind } from '../../records'
import { isForBytes, type RowCheck } from '../bytes/import-bytes'
import { byteLane, textLane } from './lanes'
import { OfferSteps } from './offer-steps'

export interface ImportResult {
  /** all records, or those after the last segment that was handed over */
  table: Table
  /** records in each segment, the last being `table` where it holds any */
  segments: number[]
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
  /** Takes the records over piece by piece, so that a large file never stands in memory whole. Without it there is one table. */
  onSegment?: (table: Table, segment: number) => Promise<void>
  /** records in a segment, at least (default 50,000) */
  segmentRows?: number
}

const kept = 20_000
const mostTold = 100

/**
 * Reads every row under the mapping into a typed table. Rows that cannot be taken come back with number and reason;
 * a row that repeats an earlier one to the letter is one of them.
 *
 * @throws Problem 'cancelled'
 */
export async function importRows(
  file: OpenedFile,
  mapping: Mapping,
  options: ImportOptions = {},
): Promise<ImportResult> {
  const { signal, onProgress, pause, onSegment, segmentRows = 50_000 } = options
  const read = recordReader(mapping)
  const days = new DaySense()
  const steps = mapping.columns.some((c) => c.as === 'field' && c.field === 'tierFrom') ? new OfferSteps() : null
  const { dayMeans, dayField = 'day' } = recordKind(mapping.kind)
  const result = nothingTaken(mapping)
  /** Takes a row as text, or refuses it with its reason. */
  const check: RowCheck = (row, cells, isRepeatOf, add) => {
    const { record, days: wide, rejected, doubts } = read(cells)
    const before = record ? isRepeatOf() : null
    if (before !== null || !record) {
      const reason = before === null ? (rejected ?? 'not read') : `an exact repeat of row ${before}`
      return refuse(result, { row, reason, cells })
    }
    if (steps) steps.add(record)
    else addRecords(add, record, wide, (day) => days.add(day), dayField)
    result.taken++
    for (const doubt of doubts) {
      if (result.doubts.length < kept) result.doubts.push({ row, ...doubt })
      else result.doubtsMore++
    }
  }
  const lane =
    file.byteRows && isForBytes(mapping)
      ? byteLane(file.byteRows, mapping, check, (day) => days.add(day))
      : textLane(file, mapping, check, strangeNames(result))
  for await (const { done, taken } of lane.steps(signal)) {
    result.taken += taken
    if (onSegment && lane.rows() >= segmentRows) {
      const table = lane.finish()
      await onSegment(table, result.segments.length)
      result.segments.push(table.rows)
    }
    onProgress?.(done, result.taken)
    await pause?.()
  }
  for (const record of steps?.records() ?? []) lane.add(record)
  result.table = lane.finish()
  if (result.table.rows > 0 || result.segments.length === 0) result.segments.push(result.table.rows)
  if (dayMeans) result.capturedOn = Math.max(result.capturedOn, dayMeans === 'period' ? days.periodEnd : days.last)
  return result
}

function nothingTaken({ capturedOn }: Mapping): ImportResult {
  return {
    table: { rows: 0, columns: {} },
    segments: [],
    taken: 0,
    rejected: [],
    rejectedMore: 0,
    doubts: [],
    doubtsMore: 0,
    capturedOn,
  }
}

function refuse(result: ImportResult, rejected: RejectedRow): void {
  if (result.rejected.length < kept) result.rejected.push(rejected)
  else result.rejectedMore++
}

/** Fields that the first rows do not have: each is told of once. */
function strangeNames(result: ImportResult) {
  const told = new Set<string>()
  return (row: number, names: readonly string[]) => {
    for (const name of names) {
      if (told.has(name) || told.size >= mostTold) continue
      told.add(name)
      result.doubts.push({ row, field: name, reason: 'a name that none of the first rows has: it is not read' })
    }
  }
}

/** Up to which day rows speak. Days that all lie whole weeks apart begin weeks, those that all begin a month begin months. */
class DaySense {
  /** -Infinity where no row names a day */
  last = -Infinity
  #first: number | null = null
  #differ = false
  #weeks = true
  #months = true

  add(day: number): void {
    this.#first ??= day
    if (day > this.last) this.last = day
    if (day !== this.#first) this.#differ = true
    if ((day - this.#first) % 7 !== 0) this.#weeks = false
    if (this.#months && calendarDay(day).of !== 1) this.#months = false
  }

  get periodEnd(): number {
    if (!this.#differ) return this.last
    // A day of the month after, less the days of it that have gone.
    if (this.#months) return this.last + 32 - calendarDay(this.last + 32).of
    return this.#weeks ? this.last + 6 : this.last
  }
}

/** Adds a row's record, or one for each day of a wide row. */
function addRecords(
  add: (record: RowRecord) => void,
  record: RowRecord,
  wide: ReadRow['days'],
  onDay: (day: number) => void,
  dayField: string,
): void {
  if (!wide) {
    add(record)
    const day = record[dayField]
    if (typeof day === 'number') onDay(day)
    return
  }
  for (const { day, units } of wide) {
    record.day = day
    record.units = units
    add(record)
    onDay(day)
  }
}
