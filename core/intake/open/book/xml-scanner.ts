import { Problem } from '../../../problem'

/** What a scanner tells of. Names come without their namespace's prefix. */
export interface XmlHandler {
  open(name: string, tag: XmlTag): void
  close(name: string): void
  /** Called only while `wantsText`; a long text comes in several parts. */
  text(text: string): void
  wantsText: boolean
}

/** The attributes of the tag that was just opened; valid until the call ends. */
export interface XmlTag {
  attribute(name: string): string | null
}

const [lt, gt, slash, quote, apostrophe, equals, colon, bang, question, space] = [
  60, 62, 47, 34, 39, 61, 58, 33, 63, 32,
]
/** a tag that is longer, or elements that nest deeper, no table needs */
const [longestTag, deepest] = [65_536, 64]
const decoder = new TextDecoder()

/**
 * Reads XML piece by piece, as far as spreadsheets need it: elements, attributes, texts, CDATA. Nothing is built; a document type (by
 * which entities multiply) is refused. Time is linear in the bytes, memory bound by the longest tag allowed.
 */
export class XmlScanner implements XmlTag {
  readonly #handler: XmlHandler
  readonly #fail: (reason: string) => Problem
  #rest = new Uint8Array(0)
  #depth = 0
  #skipTo: Uint8Array | null = null
  readonly #names = new Map<number, string>()
  #bytes = new Uint8Array(0)
  #from = 0
  #to = 0

  constructor(handler: XmlHandler, file: string) {
    this.#handler = handler
    this.#fail = (reason) => new Problem('file-xlsx-broken', { file, reason })
  }

  /** @throws Problem 'file-xlsx-broken' */
  push(piece: Uint8Array): void {
    const bytes = this.#rest.length === 0 ? piece : joined(this.#rest, piece)
    const used = this.#scan(bytes)
    this.#rest = bytes.slice(used)
  }

  /** The document is over. @throws Problem 'file-xlsx-broken' */
  end(): void {
    if (this.#depth > 0 || this.#skipTo || this.#rest.includes(lt)) throw this.#fail('it ends in the middle')
  }

  /** @returns how many bytes were used up */
  #scan(bytes: Uint8Array): number {
    const n = bytes.length
    let at = 0
    for (;;) {
      if (this.#skipTo) {
        const end = find(bytes, this.#skipTo, at)
        if (end < 0) return Math.max(at, n - this.#skipTo.length + 1)
        at = end + this.#skipTo.length
        this.#skipTo = null
      }
      let open = at
      while (open < n && bytes[open] !== lt) open++
      if (open > at) {
        // an entity or a letter of several bytes may go on in the next piece
        const whole = open < n ? open : wholeText(bytes, at, n)
        if (this.#handler.wantsText && whole > at) this.#handler.text(textOf(bytes, at, whole))
        if (open >= n) return this.#handler.wantsText ? whole : n
      }
      if (open >= n) return open
      const next = bytes[open + 1]
      if (next === undefined) return open
      if (next === bang || next === question) {
        const used = this.#special(bytes, open)
        if (used < 0) return open
        at = used
        continue
      }
      const close = tagEnd(bytes, open + 1)
      if (close < 0) {
        if (n - open > longestTag) throw this.#fail('a tag is longer than any table needs')
        return open
      }
      this.#tag(bytes, open + 1, close)
      at = close + 1
    }
  }

  /** Comments, CDATA and processing instructions. @returns where it goes on, -1 where the piece ends too early */
  #special(bytes: Uint8Array, open: number): number {
    const start = decoder.decode(bytes.subarray(open, open + 9))
    if (start.startsWith('<?')) return this.#skip('?>', open + 2)
    if (start.startsWith('<!--')) return this.#skip('-->', open + 4)
    if (start.startsWith('<![CDATA[')) {
      const end = find(bytes, cdataEnd, open + 9)
      if (end < 0) {
        if (bytes.length - open > 4_000_000) throw this.#fail('a text is longer than any cell')
        return -1
      }
      if (this.#handler.wantsText) this.#handler.text(decoder.decode(bytes.subarray(open + 9, end)))
      return end + 3
    }
    if (bytes.length - open < 9) return -1
    throw this.#fail('it declares a document type')
  }

  #skip(mark: string, from: number): number {
    this.#skipTo = new TextEncoder().encode(mark)
    return from
  }

  #tag(bytes: Uint8Array, from: number, to: number): void {
    if (bytes[from] === slash) {
      this.#depth--
      this.#handler.close(this.#nameAt(bytes, from + 1, to))
      return
    }
    const isEmpty = bytes[to - 1] === slash
    let end = from
    while (end < to && (bytes[end] as number) > space && bytes[end] !== slash) end++
    const name = this.#nameAt(bytes, from, end)
    this.#bytes = bytes as Uint8Array<ArrayBuffer>
    this.#from = end
    this.#to = isEmpty ? to - 1 : to
    this.#handler.open(name, this)
    if (isEmpty) this.#handler.close(name)
    else if (++this.#depth > deepest) throw this.#fail('it nests deeper than any table')
  }

  /** Short names are known by their bytes, so that no text is made of them each time. */
  #nameAt(bytes: Uint8Array, from: number, to: number): string {
    let start = from
    let end = from
    let key = 0
    for (; end < to && (bytes[end] as number) > space; end++) {
      if (bytes[end] === colon) {
        start = end + 1
        key = 0
      } else key = end - start < 6 ? key * 256 + (bytes[end] as number) : -1
    }
    if (key > 0) {
      const known = this.#names.get(key)
      if (known !== undefined) return known
    }
    const name = decoder.decode(bytes.subarray(start, Math.min(end, start + 60)))
    if (key > 0 && this.#names.size < 500) this.#names.set(key, name)
    return name
  }

  attribute(name: string): string | null {
    const { length } = name
    const bytes = this.#bytes
    let at = this.#from
    while (at < this.#to) {
      while (at < this.#to && (bytes[at] as number) <= space) at++
      const nameFrom = at
      let local = at
      while (at < this.#to && bytes[at] !== equals) {
        if (bytes[at] === colon) local = at + 1
        at++
      }
      const nameTo = at
      while (at < this.#to && bytes[at] !== quote && bytes[at] !== apostrophe) at++
      const mark = bytes[at]
      const from = at + 1
      at = from
      while (at < this.#to && bytes[at] !== mark) at++
      const size = trimmed(bytes, local, nameTo) - local
      if (size === length && nameFrom < nameTo) {
        let i = 0
        while (i < length && bytes[local + i] === name.charCodeAt(i)) i++
        if (i === length) return textOf(bytes, from, at)
      }
      at++
    }
    return null
  }
}

const cdataEnd = new TextEncoder().encode(']]>')

function trimmed(bytes: Uint8Array, from: number, to: number): number {
  let end = to
  while (end > from && (bytes[end - 1] as number) <= space) end--
  return end
}

/** The '>' that ends a tag: not one inside an attribute's quotes. */
function tagEnd(bytes: Uint8Array, from: number): number {
  let inside = 0
  for (let at = from; at < bytes.length; at++) {
    const b = bytes[at]
    if (inside !== 0) {
      if (b === inside) inside = 0
    } else if (b === gt) return at
    else if (b === quote || b === apostrophe) inside = b
  }
  return -1
}

function find(bytes: Uint8Array, mark: Uint8Array, from: number): number {
  const first = mark[0] as number
  for (let at = bytes.indexOf(first, from); at >= 0; at = bytes.indexOf(first, at + 1)) {
    let i = 1
    while (i < mark.length && bytes[at + i] === mark[i]) i++
    if (i === mark.length) return at
  }
  return -1
}

/** Up to where a text can be read without what comes in the next piece. */
function wholeText(bytes: Uint8Array, from: number, to: number): number {
  for (let at = to - 1; at >= Math.max(from, to - 12); at--) {
    const b = bytes[at] as number
    if (b === 38) return at
    if (b === 59) return to
    if (b >= 0xc0) return at
    if (b < 0x80 && at < to - 10) return to
  }
  return to
}

const named: Record<string, string> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" }

/** Text as it stands, its entities resolved; what is no entity stays as it is. */
function textOf(bytes: Uint8Array, from: number, to: number): string {
  let text = ''
  if (to - from <= 24) {
    let at = from
    for (; at < to && (bytes[at] as number) < 128 && bytes[at] !== 38; at++)
      text += String.fromCharCode(bytes[at] as number)
    if (at === to) return text
  }
  text = decoder.decode(bytes.subarray(from, to))
  if (!text.includes('&')) return text
  return text.replace(
    /&(?:#x([\da-f]{1,6})|#(\d{1,7})|([a-z]{2,4}));/gi,
    (whole, hex: string, decimal: string, name: string) => {
      if (name) return named[name.toLowerCase()] ?? whole
      const code = hex ? parseInt(hex, 16) : Number(decimal)
      return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : ''
    },
  )
}

function joined(a: Uint8Array, b: Uint8Array): Uint8Array {
  const both = new Uint8Array(a.length + b.length)
  both.set(a)
  both.set(b, a.length)
  return both
}
