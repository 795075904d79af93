import { hashEnd, hashText, hashWord, viewOf } from '../../tables'

const [quote, newline, carriage, space, ampersand] = [34, 10, 13, 32, 38]

/** What is to be known of a cell before it is taken as it stands: quotes in it are doubled, or it is not tidy. */
export const cellMark = { odd: 1, doubled: 2 } as const

/** Where the cells of some rows lie in the bytes: cell `c` is from `starts[c]` to `ends[c]`, row `r` ends before cell `rowEnds[r]`. */
export interface CellEdges extends EdgeArrays {
  rows: number
  /** bytes that whole rows take up; what comes behind is the beginning of a row that goes on */
  used: number
  /** the quoting is not regular from `used` on: a quoted cell goes on behind its closing quote, or never closes */
  irregular: boolean
}

/** EdgeArrays for edges, which can be used again once they are read. */
export interface EdgeArrays {
  starts: Int32Array
  ends: Int32Array
  /** `hashBytes` of each cell, doubled quotes counting once */
  hashes: Int32Array
  /** 0 where a cell is tidy, else a cellMark */
  marks: Uint8Array
  rowEnds: Int32Array
}

const fourTimes = (byte: number) => Math.imul(byte, 0x01010101)
const [ones, spaces, ampersands, highs] = [0x01010101, fourTimes(space), fourTimes(ampersand), fourTimes(0x80)]

/**
 * The high bit of each of four bytes that is zero; of the bytes after a zero byte it may say so of a one too. Source: S. E. Anderson,
 * Bit Twiddling Hacks, "Determine if a word has a zero byte".
 */
function zeros(word: number): number {
  return (word - ones) & ~word & highs
}

/**
 * Finds the cells of delimited text (RFC 4180) in its bytes: UTF-8, or any encoding in which ASCII stands for itself. Rows end
 * with LF, CRLF or CR, also mixed: a file put together from two systems must lose no row. No text is made; on the way every cell's hash is taken, and whether it is tidy: printable ASCII with single
 * spaces inside and no ampersand. Four bytes are looked at together, and those among them that may end the cell one by one.
 *
 * @param delimiter one ASCII character's code
 * @param atEnd the bytes are the end of the file
 * @param old edges that are no longer needed, whose room is taken
 */
// eslint-disable-next-line max-lines-per-function -- a kernel: no closure holds its variables, so that V8 keeps them in registers
export function splitBytes(
  bytes: Uint8Array,
  delimiter: number,
  atEnd: boolean,
  old: EdgeArrays | null = null,
): CellEdges {
  const n = bytes.length
  const view = viewOf(bytes)
  // No closure holds these variables: V8 would keep them in memory rather than in registers.
  let { starts, ends, hashes, marks, rowEnds } = old ?? room(Math.max(64, n >> 3), 1 << 12)
  let cells = 0
  let rows = 0
  let used = 0
  let at = 0
  let irregular = false
  while (at < n) {
    if (cells + 1 >= starts.length || rows === rowEnds.length)
      ({ starts, ends, hashes, marks, rowEnds } = grown({ starts, ends, hashes, marks, rowEnds }))
    const quoted = bytes[at] === quote
    const start = quoted ? at + 1 : at
    const stop = quoted ? quote : delimiter
    const stops = fourTimes(stop)
    let end = start
    let hash = 0
    let tail: number
    let odd = 0
    let doubled = 0
    // the high bit of the byte before, if that is a space; as if one stood before the cell
    let gap = 0x80
    // in a quoted cell nothing ends it before here: the quotes that are doubled lie there
    let passed = start
    cell: for (;;) {
      const word = end + 4 <= n ? view.getInt32(end, true) : lastWord(bytes, end)
      const low = (word - spaces) & ~word & highs
      const gaps = zeros(word ^ spaces)
      const flaws = low | ((word | (word + ones)) & highs) | zeros(word ^ ampersands) | (gaps & ((gaps << 8) | gap))
      // bytes that may end the cell, the first one in the lowest bits: LF and CR are below a space
      for (let may = zeros(word ^ stops) | low | behind(n - end); may !== 0; may &= may - 1) {
        const bits = (31 - Math.clz32(may & -may)) & 24
        const here = end + (bits >> 3)
        if (here < passed) continue
        const b = bytes[here]
        if (quoted && b === quote && bytes[here + 1] === quote) {
          doubled = 1
          passed = here + 2
          continue
        }
        if (b !== undefined && b !== stop && (quoted || (b !== newline && b !== carriage))) continue
        const keep = (1 << bits) - 1
        tail = word & keep
        odd |= flaws & keep
        if (bits > 0) gap = (gaps >>> (bits - 8)) & 0x80
        end = here
        break cell
      }
      odd |= flaws
      gap = gaps >>> 24
      hash = hashWord(hash, word)
      end += 4
    }
    if (quoted && end >= n) {
      irregular = atEnd
      break
    }
    starts[cells] = start
    ends[cells] = end
    hashes[cells] = doubled === 1 ? hashOfDoubled(bytes, start, end) : hashEnd(hash, tail, end - start)
    marks[cells] = doubled === 1 ? cellMark.doubled : (odd | gap) === 0 ? 0 : cellMark.odd
    cells++
    if (quoted) end++
    const after = bytes[end]
    if (after === carriage) {
      // whether a line feed follows may not be known yet
      if (end + 1 === n && !atEnd) break
      if (bytes[end + 1] === newline) end++
    } else if (after !== undefined && after !== delimiter && after !== newline) {
      irregular = true
      break
    }
    if (end >= n && !atEnd) break
    at = end + 1
    if (after === delimiter) {
      if (at < n || !atEnd) continue
      // a delimiter as the last of all: an empty cell follows
      starts[cells] = ends[cells] = n
      hashes[cells] = 0
      marks[cells++] = cellMark.odd
    }
    rowEnds[rows++] = cells
    used = Math.min(at, n)
  }
  return { starts, ends, hashes, marks, rowEnds, rows, used, irregular }
}

/** The bytes that are left where there are not four; nothing behind them. */
function lastWord(bytes: Uint8Array, from: number): number {
  return bytes.subarray(from).reduceRight((word, byte) => (word << 8) | byte, 0)
}

/** The high bits of those of four bytes that lie behind the end. @param left bytes that are there */
const behind = (left: number) => (left < 4 ? highs << (8 * left) : 0)

const decoder = new TextDecoder()

const hashOfDoubled = (bytes: Uint8Array, start: number, end: number) => hashText(textOfDoubled(bytes, start, end))

/** The text of a cell in which quotes are doubled. */
export function textOfDoubled(bytes: Uint8Array, start: number, end: number): string {
  return decoder.decode(bytes.subarray(start, end)).replaceAll('""', '"')
}

function room(cells: number, rows: number): EdgeArrays {
  const [starts, ends, hashes] = [new Int32Array(cells), new Int32Array(cells), new Int32Array(cells)]
  return { starts, ends, hashes, marks: new Uint8Array(cells), rowEnds: new Int32Array(rows) }
}

function grown(old: EdgeArrays): EdgeArrays {
  const larger = room(old.starts.length * 2, old.rowEnds.length * 2)
  for (const name of ['starts', 'ends', 'hashes', 'marks', 'rowEnds'] as const) larger[name].set(old[name])
  return larger
}

/** What goes over to another thread as it is, and back. */
export function edgeBuffers(room: EdgeArrays): ArrayBuffer[] {
  return [room.starts, room.ends, room.hashes, room.marks, room.rowEnds].map((a) => a.buffer as ArrayBuffer)
}
