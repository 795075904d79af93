import type { RowRecord } from '../../tables'
import type { OpenedFile } from '../open/opened-file'
import type { Mapping } from '../mapping'
import { recordReader } from './read-record'

export interface PreviewRow {
  row: number
  /** as it will be read; null where the row cannot be taken */
  record: RowRecord | null
  rejected: string | null
  days: number
}

export interface Preview {
  rows: PreviewRow[]
  /** of the sample: rows that can be taken, and that cannot */
  taken: number
  rejected: { row: number; reason: string }[]
}

/** The first rows as a mapping reads them, and how the sample fares under it. */
export function previewRows(file: OpenedFile, mapping: Mapping, count: number): Preview {
  const read = recordReader(mapping)
  const rows = file.sample.map(({ row, cells }) => {
    const { record, days, rejected } = read(cells)
    return { row, record, rejected, days: days?.length ?? 0 }
  })
  const bad = rows.flatMap(({ row, rejected }) => (rejected === null ? [] : [{ row, reason: rejected }]))
  return { rows: rows.slice(0, count), taken: rows.length - bad.length, rejected: bad.slice(0, 20) }
}
