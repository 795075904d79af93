/**
 * MurmurHash3, 32 bits, over bytes: four at a time, as a hash byte by byte cost more than finding the cells did.
 * Source: A. Appleby, MurmurHash3_x86_32 (public domain).
 *
 * @param seed another one makes another hash of the same bytes
 * @param view on the bytes; a DataView reads four bytes from any place
 * @example hashBytes(new DataView(new TextEncoder().encode('test').buffer), 0, 4) >>> 0 // 0xba6bd213
 */
export function hashBytes(view: DataView, start: number, end: number, seed = 0): number {
  let hash = seed
  let at = start
  for (; at + 4 <= end; at += 4) hash = hashWord(hash, view.getInt32(at, true))
  let tail = 0
  for (let i = end - 1; i >= at; i--) tail = (tail << 8) | view.getUint8(i)
  return hashEnd(hash, tail, end - start)
}

/** The hash so far with four more bytes, little-endian. */
export function hashWord(hash: number, word: number): number {
  const h = hash ^ mixed(word)
  return (Math.imul((h << 13) | (h >>> 19), 5) + 0xe6546b64) | 0
}

/** The hash of all, with the last bytes that make no word (0 where there are none) and the length in bytes. */
export function hashEnd(hash: number, tail: number, length: number): number {
  let h = hash ^ mixed(tail) ^ length
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return h ^ (h >>> 16)
}

function mixed(word: number): number {
  const k = Math.imul(word, 0xcc9e2d51)
  return Math.imul((k << 15) | (k >>> 17), 0x1b873593)
}

export const viewOf = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.length)

const encoder = new TextEncoder()

/** The hash of a text's UTF-8 bytes. */
export function hashText(text: string, seed = 0): number {
  const bytes = encoder.encode(text)
  return hashBytes(viewOf(bytes), 0, bytes.length, seed)
}
