import type { RowRecord, Table } from '../tables'
import { ByteColumn } from './byte-column'
import type { Mapping } from './propose-mapping'
import { recordKind, type Field } from './record-kinds'

/** A table that is filled from cells in bytes, or record by record where a row needs a closer look. */
export class ByteTable {
  readonly columns: readonly ByteColumn[]
  readonly #byName: Map<string, ByteColumn>
  #rows = 0

  constructor(mapping: Mapping) {
    this.columns = recordKind(mapping.kind).fields.map((f: Field) => new ByteColumn(f, mapping))
    this.#byName = new Map(this.columns.map((c) => [c.field.name, c]))
  }

  get rows(): number {
    return this.#rows
  }

  column(name: string): ByteColumn | undefined {
    return this.#byName.get(name)
  }

  /** Opens a row in which nothing is known yet. @returns its number */
  open(): number {
    const row = this.#rows++
    for (const column of this.columns) column.open(row)
    return row
  }

  add(record: RowRecord): void {
    const row = this.open()
    for (const column of this.columns) {
      const value = record[column.field.name]
      if (value === null || value === undefined) continue
      if (!column.isNumeric) column.set(row, column.codeOf(String(value)))
      else if (typeof value === 'number') column.set(row, value)
    }
  }

  /** The rows so far as a table; the next begins empty. */
  finish(): Table {
    const columns = Object.fromEntries(
      this.columns.flatMap((c) => {
        const column = c.finish(this.#rows)
        return column ? [[c.field.name, column]] : []
      }),
    )
    const rows = this.#rows
    this.#rows = 0
    return { rows, columns }
  }
}
