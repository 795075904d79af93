import type { Cell } from '../../notation'

/**
 * Finds rows that repeat an earlier one to the letter, by 64 bits of hash (two that know nothing of each other) in an
 * open-addressing table: among a million rows the chance of a false alarm is about 3 in 10⁸.
 */
export class RepeatFinder {
  /** fours: both hashes, the row, and one to spare; row 0 marks a free place */
  #slots = new Int32Array(1 << 16)
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

  /** The same for a row (from 1) whose two hashes are known already; hashes of one kind belong in one finder. */
  seenHash(row: number, a: number, b: number): number | null {
    const mask = this.#slots.length - 1
    let slot = ((a ^ (b >>> 7)) << 2) & mask
    for (; this.#slots[slot + 2] !== 0; slot = (slot + 4) & mask)
      if (this.#slots[slot] === a && this.#slots[slot + 1] === b) return this.#slots[slot + 2] as number
    this.#slots[slot] = a
    this.#slots[slot + 1] = b
    this.#slots[slot + 2] = row
    if (++this.#count * 8 > this.#slots.length) this.#grow()
    return null
  }

  #grow(): void {
    const old = this.#slots
    this.#slots = new Int32Array(old.length * 2)
    const mask = this.#slots.length - 1
    for (let at = 0; at < old.length; at += 4) {
      if (old[at + 2] === 0) continue
      let slot = (((old[at] as number) ^ ((old[at + 1] as number) >>> 7)) << 2) & mask
      while (this.#slots[slot + 2] !== 0) slot = (slot + 4) & mask
      for (let i = 0; i < 3; i++) this.#slots[slot + i] = old[at + i] as number
    }
  }
}
