import type { RowRecord, Table } from '../../tables'
import { FigureColumn } from './figure-column'
import type { Mapping } from '../mapping'
import { styleOfField } from '../read/cell-style'
import { isNumeric, keptFields, recordKind } from '../../records'
import { WordColumn } from './word-column'

export type ByteColumn = WordColumn | FigureColumn

/** A table that is filled from cells in bytes, or record by record where a row needs a closer look. */
export class ByteTable {
  readonly columns: readonly ByteColumn[]
  readonly #byName: Map<string, ByteColumn>
  #rows = 0

  constructor(mapping: Mapping) {
    this.columns = keptFields(recordKind(mapping.kind)).map((f) => {
      const style = styleOfField(mapping, f.name)
      return isNumeric(f.type) ? new FigureColumn(f, style) : new WordColumn(f, style)
    })
    this.#byName = new Map(this.columns.map((c) => [c.field.name, c]))
  }

  get rows(): number {
    return this.#rows
  }

  column(name: string): ByteColumn | undefined {
    return this.#byName.get(name)
  }

  /** Opens rows in which nothing is known yet. @returns the number of the first */
  open(count: number): number {
    this.#rows += count
    return this.#rows - count
  }

  add(record: RowRecord): void {
    const row = this.open(1)
    for (const column of this.columns) {
      const value = record[column.field.name]
      if (value === null || value === undefined) continue
      if (!column.isNumeric) column.set(row, column.codeOf(String(value)))
      else if (typeof value === 'number') column.set(row, value)
    }
  }

  /** Rows of the block that was read last are not taken as they stand: their words may be in no row. */
  markStray(): void {
    for (const column of this.columns) if (!column.isNumeric) column.hasStray = true
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
