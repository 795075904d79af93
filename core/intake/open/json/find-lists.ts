/** A list of records inside a JSON text. */
export interface JsonList {
  /** where its first element may begin: the byte behind '[' */
  at: number
  records: number
  /** plain values beside the list and above it, as texts */
  notes: string[]
}

export interface JsonOutline {
  lists: JsonList[]
  /** deepest nesting of brackets */
  depth: number
  /** every bracket and text is closed, and nothing comes after the end */
  isWhole: boolean
  /** several values, each whole, one after another */
  isSeries: boolean
}

interface Level {
  isList: boolean
  at: number
  records: number
  key: string
  notes: string[]
}

const [quote, backslash, comma, colon, openList, closeList, openRecord, closeRecord] = [
  34, 92, 44, 58, 91, 93, 123, 125,
]
/** lists deeper than this are part of a record */
const deepestList = 5
const [mostNotes, longestNote, mostLists] = [40, 200, 50]
const decoder = new TextDecoder()

/** The next quote or backslash, or the end. */
function nextMark(bytes: Uint8Array, from: number): number {
  const end = bytes.indexOf(quote, from)
  const to = end < 0 ? bytes.length : end
  const escape = bytes.subarray(from, to).indexOf(backslash)
  return escape < 0 ? to : from + escape
}

/**
 * Goes over a JSON text (UTF-8 or any encoding in which ASCII stands for itself) once, building nothing: where its lists are, how many
 * records each holds, how deep it nests. Piece by piece, in time linear in the bytes.
 */
export class OutlineReader {
  readonly #levels: Level[] = []
  readonly #lists: (Omit<JsonList, 'notes'> & { above: Level[] })[] = []
  #deepest = 0
  #at = 0
  #inText = false
  #escaped = false
  /** bytes of the text or plain value that is being read, where it may be a key or a note */
  #kept: number[] | null = null
  #plain: string | null = null
  #unbalanced = false
  /** what is read now stands beside a list or above it: not inside one */
  #mayNote = false
  #roots = 0

  push(bytes: Uint8Array): void {
    const offset = this.#at
    const n = bytes.length
    for (let i = 0; i < n; i++) {
      const b = bytes[i] as number
      if (this.#inText) {
        if (!this.#kept && !this.#escaped) {
          // nobody wants the text: on to where it may end
          i = nextMark(bytes, i)
          if (i >= n) break
          if (bytes[i] === backslash) this.#escaped = true
          else {
            this.#inText = false
            this.#endValue()
          }
          continue
        }
        if (this.#escaped) this.#escaped = false
        else if (b === backslash) this.#escaped = true
        else if (b === quote) {
          this.#inText = false
          this.#endValue()
        }
        if (this.#inText && this.#kept && this.#kept.length < longestNote) this.#kept.push(b)
        continue
      }
      if (b === quote) {
        this.#inText = true
        this.#kept = this.#mayNote ? [] : null
      } else if (b === openRecord || b === openList) this.#open(b === openList, offset + i + 1)
      else if (b === closeRecord || b === closeList) this.#close(b === closeList)
      else if (b === colon) this.#key()
      else if (b === comma) this.#next()
      else if (b > 32) {
        if (this.#levels.length === 0) this.#unbalanced = true
        if (this.#mayNote) (this.#kept ??= []).push(b)
      }
    }
    this.#at += n
  }

  get #top(): Level | undefined {
    return this.#levels[this.#levels.length - 1]
  }

  #open(isList: boolean, at: number): void {
    const top = this.#top
    if (top?.isList) top.records++
    if (!top) this.#roots++
    this.#levels.push({ isList, at, records: 0, key: '', notes: [] })
    this.#mayNote = !isList && this.#levels.length <= 4 && !this.#levels.some((l) => l.isList)
    this.#deepest = Math.max(this.#deepest, this.#levels.length)
    this.#kept = null
  }

  #close(isList: boolean): void {
    this.#endValue()
    this.#next()
    const level = this.#levels.pop()
    this.#mayNote = this.#levels.length > 0 && this.#levels.length <= 4 && !this.#levels.some((l) => l.isList)
    if (!level || level.isList !== isList) {
      this.#unbalanced = true
      return
    }
    if (!level.isList || level.records === 0 || this.#levels.length >= deepestList) return
    this.#lists.push({ at: level.at, records: level.records, above: [...this.#levels] })
    if (this.#lists.length > mostLists) this.#lists.sort((a, b) => b.records - a.records).length = mostLists
  }

  /** A text, or the letters of a plain value, are over. */
  #endValue(): void {
    if (this.#kept) this.#plain = decoder.decode(Uint8Array.from(this.#kept))
    this.#kept = null
  }

  #key(): void {
    this.#endValue()
    const top = this.#top
    if (top && !top.isList) top.key = this.#plain ?? ''
    this.#plain = null
  }

  #next(): void {
    this.#endValue()
    const top = this.#top
    if (top && !top.isList && this.#plain !== null && top.key !== '' && top.notes.length < mostNotes)
      top.notes.push(`${top.key} ${this.#plain}`)
    this.#plain = null
  }

  /** What was seen, the longest list first; what stands behind a list is among its notes too. */
  outline(): JsonOutline {
    const lists = [...this.#lists]
      .sort((a, b) => b.records - a.records)
      .map(({ at, records, above }) => ({ at, records, notes: above.flatMap((l) => l.notes).slice(0, mostNotes) }))
    const isClosed = !this.#unbalanced && !this.#inText && this.#levels.length === 0
    return {
      lists,
      depth: this.#deepest,
      isWhole: isClosed && this.#roots === 1,
      isSeries: isClosed && this.#roots > 1,
    }
  }
}
