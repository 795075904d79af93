import type { Column } from './table'
import { narrowCodes, narrowNumbers, widenCodes, widenNumbers, type NarrowCodes, type NarrowNumbers } from './narrow'
import { packWords, PackedWords, type WordBytes } from './word-list'

/**
 * A column as it rests in the browser: numbers and codes as narrow as they go, words as UTF-8. What was kept before columns were
 * made narrow is read all the same.
 */
export type StoredColumn =
  { type: 'number'; values: NarrowNumbers } | { type: 'text'; codes: NarrowCodes; words: WordBytes }

export function toStored(column: Column): StoredColumn {
  if (column.type === 'number') return { type: 'number', values: narrowNumbers(column.values) }
  return { type: 'text', codes: narrowCodes(column.codes, column.words.length), words: packWords(column.words) }
}

/** The other way round; words stay packed until they are asked for. */
export function fromStored(stored: StoredColumn): Column {
  if (stored.type === 'number') return { type: 'number', values: widenNumbers(stored.values) }
  return { type: 'text', codes: widenCodes(stored.codes), words: new PackedWords(stored.words) }
}
