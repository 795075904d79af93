/** kinds of the bytes of plain text: 1 for a small letter or digit, 2 for a capital, 0 for what parts words */
export const plainKinds = Uint8Array.from({ length: 128 }, (_, code) => {
  const sign = String.fromCharCode(code)
  return /[a-z0-9]/.test(sign) ? 1 : /[A-Z]/.test(sign) ? 2 : 0
})

/** turns a capital of plain text into its small letter, and leaves small letters and digits */
const small = (byte: number) => (plainKinds[byte] === 2 ? byte | 32 : byte)

/** words that are remembered; texts say the same few thousand over and over */
const mostWords = 200_000
const slotsAtFirst = 1 << 12

/**
 * Numbers of words by their bytes: a word that was met before is known without a text of it being made, which is most of the work where a
 * million titles are read. An open hash table (FNV-1a: Fowler, Noll & Vo 1991) over the bytes, small letters and capitals alike.
 */
export class ByteWords {
  readonly #numberOf: (word: string) => number
  #slots = new Int32Array(slotsAtFirst).fill(-1)
  #bytes = new Uint8Array(slotsAtFirst * 8)
  #ends: number[] = []
  #numbers: number[] = []

  /** @param numberOf asked once for each word, in small letters */
  constructor(numberOf: (word: string) => number) {
    this.#numberOf = numberOf
  }

  /** The number of a word of plain letters and digits that lies in some bytes. */
  numberIn(bytes: Uint8Array, from: number, to: number): number {
    const mask = this.#slots.length - 1
    let slot = hashOf(bytes, from, to) & mask
    for (;;) {
      const word = this.#slots[slot] as number
      if (word < 0) return this.#add(slot, bytes, from, to)
      if (this.#is(word, bytes, from, to)) return this.#numbers[word] as number
      slot = (slot + 1) & mask
    }
  }

  #is(word: number, bytes: Uint8Array, from: number, to: number): boolean {
    const start = word === 0 ? 0 : (this.#ends[word - 1] as number)
    if ((this.#ends[word] as number) - start !== to - from) return false
    for (let i = 0; i < to - from; i++) if (this.#bytes[start + i] !== small(bytes[from + i] as number)) return false
    return true
  }

  #add(slot: number, bytes: Uint8Array, from: number, to: number): number {
    let text = ''
    for (let at = from; at < to; at++) text += String.fromCharCode(small(bytes[at] as number))
    const number = this.#numberOf(text)
    if (this.#numbers.length >= mostWords) return number
    const start = this.#ends.at(-1) ?? 0
    if (start + to - from > this.#bytes.length) this.#bytes = grown(this.#bytes, to - from)
    for (let i = 0; i < to - from; i++) this.#bytes[start + i] = small(bytes[from + i] as number)
    this.#slots[slot] = this.#numbers.length
    this.#ends.push(start + to - from)
    this.#numbers.push(number)
    if (this.#numbers.length * 2 > this.#slots.length) this.#rehash()
    return number
  }

  #rehash(): void {
    const mask = this.#slots.length * 4 - 1
    const slots = new Int32Array(mask + 1).fill(-1)
    let start = 0
    this.#ends.forEach((end, word) => {
      let slot = hashOf(this.#bytes, start, end) & mask
      while ((slots[slot] as number) >= 0) slot = (slot + 1) & mask
      slots[slot] = word
      start = end
    })
    this.#slots = slots
  }
}

/** Capitals and small letters have one hash, so the whole-word hash of `tables`, four bytes at a time, is none for this. */
function hashOf(bytes: Uint8Array, from: number, to: number): number {
  let hash = 0x811c9dc5
  for (let at = from; at < to; at++) hash = Math.imul(hash ^ small(bytes[at] as number), 0x01000193)
  return hash ^ (hash >>> 15)
}

function grown(bytes: Uint8Array, by: number): Uint8Array<ArrayBuffer> {
  const larger = new Uint8Array(Math.max(bytes.length * 2, bytes.length + by))
  larger.set(bytes)
  return larger
}
