import { PackedWords } from './word-list'

/** Words known by their UTF-8 bytes, numbered as they come: a text column's dictionary that is filled without making texts. */
export class ByteDictionary {
  #slots = new Int32Array(1 << 12).fill(-1)
  #hashes = new Int32Array(1 << 11)
  #ends = new Uint32Array(1 << 11)
  #bytes = new Uint8Array(1 << 15)
  #count = 0

  get length(): number {
    return this.#count
  }

  /**
   * The number of a word; it is added where it is new.
   *
   * @param hash of the bytes; equal bytes must have equal hashes
   */
  codeOf(bytes: Uint8Array, start: number, end: number, hash: number): number {
    const mask = this.#slots.length - 1
    let slot = (hash ^ (hash >>> 15)) & mask
    for (; ; slot = (slot + 1) & mask) {
      const code = this.#slots[slot] as number
      if (code < 0) break
      if (this.#hashes[code] === hash && this.#isWord(code, bytes, start, end)) return code
    }
    this.#slots[slot] = this.#count
    return this.#append(bytes, start, end, hash)
  }

  clear(): void {
    this.#slots.fill(-1)
    this.#count = 0
  }

  words(): PackedWords {
    const size = this.#count === 0 ? 0 : (this.#ends[this.#count - 1] as number)
    return new PackedWords({ bytes: this.#bytes.slice(0, size), ends: this.#ends.slice(0, this.#count) })
  }

  #isWord(code: number, bytes: Uint8Array, start: number, end: number): boolean {
    const from = code === 0 ? 0 : (this.#ends[code - 1] as number)
    if ((this.#ends[code] as number) - from !== end - start) return false
    for (let i = start, j = from; i < end; i++, j++) if (bytes[i] !== this.#bytes[j]) return false
    return true
  }

  #append(bytes: Uint8Array, start: number, end: number, hash: number): number {
    const code = this.#count++
    const from = code === 0 ? 0 : (this.#ends[code - 1] as number)
    const to = from + end - start
    if (to > this.#bytes.length) {
      const larger = new Uint8Array(Math.max(to, this.#bytes.length * 2))
      larger.set(this.#bytes)
      this.#bytes = larger
    }
    for (let i = start, j = from; i < end; i++, j++) this.#bytes[j] = bytes[i] as number
    this.#ends[code] = to
    this.#hashes[code] = hash
    if (this.#count === this.#hashes.length) this.#grow()
    return code
  }

  #grow(): void {
    const size = this.#hashes.length * 2
    const [hashes, ends] = [new Int32Array(size), new Uint32Array(size)]
    hashes.set(this.#hashes)
    ends.set(this.#ends)
    this.#hashes = hashes
    this.#ends = ends
    this.#slots = new Int32Array(size * 2).fill(-1)
    const mask = this.#slots.length - 1
    for (let code = 0; code < this.#count; code++) {
      const hash = hashes[code] as number
      let slot = (hash ^ (hash >>> 15)) & mask
      while (this.#slots[slot] !== -1) slot = (slot + 1) & mask
      this.#slots[slot] = code
    }
  }
}

/** FNV-1a over bytes, 32 bits. Source: Fowler, Noll & Vo. @example hashBytes(Uint8Array.of(97), 0, 1) >>> 0 // 0xe40c292c */
export function hashBytes(bytes: Uint8Array, start: number, end: number): number {
  let hash = 0x811c9dc5 | 0
  for (let i = start; i < end; i++) hash = Math.imul(hash ^ (bytes[i] as number), 0x01000193)
  return hash
}
