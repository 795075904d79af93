import { numberAt, textAt, type RowRecord, type Table } from './table'

/** The rows of a table as records; for small tables only. */
export function recordsOf({ rows, columns }: Table): RowRecord[] {
  return Array.from({ length: rows }, (_, row) =>
    Object.fromEntries(
      Object.entries(columns).map(([name, c]) => [name, c.type === 'text' ? textAt(c, row) : numberAt(c.values, row)]),
    ),
  )
}
