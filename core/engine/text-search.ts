import { textColumn, type Table, type TextColumn } from '../tables'

/** Words of a column as large folded texts, one word a line: the platform's own search runs over them. */
interface Chunk {
  text: string
  /** where each line begins */
  starts: Uint32Array
  /** code of the first line */
  first: number
}

const linesPerChunk = 20_000

/** Case and accents do not count. */
export function fold(text: string): string {
  return text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
}

/** Searches text columns of listings for parts of words. The folded texts are made on the first search. */
export class TextSearch {
  readonly #names: readonly string[]
  readonly #columns: TextColumn[]
  readonly #chunks: (Chunk[] | null)[]
  readonly #rows: number

  constructor(table: Table, names: readonly string[]) {
    this.#rows = table.rows
    this.#names = names
    this.#columns = names.map((name) => textColumn(table, name))
    this.#chunks = names.map(() => null)
  }

  /** 1 for each row where any of the columns, or one of them alone, contains the text, which must be folded. */
  rowsWith(text: string, only: string | null = null): Uint8Array {
    const hits = new Uint8Array(this.#rows)
    this.#columns.forEach((column, c) => {
      if (only !== null && this.#names[c] !== only) return
      const words = this.#wordsWith(c, text)
      for (let i = 0; i < hits.length; i++) {
        const code = column.codes[i] as number
        if (code >= 0 && words[code] === 1) hits[i] = 1
      }
    })
    return hits
  }

  #wordsWith(column: number, text: string): Uint8Array {
    const words = (this.#columns[column] as TextColumn).words
    const found = new Uint8Array(words.length)
    const chunks = (this.#chunks[column] ??= chunksOf(words))
    for (const { text: lines, starts, first } of chunks) {
      let line = 0
      for (let at = lines.indexOf(text); at >= 0;) {
        while (line + 1 < starts.length && (starts[line + 1] as number) <= at) line++
        found[first + line] = 1
        // On with the next line: one hit a word is enough.
        at = line + 1 < starts.length ? lines.indexOf(text, starts[line + 1]) : -1
      }
    }
    return found
  }
}

function chunksOf(words: TextColumn['words']): Chunk[] {
  const chunks: Chunk[] = []
  for (let first = 0; first < words.length; first += linesPerChunk) {
    const lines: string[] = []
    const end = Math.min(words.length, first + linesPerChunk)
    for (let i = first; i < end; i++) lines.push((words.at(i) ?? '').replaceAll('\n', ' '))
    const text = fold(lines.join('\n'))
    const starts = new Uint32Array(lines.length)
    let at = 0
    for (let i = 1; i < lines.length; i++) {
      at = text.indexOf('\n', at) + 1
      starts[i] = at
    }
    chunks.push({ text, starts, first })
  }
  return chunks
}
