import { hashBytes, hashText, viewOf, type RowRecord, type Table } from '../../tables'
import { isBlank, type Cell } from '../../notation'
import type { ByteRows } from '../open/opened-file'
import { ByteTable, type ByteColumn } from './byte-table'
import type { FigureColumn } from './figure-column'
import type { Mapping } from '../mapping'
import { RepeatFinder } from '../read/repeat-finder'
import { isTotalWord } from '../read/total-lines'
import { recordKind } from '../../records'
import { cellMark, textOfDoubled, type CellEdges } from './split-bytes'
import type { WordColumn } from './word-column'

/** What becomes of a row that is not plain: it is read cell by cell, and taken or refused with its reason. */
export interface RowCheck {
  (row: number, cells: Cell[], isRepeatOf: () => number | null, add: (record: RowRecord) => void): void
}

/** Can a file under this mapping be read from its bytes? Price steps and days across a row need every cell as text. */
export function isForBytes(mapping: Mapping): boolean {
  return mapping.kind !== 'offers' && mapping.columns.every((c) => c.as === 'field' || c.as === 'unused')
}

const decoder = new TextDecoder()
const mostKnown = 20_000
/** makes the second hash of a cell another than the first, and what it is of a cell that is not there */
const otherSeed = 0x2545f491
const otherOfNothing = hashText('', otherSeed)

function isDigit(byte: number): boolean {
  return byte >= 48 && byte <= 57
}

/**
 * Reads rows from bytes into a table without making texts of them, a block at a time and column by column. A row that is plain
 * (every cell read without a doubt, and all there that its kind needs) is taken as it stands; any other goes to `check`, which
 * reads it as text.
 */
export class ByteImporter {
  readonly table: ByteTable
  /** by place in the file; null where the column is not read */
  readonly #at: (ByteColumn | null)[]
  readonly #read: ByteColumn[]
  /** null where the file lacks one */
  readonly #needed: (ByteColumn | null)[]
  readonly #check: RowCheck
  readonly #repeats = new RepeatFinder([])
  /** by hash of a first cell: may it begin a line of totals? */
  readonly #totals = new Map<number, boolean>()
  /** the currency's column, where no column of the file says it */
  readonly #currency: WordColumn | null
  readonly #day: FigureColumn | null
  readonly #onDay: (day: number) => void
  /** what is said once for the whole file */
  readonly #fill: { column: WordColumn; isRead: boolean; word: string }[]

  /** @param onDay hears the day of each row that is taken at once, where the kind is by days */
  constructor(mapping: Mapping, check: RowCheck, onDay: (day: number) => void) {
    const kind = recordKind(mapping.kind)
    this.#check = check
    this.#onDay = onDay
    this.table = new ByteTable(mapping)
    this.#at = mapping.columns.map((use) => (use.as === 'field' ? (this.table.column(use.field) ?? null) : null))
    this.#read = this.#at.filter((c) => c !== null)
    const needed = kind.fields.filter((f) => f.required).map((f) => this.table.column(f.name) as ByteColumn)
    this.#needed = needed.map((c) => (this.#at.includes(c) ? c : null))
    const stated = this.#words('currency')
    this.#currency = stated && !this.#at.includes(stated) ? stated : null
    const day = this.table.column(kind.dayField ?? 'day')
    this.#day = kind.dayMeans && day?.isNumeric ? day : null
    this.#fill = [['currency', mapping.currency] as const, [kind.from, mapping[kind.from]] as const].flatMap(
      ([name, word]) => {
        const column = this.#words(name)
        return column && word !== null ? [{ column, isRead: this.#at.includes(column), word }] : []
      },
    )
  }

  /** Takes the rows of a block. @param skip rows up to this number are above the table @returns rows that were taken at once */
  take(block: ByteRows, skip: number): number {
    const { rows, rowEnds } = block.edges
    const plain = new Uint8Array(rows).fill(1)
    const seen = { ...block, view: viewOf(block.bytes) }
    this.#at.forEach((column, place) => column?.takeBlock(seen, place, plain))
    this.#judge(rows, plain)
    this.#markTotals(block, plain)
    const { starts, ends, marks } = block.edges
    const [first, second] = this.#hashRows(block.edges, (cell) => {
      const [start, end] = [starts[cell] as number, ends[cell] as number]
      return marks[cell] === cellMark.doubled
        ? hashText(textOfDoubled(block.bytes, start, end), otherSeed)
        : hashBytes(seen.view, start, end, otherSeed)
    })
    let [taken, from] = [0, 0]
    for (let r = 0; r < rows; r++) {
      const row = block.firstRow + r
      const a = first[r] as number
      const b = second[r] as number
      const isPlain = row > skip && plain[r] === 1
      const before = isPlain ? this.#repeats.seenHash(row, a, b) : null
      if (isPlain && before === null) continue
      taken += this.#put(from, r)
      from = r + 1
      this.table.markStray()
      const cells: [number, number] = [r === 0 ? 0 : (rowEnds[r - 1] as number), rowEnds[r] as number]
      if (row > skip) this.#closer(block, row, cells, () => (isPlain ? before : this.#repeats.seenHash(row, a, b)))
    }
    return taken + this.#put(from, rows)
  }

  finish(): Table {
    return this.table.finish()
  }

  #words(name: string): WordColumn | null {
    const column = this.table.column(name)
    return column && !column.isNumeric ? column : null
  }

  /** Not plain is a row that lacks what its kind needs, whose needed amounts are not above zero, or whose amounts name a currency beside a column of them. */
  #judge(rows: number, plain: Uint8Array): void {
    for (const column of this.#needed) {
      if (!column) plain.fill(0)
      else if (column.field.type === 'money') {
        for (let r = 0; r < rows; r++) if (!((column.values[r] as number) > 0)) plain[r] = 0
      } else for (let r = 0; r < rows; r++) if (!column.isKnown(r)) plain[r] = 0
    }
    if (this.#currency === null)
      for (const { currencies } of this.#read) currencies?.forEach((named, r) => named !== undefined && (plain[r] = 0))
  }

  /** A row whose first cell is a word that a line of totals begins with gets a closer look. Cells that come again are read once. */
  #markTotals({ bytes, edges }: ByteRows, plain: Uint8Array): void {
    const { starts, ends, hashes, rowEnds, rows } = edges
    for (let r = 0, first = 0; r < rows; r++) {
      const to = rowEnds[r] as number
      let cell = first
      first = to
      while (cell < to && starts[cell] === ends[cell]) cell++
      if (cell >= to) continue
      const [start, end] = [starts[cell] as number, ends[cell] as number]
      if (end - start > 40 || isDigit(bytes[end - 1] as number)) continue
      const hash = hashes[cell] as number
      let isTotal = this.#totals.get(hash)
      if (isTotal === undefined) {
        isTotal = isTotalWord(decoder.decode(bytes.subarray(start, end)))
        if (this.#totals.size < mostKnown) this.#totals.set(hash, isTotal)
      }
      if (isTotal) plain[r] = 0
    }
  }

  /**
   * Two hashes of each row, over the cells that are read. The second is made of hashes of its own: of 100,000 rows that differ in one cell, two have the
   * same 32 bits of it in three files of four, and neither row may be lost for that.
   */
  #hashRows(
    { hashes, rowEnds, rows }: Pick<CellEdges, 'hashes' | 'rowEnds' | 'rows'>,
    otherHash: (cell: number) => number,
  ): [Int32Array, Int32Array] {
    const [first, second] = [new Int32Array(rows), new Int32Array(rows)]
    const isRead = this.#at.map((c) => c !== null)
    for (let r = 0, from = 0; r < rows; r++) {
      const to = rowEnds[r] as number
      let a = 0x811c9dc5 | 0
      let b = 0x2545f491 | 0
      for (let place = 0; place < isRead.length; place++) {
        if (!isRead[place]) continue
        const cell = from + place
        const isThere = cell < to
        a = Math.imul(a ^ (isThere ? (hashes[cell] as number) : 0), 0x01000193) ^ (a >>> 15)
        b = Math.imul(b ^ (isThere ? otherHash(cell) : otherOfNothing), 0x01000197) ^ (b >>> 13)
      }
      first[r] = a
      second[r] = b
      from = to
    }
    return [first, second]
  }

  /** Rows `from` to `to` of the block are taken as they stand. @returns how many */
  #put(from: number, to: number): number {
    if (from === to) return 0
    const at = this.table.open(to - from)
    for (const column of this.#read) column.put(from, to, at)
    for (const { column, isRead, word } of this.#fill) {
      if (!isRead) column.fill(column.codeOf(word), at, at + to - from)
      else for (let r = from; r < to; r++) if (!column.isKnown(r)) column.set(at + r - from, column.codeOf(word))
    }
    if (this.#currency !== null) this.#putCurrencies(this.#currency, [from, to], at)
    if (this.#day) for (let r = from; r < to; r++) if (this.#day.isKnown(r)) this.#onDay(this.#day.values[r] as number)
    return to - from
  }

  /** An amount that names its currency has the last word on its row; the first column of amounts counts. */
  #putCurrencies(column: WordColumn, [from, to]: [number, number], at: number): void {
    for (const { currencies } of this.#read.toReversed()) {
      if (currencies === null) continue
      for (let r = from; r < to; r++) {
        const named = currencies[r]
        if (named !== undefined) column.set(at + r - from, column.codeOf(named))
      }
    }
  }

  #closer(
    { bytes, edges }: ByteRows,
    row: number,
    [from, to]: [number, number],
    isRepeatOf: () => number | null,
  ): void {
    const cells: Cell[] = []
    for (let cell = from; cell < to; cell++) {
      const text = decoder.decode(bytes.subarray(edges.starts[cell], edges.ends[cell]))
      cells.push(edges.marks[cell] === cellMark.doubled ? text.replaceAll('""', '"') : text)
    }
    this.textRow(row, cells, isRepeatOf)
  }

  /** A row that is text already. */
  textRow(row: number, cells: Cell[], isRepeatOf = () => this.#repeatOf(row, cells)): void {
    if (cells.every(isBlank)) return
    this.#check(row, cells, isRepeatOf, (record) => this.table.add(record))
  }

  #repeatOf(row: number, cells: readonly Cell[]): number | null {
    const texts = this.#at.map((_, place) => String(cells[place] ?? ''))
    const hashes = Int32Array.from(texts, (text) => hashText(text))
    const row1 = { hashes, rowEnds: Int32Array.of(hashes.length), rows: 1 }
    const [[a], [b]] = this.#hashRows(row1, (cell) => hashText(texts[cell] as string, otherSeed))
    return this.#repeats.seenHash(row, a as number, b as number)
  }
}
