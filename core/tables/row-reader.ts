import { numberAt, numbers, textAt, textColumn, type Table } from './table'

export type RowReader = ReturnType<typeof rowReader>

/** Looks columns up once, not once a row. */
export function rowReader(table: Table) {
  const columns = new Map(Object.keys(table.columns).map((n) => [n, { t: textColumn(table, n), v: numbers(table, n) }]))
  return {
    text: (name: string, row: number) => {
      const column = columns.get(name)
      return column ? textAt(column.t, row) : null
    },
    number: (name: string, row: number) => {
      const column = columns.get(name)
      return column ? numberAt(column.v, row) : null
    },
  }
}
