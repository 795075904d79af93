import { isNumeric, keptFields, type RecordKind } from '../records'
import { recordReader, type Mapping, type RejectedRow } from '../intake'
import { TableBuilder, type Table } from '../tables'
import { scanFilter, type LimitName } from './scan-filter'
import type { ScanLimits } from './scan-plan'

/** One page of a source's answer, as it says so itself: never trusted, read like a file. */
export interface SourcePage {
  total: number
  asOf: string
  capturedOn: string
  windowDays: number
  records: unknown[]
}

export interface ReadPage {
  table: Table
  rejected: RejectedRow[]
  discarded: Partial<Record<LimitName, number>>
}

/**
 * A function that reads the records of pages into typed rows, under the limits of a scan.
 *
 * @param about.from name of the market or supplier that the source tells of
 */
export function pageReader(
  kind: RecordKind,
  { from, ...about }: { from: string; capturedOn: number; windowDays: number },
  limits: ScanLimits,
) {
  const fields = keptFields(kind)
  const mapping: Mapping = {
    kind: kind.name,
    columns: fields.map((f) => ({ as: 'field', field: f.name })),
    styles: fields.map(() => ({})),
    number: { decimal: '.', group: '' },
    order: 'dmy',
    market: kind.from === 'market' ? from : null,
    supplier: kind.from === 'supplier' ? from : null,
    currency: null,
    latestDay: null,
    ...about,
  }
  const read = recordReader(mapping)
  const discards = scanFilter(limits, kind)
  /** @param firstRow number of the page's first record in the whole scan, from 1 */
  return (records: readonly unknown[], firstRow: number): ReadPage => {
    const builder = new TableBuilder(
      fields.map((f) => ({ name: f.name, type: isNumeric(f.type) ? ('number' as const) : ('text' as const) })),
    )
    const rejected: RejectedRow[] = []
    const discarded: ReadPage['discarded'] = {}
    records.forEach((source, i) => {
      const cells = fields.map((f) => cellOf(source, f.name))
      const { record, rejected: reason } = read(cells)
      if (!record) return void rejected.push({ row: firstRow + i, reason: reason ?? 'not read', cells })
      const limit = discards(record)
      if (limit) discarded[limit] = (discarded[limit] ?? 0) + 1
      else builder.add(record)
    })
    return { table: builder.finish(), rejected, discarded }
  }
}

/** A plain value under a name of the record's own; lists of words are joined, anything else is not known. */
function cellOf(source: unknown, name: string): string | number | boolean | null {
  if (typeof source !== 'object' || source === null || !Object.hasOwn(source, name)) return null
  const value = (source as Record<string, unknown>)[name]
  if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean') return value
  return Array.isArray(value) && value.every((v) => typeof v === 'string') ? value.join('|') : null
}
