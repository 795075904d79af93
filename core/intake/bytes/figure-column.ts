import type { Column } from '../../tables'
import { MetCells, cellState, type BlockView } from './met-cells'
import type { CellStyle } from '../read/cell-style'
import type { Field } from '../../records'
import { plainFigure } from './plain-figure'
import { cellMark } from './split-bytes'

const [point, comma] = [46, 44]

/** A column of figures on its way from a file's bytes to numbers: plain ones are read digit by digit. */
export class FigureColumn {
  readonly field: Field
  readonly isNumeric = true
  /** by row of the block that was taken last, NaN where there is none */
  values = new Float64Array(0)
  /** by row of that block, where an amount names its currency itself */
  currencies: (string | undefined)[] | null = null
  readonly #decimal: number
  readonly #isPercent: boolean
  readonly #met: MetCells
  #numbers = new Float64Array(0)

  constructor(field: Field, style: CellStyle) {
    this.field = field
    this.#decimal = style.number.decimal === '.' ? point : comma
    this.#isPercent = style.ratio === 'percent'
    this.#met = new MetCells(field, style, () => NaN)
  }

  /**
   * Reads this column's cells of all rows of a block into `values`.
   *
   * @param place of the column in the file
   * @param plain by row; 0 is set where a cell needs a closer look
   */
  takeBlock({ bytes, view, edges }: BlockView, place: number, plain: Uint8Array): void {
    const { starts, ends, hashes, marks, rowEnds, rows } = edges
    const { type } = this.field
    const mayBePlain = type !== 'day' && type !== 'lead' && type !== 'weight'
    if (this.values.length < rows) this.values = new Float64Array(rows)
    const values = this.values
    this.currencies = null
    for (let row = 0, from = 0; row < rows; row++) {
      const to = rowEnds[row] as number
      const cell = from + place
      from = to
      values[row] = NaN
      if (cell >= to) continue
      const start = starts[cell] as number
      const end = ends[cell] as number
      if (marks[cell] === cellMark.doubled) plain[row] = 0
      else if (start < end) {
        const value = mayBePlain ? valueAs(type, plainFigure(bytes, start, end, this.#decimal), this.#isPercent) : NaN
        if (value === value) values[row] = value
        else this.#takeMet(row, this.#met.find(view, start, end, hashes[cell] as number), plain)
      }
    }
  }

  #takeMet(row: number, at: number, plain: Uint8Array): void {
    const state = this.#met.stateOf(at)
    if (state === cellState.notPlain) plain[row] = 0
    if (state !== cellState.known) return
    this.values[row] = this.#met.valueOf(at)
    const currency = this.#met.currencyOf(at)
    if (currency !== null) (this.currencies ??= [])[row] = currency
  }

  isKnown(row: number): boolean {
    return !Number.isNaN(this.values[row])
  }

  /** Rows `from` to `to` of the block go to row `at` of the table and those after it. */
  put(from: number, to: number, at: number): void {
    this.#reach(at + to - from)
    this.#numbers.set(this.values.subarray(from, to), at)
  }

  set(row: number, value: number): void {
    this.#reach(row + 1)
    this.#numbers[row] = value
  }

  /** The column of the rows so far, null where nothing is known; it begins anew. */
  finish(rows: number): Column | null {
    if (!this.#numbers.some((value) => !Number.isNaN(value))) return null
    this.#reach(rows)
    const values = this.#numbers.slice(0, rows)
    this.#numbers.fill(NaN)
    return { type: 'number', values }
  }

  #reach(rows: number): void {
    if (rows <= this.#numbers.length) return
    const larger = new Float64Array(Math.max(1024, rows * 2)).fill(NaN)
    larger.set(this.#numbers)
    this.#numbers = larger
  }
}

/** A figure as its field holds it; NaN where the field needs a closer look. */
function valueAs(type: Field['type'], tenThousandths: number, isPercent: boolean): number {
  if (type === 'money') return tenThousandths
  const value = tenThousandths / 10_000
  if (type === 'ratio') return isPercent ? value / 100 : value
  if (type === 'rating') return value > 5 ? NaN : value
  return Number.isInteger(value) ? value : NaN
}
