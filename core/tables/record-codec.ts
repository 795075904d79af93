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
    pack: (record) =>
      Object.fromEntries(
        list.map(([name]) => [name, packed(record[name] as string | number | readonly string[] | null)]),
      ),
    at: (table, row) =>
      Object.fromEntries(
        list.map(([name, type]) => [
          name,
          type === 'number'
            ? numberIn(table, name, row)
            : type === 'text'
              ? textIn(table, name, row)
              : splitSeveral(textIn(table, name, row) ?? ''),
        ]),
      ) as Unpacked<S>,
  }
}

function packed(value: string | number | readonly string[] | null | undefined): string | number | null {
  if (value === null || value === undefined) return null
  if (typeof value === 'object') return value.length === 0 ? null : joinSeveral(value)
  return value
}
