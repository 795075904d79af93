import { ByteDictionary, hashBytes, viewOf, type TextColumn, type WordList } from '../../tables'
import { MetCells, cellState, type BlockView } from './met-cells'
import type { CellStyle } from '../read/cell-style'
import type { Field } from '../../records'
import { cellMark } from './split-bytes'

const encoder = new TextEncoder()
/** such a cell may be disarmed, and is looked at more closely */
const apostrophe = 0x27
/** shorter cells may be a way of saying nothing, longer ones are cut or refused */
const [shortest, longest] = [7, { id: 80, text: 2000 }] as const

/** A column of words on its way from a file's bytes: tidy texts go to the dictionary as they stand. */
export class WordColumn {
  readonly field: Field
  readonly isNumeric = false
  /** words in doubt or from rows that were not taken may be in the dictionary */
  hasStray = false
  /** by row of the block that was taken last: a word's code, -1 where there is none */
  values = new Int32Array(0)
  readonly currencies = null
  readonly #tidy: number
  readonly #met: MetCells
  readonly #words = new ByteDictionary()
  /** words from elsewhere that come again and again */
  readonly #coded = new Map<string, number>()
  #codes = new Int32Array(0)

  constructor(field: Field, style: CellStyle) {
    this.field = field
    this.#tidy = field.type === 'text' || field.type === 'id' ? longest[field.type] : 0
    this.#met = new MetCells(field, style, (word) => this.codeOf(word))
  }

  /**
   * Reads this column's cells of all rows of a block into `values`.
   *
   * @param place of the column in the file
   * @param plain by row; 0 is set where a cell needs a closer look
   */
  takeBlock({ view, edges }: BlockView, place: number, plain: Uint8Array): void {
    const { starts, ends, hashes, marks, rowEnds, rows } = edges
    if (this.values.length < rows) this.values = new Int32Array(rows)
    const values = this.values
    for (let row = 0, from = 0; row < rows; row++) {
      const to = rowEnds[row] as number
      const cell = from + place
      from = to
      values[row] = -1
      if (cell >= to) continue
      const start = starts[cell] as number
      const end = ends[cell] as number
      const hash = hashes[cell] as number
      const mark = marks[cell]
      const length = end - start
      if (mark === cellMark.doubled) plain[row] = 0
      else if (mark === 0 && length > shortest && length <= this.#tidy && view.getUint8(start) !== apostrophe)
        values[row] = this.#words.codeOf(view, start, end, hash)
      else if (length > 0) {
        const at = this.#met.find(view, start, end, hash)
        if (this.#met.stateOf(at) === cellState.known) values[row] = this.#met.valueOf(at)
        else if (this.#met.stateOf(at) === cellState.notPlain) plain[row] = 0
      }
    }
  }

  isKnown(row: number): boolean {
    return (this.values[row] as number) >= 0
  }

  /** Rows `from` to `to` of the block go to row `at` of the table and those after it. */
  put(from: number, to: number, at: number): void {
    this.#reach(at + to - from)
    this.#codes.set(this.values.subarray(from, to), at)
  }

  set(row: number, code: number): void {
    this.#reach(row + 1)
    this.#codes[row] = code
  }

  /** One code for all rows of a stretch. */
  fill(code: number, from: number, to: number): void {
    this.#reach(to)
    this.#codes.fill(code, from, to)
  }

  /** The code of a word that comes from elsewhere. */
  codeOf(word: string): number {
    let code = this.#coded.get(word)
    if (code === undefined) {
      const { view, length } = laidOut(word)
      code = this.#words.codeOf(view, 0, length, hashBytes(view, 0, length))
      if (this.#coded.size < 1000) this.#coded.set(word, code)
    }
    return code
  }

  /** The column of the rows so far, null where nothing is known; it begins anew. */
  finish(rows: number): TextColumn | null {
    if (!this.#codes.some((code) => code >= 0)) return null
    this.#reach(rows)
    const all: TextColumn = { type: 'text', codes: this.#codes.slice(0, rows), words: this.#words.words() }
    const column = this.hasStray ? onlyUsed(all.codes, all.words) : all
    this.hasStray = false
    this.#codes.fill(-1)
    this.#words.clear()
    this.#coded.clear()
    // codes that are remembered belong to the words that are gone
    this.#met.clear()
    return column
  }

  #reach(rows: number): void {
    if (rows <= this.#codes.length) return
    const larger = new Int32Array(Math.max(1024, rows * 2)).fill(-1)
    larger.set(this.#codes)
    this.#codes = larger
  }
}

const bench = new DataView(new ArrayBuffer(64))

/** A word's UTF-8. Short plain ones are laid out letter by letter, in the same place each time: that takes less than a call of the encoder. */
function laidOut(word: string): { view: DataView; length: number } {
  let length = 0
  for (; length < word.length && length < bench.byteLength; length++) {
    const unit = word.charCodeAt(length)
    if (unit > 127) break
    bench.setUint8(length, unit)
  }
  if (length === word.length) return { view: bench, length }
  const bytes = encoder.encode(word)
  return { view: viewOf(bytes), length: bytes.length }
}

/** Words of rows that were not taken in the end go. */
function onlyUsed(codes: Int32Array, words: WordList): TextColumn {
  const next = new Int32Array(words.length).fill(-1)
  const used: number[] = []
  for (const code of codes) if (code >= 0 && next[code] === -1) next[code] = used.push(code) - 1
  if (used.length === words.length) return { type: 'text', codes, words }
  return {
    type: 'text',
    codes: codes.map((c) => (c < 0 ? -1 : (next[c] as number))),
    words: used.map((c) => words.at(c) ?? ''),
  }
}
