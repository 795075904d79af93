import { hashBytes, type RowRecord, type Table } from '../tables'
import { isBlank, type ByteRows, type Cell } from './opened-file'
import { cellState, type ByteColumn } from './byte-column'
import { ByteTable } from './byte-table'
import type { Mapping } from './propose-mapping'
import { RepeatFinder } from './repeat-finder'
import { recordKind } from './record-kinds'
import { cellMark } from './split-bytes'

/** What becomes of a row that is not plain: it is read cell by cell, and taken or refused with its reason. */
export interface CloserLook {
  (row: number, cells: Cell[], isRepeatOf: () => number | null, add: (record: RowRecord) => void): void
}

/** Can a file under this mapping be read from its bytes? Price steps and days across a row need every cell as text. */
export function isForBytes(mapping: Mapping): boolean {
  return mapping.kind !== 'offers' && mapping.columns.every((c) => c.as === 'field' || c.as === 'unused')
}

const decoder = new TextDecoder()
const encoder = new TextEncoder()

/**
 * Reads rows from bytes into a table without making texts of them. A row that is plain (every cell read without a doubt, and all
 * there that its kind needs) is taken at once; any other goes to `look`, which reads it as text.
 */
export class ByteImporter {
  readonly table: ByteTable
  readonly #mapping: Mapping
  readonly #at: (ByteColumn | null)[]
  /** columns that the file holds */
  readonly #read: ByteColumn[]
  /** null where the file lacks one */
  readonly #needed: (ByteColumn | null)[]
  readonly #money: ByteColumn[]
  readonly #look: CloserLook
  readonly #repeats = new RepeatFinder([])
  /** the currency's column, where no column of the file says it */
  readonly #currency: ByteColumn | null
  readonly #day: ByteColumn | null
  readonly #onDay: (day: number) => void
  readonly #fill: { column: ByteColumn; isRead: boolean; word: string }[]

  /** @param onDay hears the day of each row of sales that is taken at once */
  constructor(mapping: Mapping, look: CloserLook, onDay: (day: number) => void) {
    const kind = recordKind(mapping.kind)
    this.#mapping = mapping
    this.#look = look
    this.#onDay = onDay
    this.table = new ByteTable(mapping)
    this.#at = mapping.columns.map((use) => (use.as === 'field' ? (this.table.column(use.field) ?? null) : null))
    const needed = kind.fields.filter((f) => f.required).map((f) => this.table.column(f.name) as ByteColumn)
    this.#read = this.#at.filter((c) => c !== null)
    this.#needed = needed.map((c) => (this.#at.includes(c) ? c : null))
    this.#money = needed.filter((c) => c.field.type === 'money')
    const stated = this.table.column('currency')
    this.#currency = stated && !this.#at.includes(stated) ? stated : null
    this.#day = mapping.kind === 'sales' ? (this.table.column('day') ?? null) : null
    this.#fill = [['currency', mapping.currency] as const, [kind.from, mapping[kind.from]] as const].flatMap(
      ([name, word]) => {
        const column = this.table.column(name)
        return column && word !== null ? [{ column, isRead: this.#at.includes(column), word }] : []
      },
    )
  }

  /** Takes the rows of a block. @param skip rows up to this number are above the table @returns rows that were taken at once */
  take(block: ByteRows, skip: number): number {
    const { rows, rowEnds } = block.edges
    const first = new Int32Array(rows).fill(0x811c9dc5)
    const second = new Int32Array(rows).fill(0x2545f491)
    this.#at.forEach((column, place) => column?.takeBlock(block, place, [first, second]))
    let taken = 0
    for (let r = 0, from = 0; r < rows; r++) {
      const to = rowEnds[r] as number
      const row = block.firstRow + r
      if (row > skip) {
        const isRepeatOf = () => this.#repeats.seenHash(row, first[r] as number, second[r] as number)
        if (!this.#isPlain(r)) this.#closer(block, row, [from, to], isRepeatOf)
        else {
          const before = isRepeatOf()
          if (before !== null) this.#closer(block, row, [from, to], () => before)
          else {
            this.#put(r)
            taken++
          }
        }
      }
      from = to
    }
    return taken
  }

  finish(): Table {
    return this.table.finish()
  }

  /** No cell is in doubt, all is there that the kind needs, and every needed amount is above zero. */
  #isPlain(r: number): boolean {
    for (const column of this.#read) {
      if (column.states[r] === cellState.notPlain) return false
      // a column of currencies has the last word, cell by cell
      if (column.currencies !== null && this.#currency === null && column.currencies[r] !== undefined) return false
    }
    for (const column of this.#needed) if (column?.states[r] !== cellState.known) return false
    for (const column of this.#money) if (!((column.values[r] as number) > 0)) return false
    return true
  }

  #put(r: number): void {
    const at = this.table.open()
    let currency: string | undefined
    for (const column of this.#read) {
      if (column.states[r] !== cellState.known) continue
      column.set(at, column.values[r] as number)
      if (column.currencies !== null) currency ??= column.currencies[r]
    }
    for (const { column, isRead, word } of this.#fill)
      if (!isRead || column.states[r] !== cellState.known) column.set(at, column.codeOf(word))
    if (currency !== undefined) this.#currency?.set(at, this.#currency.codeOf(currency))
    if (this.#day) this.#onDay(this.#day.values[r] as number)
  }

  #closer(
    { bytes, edges }: Pick<ByteRows, 'bytes' | 'edges'>,
    row: number,
    [from, to]: [number, number],
    isRepeatOf: () => number | null,
  ): false {
    const cells: Cell[] = []
    for (let cell = from; cell < to; cell++) {
      const text = decoder.decode(bytes.subarray(edges.starts[cell], edges.ends[cell]))
      cells.push(edges.marks[cell] === cellMark.doubled ? text.replaceAll('""', '"') : text)
    }
    this.textRow(row, cells, isRepeatOf)
    return false
  }

  /** A row that is text already. */
  textRow(row: number, cells: Cell[], isRepeatOf = () => this.#hashOf(row, cells)): void {
    if (cells.every(isBlank)) return
    this.#look(row, cells, isRepeatOf, (record) => this.table.add(record))
  }

  #hashOf(row: number, cells: readonly Cell[]): number | null {
    let [a, b] = [0x811c9dc5 | 0, 0x2545f491 | 0]
    this.#mapping.columns.forEach((use, i) => {
      if (use.as === 'unused') return
      const bytes = encoder.encode(String(cells[i] ?? ''))
      const hash = hashBytes(bytes, 0, bytes.length)
      a = Math.imul(a ^ hash, 0x01000193) ^ (a >>> 15)
      b = Math.imul(b ^ hash, 0x01000197) ^ (b >>> 13)
    })
    return this.#repeats.seenHash(row, a, b)
  }
}
