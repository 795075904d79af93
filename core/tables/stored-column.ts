import type { Column } from './table'
import { packWords, PackedWords, type WordBytes } from './word-list'

/** A column as it rests in the browser and travels between threads: plain arrays, words as UTF-8. */
export type StoredColumn =
  { type: 'number'; values: Float64Array } | { type: 'text'; codes: Int32Array; words: WordBytes }

export function toStored(column: Column): StoredColumn {
  return column.type === 'number' ? column : { type: 'text', codes: column.codes, words: packWords(column.words) }
}

/** The other way round; words stay packed until they are asked for. */
export function fromStored(stored: StoredColumn): Column {
  return stored.type === 'number' ? stored : { type: 'text', codes: stored.codes, words: new PackedWords(stored.words) }
}
