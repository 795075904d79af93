import type { TableBuilder } from './table-builder'
import { numberAt, textAt, type RowRecord, type Table } from './table'

/** Adds the rows of a table to a builder, those that a test lets through. @param passes asked with each row's number */
export function appendRows(builder: TableBuilder, table: Table, passes: (row: number) => boolean = () => true): void {
  const columns = Object.entries(table.columns)
  for (let row = 0; row < table.rows; row++) {
    if (!passes(row)) continue
    const record: RowRecord = {}
    for (const [name, column] of columns)
      record[name] = column.type === 'text' ? textAt(column, row) : numberAt(column.values, row)
    builder.add(record)
  }
}
