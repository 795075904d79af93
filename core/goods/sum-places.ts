/**
 * Where sums of words were put, each once, found by open addressing. Most that are asked for are nowhere: a bit for each, which is small enough
 * to be at hand, says so of nearly all of them without a look into far memory.
 */
export class SumPlaces {
  /** place → its sum */
  readonly #sums: Float64Array
  /** slot → place, -1 where it is free */
  readonly #slots: Int32Array
  readonly #bits: Uint32Array

  /** @param most places that there may be */
  constructor(most: number) {
    this.#sums = new Float64Array(most)
    this.#slots = new Int32Array(2 ** Math.ceil(Math.log2(most * 2 + 8))).fill(-1)
    this.#bits = new Uint32Array(this.#slots.length / 8)
  }

  /** Puts a sum to a place, unless it was put to one before. @returns the place where it is */
  put(sum: number, place: number): number {
    const slot = this.#slotOf(sum)
    const known = this.#slots[slot] as number
    if (known >= 0) return known
    this.#slots[slot] = place
    this.#sums[place] = sum
    this.#bits[this.#bitsAt(sum)]! |= bitOf(sum)
    return place
  }

  /** Where a sum was put; -1 where it was not. */
  find(sum: number): number {
    if (((this.#bits[this.#bitsAt(sum)] as number) & bitOf(sum)) === 0) return -1
    return this.#slots[this.#slotOf(sum)] as number
  }

  #bitsAt(sum: number): number {
    return (sum / 32) & (this.#bits.length - 1)
  }

  #slotOf(sum: number): number {
    const last = this.#slots.length - 1
    let slot = sum & last
    for (;;) {
      const place = this.#slots[slot] as number
      if (place < 0 || this.#sums[place] === sum) return slot
      slot = (slot + 1) & last
    }
  }
}

const bitOf = (sum: number) => 1 << (sum & 31)
