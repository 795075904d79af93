/** Words by number. An array of texts is one, and so are words packed as UTF-8. */
export interface WordList {
  readonly length: number
  at(index: number): string | undefined
}

/** Words as UTF-8, one behind the other: word `i` ends before byte `ends[i]`. The form in which they rest and travel. */
export interface WordBytes {
  bytes: Uint8Array
  ends: Uint32Array
}

const decoder = new TextDecoder('utf-8', { ignoreBOM: true })
const encoder = new TextEncoder()

/** words that are made into texts together where they are asked for one after the other */
const bunch = 16

/**
 * Packed words, made into texts only when they are asked for. To a browser's decoder a call is dear and its length cheap: what is asked for in
 * turn is decoded by the bunch, in an eighth of the time.
 */
export class PackedWords implements WordList {
  readonly packed: WordBytes
  #last = -Infinity
  #bunch: Bunch = none

  constructor(packed: WordBytes) {
    this.packed = packed
  }

  get length(): number {
    return this.packed.ends.length
  }

  at(index: number): string | undefined {
    const { bytes, ends } = this.packed
    const end = ends[index]
    if (end === undefined) return undefined
    const start = startOf(ends, index)
    const { text, start: first } = this.#bunchAt(index)
    return text === null ? decoder.decode(bytes.subarray(start, end)) : text.slice(start - first, end - first)
  }

  /** The bunch that a word is in, decoded where the word before it that was asked for is near. */
  #bunchAt(index: number): Bunch {
    const isNear = Math.abs(index - this.#last) <= bunch
    this.#last = index
    if (index >= this.#bunch.from && index < this.#bunch.to) return this.#bunch
    return isNear ? (this.#bunch = decoded(this.packed, index - (index % bunch))) : none
  }
}

/** Words from one number up to another, with the byte that they start at. */
interface Bunch {
  from: number
  to: number
  start: number
  /** null where they cannot be cut out of one text: a letter beyond ASCII takes several bytes */
  text: string | null
}
const none: Bunch = { from: 0, to: 0, start: 0, text: null }

function decoded({ bytes, ends }: WordBytes, from: number): Bunch {
  const to = Math.min(ends.length, from + bunch)
  const [start, end] = [startOf(ends, from), startOf(ends, to)]
  const text = decoder.decode(bytes.subarray(start, end))
  return { from, to, start, text: text.length === end - start ? text : null }
}

const startOf = (ends: Uint32Array, index: number) => (index === 0 ? 0 : (ends[index - 1] as number))

/** Packs words; those that are packed already are handed on as they are. */
export function packWords(words: WordList): WordBytes {
  if (words instanceof PackedWords) return words.packed
  const ends = new Uint32Array(words.length)
  let bytes = new Uint8Array(Math.max(64, words.length * 24))
  let end = 0
  for (let i = 0; i < words.length; i++) {
    const word = words.at(i) ?? ''
    // A character takes at most three bytes of UTF-8 for each of its 16-bit units.
    if (end + word.length * 3 > bytes.length) {
      const larger = new Uint8Array(bytes.length * 2 + word.length * 3)
      larger.set(bytes.subarray(0, end))
      bytes = larger
    }
    end += encoder.encodeInto(word, bytes.subarray(end)).written
    ends[i] = end
  }
  return { bytes: bytes.slice(0, end), ends }
}

/** Several lists as one, the second behind the first and so on. */
export function joinWords(lists: readonly WordList[]): PackedWords {
  const parts = lists.map(packWords)
  const bytes = new Uint8Array(parts.reduce((sum, p) => sum + p.bytes.length, 0))
  const ends = new Uint32Array(parts.reduce((sum, p) => sum + p.ends.length, 0))
  let [byte, word] = [0, 0]
  for (const part of parts) {
    bytes.set(part.bytes, byte)
    for (const end of part.ends) ends[word++] = byte + end
    byte += part.bytes.length
  }
  return new PackedWords({ bytes, ends })
}
