import { viewOf } from './hash-bytes'
import { PackedWords } from './word-list'

/** Words known by their UTF-8 bytes, numbered as they come: a text column's dictionary that is filled without making texts. */
export class ByteDictionary {
  /** pairs: a word's hash and its number from 1, 0 where the place is free; together, so that a look-up goes to memory once */
  #slots = new Int32Array(1 << 13)
  #ends = new Uint32Array(1 << 11)
  #bytes = new Uint8Array(1 << 15)
  #view = viewOf(this.#bytes)
  #count = 0

  get length(): number {
    return this.#count
  }

  /**
   * The number of a word; it is added where it is new.
   *
   * @param view on the bytes in which the word lies from `start` to `end`
   * @param hash of the bytes; equal bytes must have equal hashes
   */
  codeOf(view: DataView, start: number, end: number, hash: number): number {
    const mask = this.#slots.length - 1
    let slot = (hash << 1) & mask
    for (; ; slot = (slot + 2) & mask) {
      const number = this.#slots[slot + 1] as number
      if (number === 0) break
      if (this.#slots[slot] === hash && this.#isWord(number - 1, view, start, end)) return number - 1
    }
    this.#slots[slot] = hash
    this.#slots[slot + 1] = this.#count + 1
    return this.#append(view, start, end)
  }

  clear(): void {
    this.#slots.fill(0)
    this.#count = 0
  }

  words(): PackedWords {
    const size = this.#count === 0 ? 0 : (this.#ends[this.#count - 1] as number)
    return new PackedWords({ bytes: this.#bytes.slice(0, size), ends: this.#ends.slice(0, this.#count) })
  }

  #isWord(code: number, view: DataView, start: number, end: number): boolean {
    let at = code === 0 ? 0 : (this.#ends[code - 1] as number)
    if ((this.#ends[code] as number) - at !== end - start) return false
    let i = start
    for (; i + 4 <= end; i += 4, at += 4) if (view.getInt32(i) !== this.#view.getInt32(at)) return false
    for (; i < end; i++, at++) if (view.getUint8(i) !== this.#view.getUint8(at)) return false
    return true
  }

  #append(view: DataView, start: number, end: number): number {
    const code = this.#count++
    let at = code === 0 ? 0 : (this.#ends[code - 1] as number)
    const to = at + end - start
    if (to > this.#bytes.length) {
      const larger = new Uint8Array(Math.max(to, this.#bytes.length * 2))
      larger.set(this.#bytes)
      this.#bytes = larger
      this.#view = viewOf(larger)
    }
    let i = start
    for (; i + 4 <= end; i += 4, at += 4) this.#view.setInt32(at, view.getInt32(i))
    for (; i < end; i++, at++) this.#view.setUint8(at, view.getUint8(i))
    this.#ends[code] = to
    if (this.#count === this.#ends.length) this.#grow()
    return code
  }

  #grow(): void {
    const ends = new Uint32Array(this.#ends.length * 2)
    ends.set(this.#ends)
    this.#ends = ends
    const old = this.#slots
    this.#slots = new Int32Array(old.length * 2)
    const mask = this.#slots.length - 1
    for (let at = 0; at < old.length; at += 2) {
      if (old[at + 1] === 0) continue
      let slot = ((old[at] as number) << 1) & mask
      while (this.#slots[slot + 1] !== 0) slot = (slot + 2) & mask
      this.#slots[slot] = old[at] as number
      this.#slots[slot + 1] = old[at + 1] as number
    }
  }
}
