import type { Cell } from './opened-file'

/**
 * Finds rows that repeat an earlier one to the letter, by 64 bits of hash (two lanes of FNV-1a with different seeds) in an
 * open-addressing table: among a million rows the chance of a false alarm is about 3 in 10⁸.
 */
export class RepeatFinder {
  #slots = new Int32Array(1 << 16).fill(-1)
  #first = new Int32Array(1 << 15)
  #second = new Int32Array(1 << 15)
  #rows = new Int32Array(1 << 15)
  #count = 0
  readonly #columns: readonly number[]

  /** @param columns places of the cells that are read; others do not count */
  constructor(columns: readonly number[]) {
    this.#columns = columns
  }

  /** The row that said the same before; null where none did, then this one is remembered. */
  seen(row: number, cells: readonly Cell[]): number | null {
    const [a, b] = this.#hash(cells)
    return this.seenHash(row, a, b)
  }

  #hash(cells: readonly Cell[]): [number, number] {
    let [a, b] = [0x811c9dc5 | 0, 0x2545f491 | 0]
    for (const at of this.#columns) {
      const cell = cells[at] ?? ''
      const text = typeof cell === 'string' ? cell : String(cell)
      for (let i = 0; i < text.length; i++) {
        const c = text.charCodeAt(i)
        a = Math.imul(a ^ c, 0x01000193)
        b = Math.imul(b ^ c, 0x01000197)
      }
      a = Math.imul(a ^ 0x1f, 0x01000193)
      b = Math.imul(b ^ 0x1f, 0x01000197) ^ (b >>> 13)
    }
    return [a, b]
  }

  /** The same for a row whose two hashes are known already; hashes of one kind belong in one finder. */
  seenHash(row: number, a: number, b: number): number | null {
    const mask = this.#slots.length - 1
    let slot = (a ^ (b >>> 7)) & mask
    for (; this.#slots[slot] !== -1; slot = (slot + 1) & mask) {
      const at = this.#slots[slot] as number
      if (this.#first[at] === a && this.#second[at] === b) return this.#rows[at] as number
    }
    this.#slots[slot] = this.#count
    this.#first[this.#count] = a
    this.#second[this.#count] = b
    this.#rows[this.#count++] = row
    if (this.#count === this.#rows.length) this.#grow()
    return null
  }

  #grow(): void {
    const double = (old: Int32Array) => {
      const larger = new Int32Array(old.length * 2)
      larger.set(old)
      return larger
    }
    this.#first = double(this.#first)
    this.#second = double(this.#second)
    this.#rows = double(this.#rows)
    this.#slots = new Int32Array(this.#slots.length * 2).fill(-1)
    const mask = this.#slots.length - 1
    for (let at = 0; at < this.#count; at++) {
      let slot = ((this.#first[at] as number) ^ ((this.#second[at] as number) >>> 7)) & mask
      while (this.#slots[slot] !== -1) slot = (slot + 1) & mask
      this.#slots[slot] = at
    }
  }
}
