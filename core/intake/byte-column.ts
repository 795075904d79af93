import { ByteDictionary, hashBytes, type Column, type TextColumn, type WordList } from '../tables'
import { cellReader } from './cell-reader'
import type { ByteRows } from './opened-file'
import type { Mapping } from './propose-mapping'
import { isNumeric, type Field } from './record-kinds'
import { cellMark } from './split-bytes'

/** What a cell came to, beside its value. */
export const cellState = { unknown: 0, known: 1, notPlain: 2 } as const

const encoder = new TextEncoder()
const decoder = new TextDecoder()
const powers = [1, 10, 100, 1000, 10_000]
const [zero, point, comma] = [48, 46, 44]
const shortest = 7
const longest = { id: 80, text: 2000 } as const

/**
 * One column on its way from a file's bytes to typed values. Plain figures are read digit by digit, tidy texts go to the
 * dictionary as they stand; every other cell is read as `readValue` reads it, once for each thing that it says.
 */
export class ByteColumn {
  readonly field: Field
  /** by row of the block that was taken last: a cellState; a number or the code of a word; the currency that an amount names itself */
  states = new Uint8Array(0)
  values = new Float64Array(0)
  currencies: (string | undefined)[] | null = null
  #value = NaN
  #currency: string | null = null
  readonly #numeric: boolean
  readonly #tidy: number
  readonly #decimal: number
  readonly #read: ReturnType<typeof cellReader>
  /** by raw cell: state and value, once read */
  readonly #met = new ByteDictionary()
  readonly #metStates: number[] = []
  readonly #metValues: number[] = []
  readonly #metCurrencies: (string | null)[] = []
  readonly #words = new ByteDictionary()
  /** words from elsewhere that come again and again */
  readonly #coded = new Map<string, number>()
  #codes = new Int32Array(1024)
  #values = new Float64Array(0)
  #known = false

  constructor(field: Field, mapping: Mapping) {
    this.field = field
    this.#numeric = isNumeric(field.type)
    this.#tidy = field.type === 'text' || field.type === 'id' ? longest[field.type] : 0
    this.#decimal = mapping.number.decimal === '.' ? point : comma
    this.#read = cellReader(field, mapping)
    if (this.#numeric) [this.#codes, this.#values] = [new Int32Array(0), new Float64Array(1024)]
  }

  /**
   * Reads this column's cells of all rows of a block, one column after the other rather than row by row: the loop stays small.
   * What came of each row is in `states`, `values` and `currencies` until the next block.
   *
   * @param place of the column in the file
   * @param hashes both hashes of each row, to which the cells' hashes are added
   */
  takeBlock(
    { bytes, edges }: Pick<ByteRows, 'bytes' | 'edges'>,
    place: number,
    [first, second]: [Int32Array, Int32Array],
  ): void {
    const { starts, ends, hashes, marks, rowEnds, rows } = edges
    if (this.states.length < rows) [this.states, this.values] = [new Uint8Array(rows), new Float64Array(rows)]
    const { states, values } = this
    this.currencies = null
    for (let row = 0, from = 0; row < rows; row++) {
      const to = rowEnds[row] as number
      const cell = from + place
      from = to
      let [state, hash] = [cellState.unknown as number, 0]
      if (cell < to) {
        hash = hashes[cell] as number
        const mark = marks[cell] as number
        if (mark === cellMark.doubled) state = cellState.notPlain
        else {
          state = this.#take(bytes, starts[cell] as number, ends[cell] as number, hash, mark === 0)
          values[row] = this.#value
          if (this.#currency !== null && state === cellState.known) (this.currencies ??= [])[row] = this.#currency
        }
      }
      states[row] = state
      first[row] = Math.imul((first[row] as number) ^ hash, 0x01000193) ^ ((first[row] as number) >>> 15)
      second[row] = Math.imul((second[row] as number) ^ hash, 0x01000197) ^ ((second[row] as number) >>> 13)
    }
  }

  #take(bytes: Uint8Array, start: number, end: number, hash: number, isTidy: boolean): number {
    if (this.#numeric) return this.#takeFigure(bytes, start, end, hash)
    const length = end - start
    if (!isTidy || length <= shortest || length > this.#tidy) return this.#takeMet(bytes, start, end, hash)
    this.#value = this.#words.codeOf(bytes, start, end, hash)
    return cellState.known
  }

  set(row: number, value: number): void {
    this.#known = true
    if (this.#numeric) this.#values[row] = value
    else this.#codes[row] = value
  }

  /** The code of a word that comes from elsewhere. */
  codeOf(word: string): number {
    let code = this.#coded.get(word)
    if (code === undefined) {
      const bytes = encoder.encode(word)
      code = this.#words.codeOf(bytes, 0, bytes.length, hashBytes(bytes, 0, bytes.length))
      if (this.#coded.size < 1000) this.#coded.set(word, code)
    }
    return code
  }

  get isNumeric(): boolean {
    return this.#numeric
  }

  /** Makes room for a row; all values in it are unknown. */
  open(row: number): void {
    if (this.#numeric) {
      if (row >= this.#values.length) this.#values = grown(this.#values, new Float64Array(row * 2))
      this.#values[row] = NaN
    } else {
      if (row >= this.#codes.length) this.#codes = grown(this.#codes, new Int32Array(row * 2))
      this.#codes[row] = -1
    }
  }

  /** The column of the rows so far, null where nothing is known; it begins anew. */
  finish(rows: number): Column | null {
    const known = this.#known
    this.#known = false
    if (!known) return null
    if (this.#numeric) return { type: 'number', values: this.#values.slice(0, rows) }
    const column: Column = onlyUsed(this.#codes.slice(0, rows), this.#words.words())
    this.#words.clear()
    this.#coded.clear()
    this.#forget()
    return column
  }

  /** `-12.50` and its like, digit by digit; anything else is read as it is elsewhere. */
  #takeFigure(bytes: Uint8Array, start: number, end: number, hash: number): number {
    let [whole, digits, decimals, marks] = [0, 0, 0, 0]
    for (let i = start; i < end; i++) {
      const b = bytes[i] as number
      const digit = b - zero
      if (digit >= 0 && digit <= 9) {
        whole = whole * 10 + digit
        digits++
        decimals += marks
      } else if (b === this.#decimal && digits > 0) marks++
      else marks = 9
    }
    const { type } = this.field
    const plain = digits > 0 && digits <= 11 && (marks === 0 || (marks === 1 && decimals > 0 && decimals <= 4))
    if (!plain || type === 'day' || type === 'lead') return this.#takeMet(bytes, start, end, hash)
    this.#currency = null
    const value = whole / (powers[decimals] as number)
    if (type === 'money') this.#value = whole * (powers[4 - decimals] as number)
    else if (type === 'ratio') this.#value = value > 3 ? value / 100 : value
    else if (type === 'rating' ? value > 5 : !Number.isInteger(value)) return this.#takeMet(bytes, start, end, hash)
    else this.#value = value
    return cellState.known
  }

  #takeMet(bytes: Uint8Array, start: number, end: number, hash: number): number {
    this.#currency = null
    if (start === end) return cellState.unknown
    if (this.#met.length > 20_000) this.#forget()
    const at = this.#met.codeOf(bytes, start, end, hash)
    if (at === this.#metStates.length) this.#readNew(decoder.decode(bytes.subarray(start, end)))
    this.#value = this.#metValues[at] as number
    this.#currency = this.#metCurrencies[at] ?? null
    return this.#metStates[at] as number
  }

  #readNew(text: string): void {
    const { value, reason, currency } = this.#read(text)
    this.#metCurrencies.push(currency)
    this.#metStates.push(reason !== null ? cellState.notPlain : value === null ? cellState.unknown : cellState.known)
    this.#metValues.push(typeof value === 'string' ? this.codeOf(value) : (value ?? NaN))
  }

  /** Codes that are remembered belong to the words that are gone. */
  #forget(): void {
    this.#met.clear()
    this.#metStates.length = 0
    this.#metValues.length = 0
    this.#metCurrencies.length = 0
  }
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

function grown<T extends Int32Array | Float64Array>(old: T, larger: T): T {
  larger.set(old)
  return larger
}
