import { packWords, textColumn, type Table, type TextColumn, type WordBytes } from '../tables'

const empty = -1

/**
 * Finds listings by market and number among a million without making a text of each: open addressing over hashes (FNV-1a)
 * of the packed bytes.
 */
export class ListingIndex {
  readonly #slots: Int32Array
  readonly #market: TextColumn
  readonly #codes: Int32Array
  readonly #ids: WordBytes

  constructor(listings: Table) {
    this.#market = textColumn(listings, 'market')
    const id = textColumn(listings, 'id')
    this.#codes = id.codes
    this.#ids = packWords(id.words)
    this.#slots = new Int32Array(2 ** Math.ceil(Math.log2(listings.rows * 2 + 2))).fill(empty)
    for (let row = 0; row < listings.rows; row++) this.#slots[this.#slotFor(this.#hashOf(row), () => false)] = row
  }

  /** The listing with a key as `listingKey` makes it; null where there is none. */
  find(key: string): number | null {
    // A market's name may hold a stroke, so every stroke may be the one that parts it from the number.
    for (let at = key.indexOf('/'); at >= 0; at = key.indexOf('/', at + 1)) {
      const market = this.#codeOfMarket(key.slice(0, at))
      const id = new TextEncoder().encode(key.slice(at + 1))
      const slot = this.#slotFor(hash(id, 0, id.length, market), (row) => this.#is(row, market, id))
      const row = this.#slots[slot] as number
      if (row !== empty) return row
    }
    return null
  }

  /** The listings that the rows of another table speak of; -1 where a row speaks of none of these. */
  match(table: Table): Int32Array {
    const [market, id] = [textColumn(table, 'market'), textColumn(table, 'id')]
    const markets = Int32Array.from({ length: market.words.length }, (_, i) =>
      this.#codeOfMarket(market.words.at(i) ?? ''),
    )
    const ids = packWords(id.words)
    return Int32Array.from({ length: table.rows }, (_, row) => {
      const [own, code] = [market.codes[row] as number, id.codes[row] as number]
      // one without a market goes with one without a market, and one of a strange market with none
      const m = own < 0 ? -1 : (markets[own] as number)
      if ((m < 0 && own >= 0) || code < 0) return empty
      const bytes = ids.bytes.subarray(code > 0 ? ids.ends[code - 1] : 0, ids.ends[code])
      const slot = this.#slotFor(hash(bytes, 0, bytes.length, m), (own) => this.#is(own, m, bytes))
      return this.#slots[slot] as number
    })
  }

  #codeOfMarket(name: string): number {
    const { words } = this.#market
    for (let code = 0; code < words.length; code++) if (words.at(code) === name) return code
    return -1
  }

  /** The first slot from the hash's own on that is free, or whose listing is the one. */
  #slotFor(start: number, isIt: (row: number) => boolean): number {
    const mask = this.#slots.length - 1
    let slot = start & mask
    while (this.#slots[slot] !== empty && !isIt(this.#slots[slot] as number)) slot = (slot + 1) & mask
    return slot
  }

  #span(row: number): [number, number] {
    const code = this.#codes[row] as number
    return [code > 0 ? (this.#ids.ends[code - 1] as number) : 0, this.#ids.ends[code] ?? 0]
  }

  #hashOf(row: number): number {
    const [from, to] = this.#span(row)
    return hash(this.#ids.bytes, from, to, this.#market.codes[row] as number)
  }

  #is(row: number, market: number, id: Uint8Array): boolean {
    const [from, to] = this.#span(row)
    if (this.#market.codes[row] !== market || to - from !== id.length) return false
    for (let i = 0; i < id.length; i++) if (this.#ids.bytes[from + i] !== id[i]) return false
    return true
  }
}

function hash(bytes: Uint8Array, from: number, to: number, seed: number): number {
  let h = (0x811c9dc5 ^ seed) >>> 0
  for (let i = from; i < to; i++) h = Math.imul(h ^ (bytes[i] as number), 0x01000193)
  return (h ^ (h >>> 15)) >>> 0
}
