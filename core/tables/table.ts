import type { WordList } from './word-list'

/** Text by dictionary: `codes[row]` points into `words`; -1 is unknown. */
export interface TextColumn {
  type: 'text'
  codes: Int32Array
  words: WordList
}

/** Numbers; NaN is unknown. Money is in E4, days are days since 1970, ratios are plain (0.25 = 25 %). */
export interface NumberColumn {
  type: 'number'
  values: Float64Array
}

export type Column = TextColumn | NumberColumn

/** Typed columns of one length, the one way rows are kept, stored and computed on. */
export interface Table {
  rows: number
  columns: Record<string, Column>
}

export type RowValue = string | number | null
export type RowRecord = Record<string, RowValue>

/** The text column of a table, or an all-unknown one where the table lacks it. */
export function textColumn(table: Table, name: string): TextColumn {
  const column = table.columns[name]
  if (column?.type === 'text') return column
  return { type: 'text', codes: new Int32Array(table.rows).fill(-1), words: [] }
}

/** The values of a number column, or all NaN where the table lacks it. */
export function numbers(table: Table, name: string): Float64Array {
  const column = table.columns[name]
  return column?.type === 'number' ? column.values : new Float64Array(table.rows).fill(NaN)
}

export function textAt(column: TextColumn, row: number): string | null {
  const code = column.codes[row] ?? -1
  return code < 0 ? null : (column.words.at(code) ?? null)
}

export function numberAt(values: Float64Array, row: number): number | null {
  const value = values[row] ?? NaN
  return Number.isNaN(value) ? null : value
}

/** A figure of a table that may lack the column: nothing is made up for the other rows, so it can be asked row by row. */
export function numberIn(table: Table, name: string, row: number): number | null {
  const column = table.columns[name]
  return column?.type === 'number' ? numberAt(column.values, row) : null
}

/** A text of a table that may lack the column, likewise. */
export function textIn(table: Table, name: string, row: number): string | null {
  const column = table.columns[name]
  return column?.type === 'text' ? textAt(column, row) : null
}
