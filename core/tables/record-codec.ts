import { joinSeveral, splitSeveral } from './several'
import { numberIn, textIn, type RowRecord, type Table } from './table'
import type { ColumnSpec } from './table-builder'

/** How a part of a record rests: as a figure, as a text, or as several words in one text. */
export type PartType = 'number' | 'text' | 'words'

export type Unpacked<S extends Record<string, PartType>> = {
  -readonly [K in keyof S]: S[K] extends 'number' ? number | null : S[K] extends 'text' ? string | null : string[]
}

/** Records as rows of a table and back. */
export interface RecordCodec<S extends Record<string, PartType>> {
  columns: ColumnSpec[]
  /** a record as `TableBuilder` takes it; parts that are missing are unknown, further ones are left out */
  pack: (record: { [K in keyof S]?: number | string | readonly string[] | null }) => RowRecord
  at: (table: Table, row: number) => Unpacked<S>
}

/**
 * @example
 * const codec = recordCodec({ price: 'number', markets: 'words' })
 * const { columns, pack } = codec
 * codec.at(new TableBuilder(columns).add(pack({ price: 3, markets: ['A', 'B'] })).finish(), 0) // { price: 3, markets: ['A', 'B'] }
 */
export function recordCodec<const S extends Record<string, PartType>>(parts: S): RecordCodec<S> {
  const list = Object.entries(parts)
  return {
    columns: list.map(([name, type]) => ({ name, type: type === 'number' ? 'number' : 'text' })),
    // part by part into one object: lists of pairs on the way take twice as long, and there are a million records
    pack: (record) => {
      const row: RowRecord = {}
      for (const [name] of list) row[name] = packed(record[name])
      return row
    },
    at: (table, row) => {
      const record: Record<string, Part> = {}
      for (const [name, type] of list) record[name] = partAt(table, row, name, type)
      return record as Unpacked<S>
    },
  }
}

type Part = string | number | readonly string[] | null

function partAt(table: Table, row: number, name: string, type: PartType): Part {
  if (type === 'number') return numberIn(table, name, row)
  const text = textIn(table, name, row)
  return type === 'text' ? text : splitSeveral(text ?? '')
}

function packed(value: Part | undefined): string | number | null {
  if (value === null || value === undefined) return null
  if (typeof value === 'object') return value.length === 0 ? null : joinSeveral(value)
  return value
}
