import { ByteDictionary } from '../../tables'
import { readCell } from '../read/cell-reader'
import type { ByteRows } from '../open/opened-file'
import type { CellStyle } from '../read/cell-style'
import type { Field } from '../../records'

/** What a cell came to, beside its value. */
export const cellState = { unknown: 0, known: 1, notPlain: 2 } as const

/** The rows of a block, with a view from which four bytes are read at once. */
export type BlockView = Pick<ByteRows, 'bytes' | 'edges'> & { view: DataView }

const most = 20_000
const decoder = new TextDecoder()

/** Cells of a column that are not plain, each read as `readValue` reads it, once for each thing that it says. */
export class MetCells {
  readonly #field: Field
  readonly #style: CellStyle
  readonly #codeOf: (word: string) => number
  readonly #met = new ByteDictionary()
  readonly #states: number[] = []
  readonly #values: number[] = []
  readonly #currencies: (string | null)[] = []

  /** @param codeOf the number of a word that a cell came to */
  constructor(field: Field, style: CellStyle, codeOf: (word: string) => number) {
    this.#field = field
    this.#style = style
    this.#codeOf = codeOf
  }

  /** The cell's number, by which the other methods know it until the next call. */
  find(view: DataView, start: number, end: number, hash: number): number {
    if (this.#met.length > most) this.clear()
    const at = this.#met.codeOf(view, start, end, hash)
    if (at === this.#states.length) this.#readNew(textOf(view, start, end))
    return at
  }

  stateOf(at: number): number {
    return this.#states[at] as number
  }

  /** A number, or the code of a word. */
  valueOf(at: number): number {
    return this.#values[at] as number
  }

  /** The currency that an amount names itself. */
  currencyOf(at: number): string | null {
    return this.#currencies[at] ?? null
  }

  clear(): void {
    this.#met.clear()
    this.#states.length = 0
    this.#values.length = 0
    this.#currencies.length = 0
  }

  #readNew(text: string): void {
    const { value, reason, currency } = readCell(text, this.#field, this.#style)
    this.#currencies.push(currency)
    this.#states.push(reason !== null ? cellState.notPlain : value === null ? cellState.unknown : cellState.known)
    this.#values.push(typeof value === 'string' ? this.#codeOf(value) : (value ?? NaN))
  }
}

/** Short plain texts letter by letter: a call of the decoder takes longer than they do. */
function textOf(view: DataView, start: number, end: number): string {
  let text = ''
  if (end - start <= 24)
    for (let i = start; i < end && view.getUint8(i) < 128; i++) text += String.fromCharCode(view.getUint8(i))
  if (text.length === end - start) return text
  return decoder.decode(new Uint8Array(view.buffer, view.byteOffset + start, end - start))
}
