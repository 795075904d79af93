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

/** Packed words, made into texts one by one and only when they are asked for. */
export class PackedWords implements WordList {
  readonly packed: WordBytes

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
    return decoder.decode(bytes.subarray(index === 0 ? 0 : ends[index - 1], end))
  }
}

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
