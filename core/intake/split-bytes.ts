const [quote, newline, carriage] = [34, 10, 13]

/** What is to be known of a cell before it is taken as it stands: quotes in it are doubled, or it is not tidy. */
export const cellMark = { odd: 1, doubled: 2 } as const

/** Where the cells of some rows lie in the bytes: cell `c` is from `starts[c]` to `ends[c]`, row `r` ends before cell `rowEnds[r]`. */
export interface CellEdges {
  starts: Int32Array
  ends: Int32Array
  /** FNV-1a of each cell's bytes, doubled quotes counting once */
  hashes: Int32Array
  /** 0 where a cell is tidy, else a cellMark */
  marks: Uint8Array
  rowEnds: Int32Array
  rows: number
  /** bytes that whole rows take up; what comes behind is the beginning of a row that goes on */
  used: number
  /** the quoting is not regular from `used` on: a quoted cell goes on behind its closing quote, or never closes */
  irregular: boolean
}

const [space, ampersand] = [32, 38]
const [isOdd, isSpace] = [1, 2]
/** What a byte is in a tidy text: nothing of note, a space (not two together, none at the ends), or odd. */
const kinds = Uint8Array.from({ length: 256 }, (_, b) =>
  b === space ? isSpace : b < space || b > 126 || b === ampersand ? isOdd : 0,
)

/**
 * Finds the cells of delimited text (RFC 4180) in its bytes: UTF-8, or any encoding in which ASCII stands for itself. Rows end
 * with LF or CRLF. No text is made, and each byte is looked at once: on the way every cell's hash is taken (FNV-1a), and whether
 * it is tidy, printable ASCII with single spaces inside and no ampersand.
 *
 * @param delimiter one ASCII character's code
 * @param atEnd the bytes are the end of the file
 * @param twoMarks rows end with CRLF alone, and a bare LF is part of a cell
 */
export function splitBytes(bytes: Uint8Array, delimiter: number, atEnd: boolean, twoMarks = false): CellEdges {
  const n = bytes.length
  let edges = room(Math.max(64, n >> 3))
  let [cells, rows, used, at] = [0, 0, 0, 0]
  let rowEnds = new Int32Array(1 << 12)
  const result = (irregular: boolean): CellEdges => ({ ...edges, rowEnds, rows, used, irregular })
  while (at < n) {
    if (cells === edges.starts.length) edges = grown(edges)
    let end: number
    let hash = 0x811c9dc5 | 0
    let odd = 0
    let before = isSpace
    if (bytes[at] === quote) {
      const start = at + 1
      end = start
      let doubled = 0
      for (; end < n; end++) {
        const b = bytes[end] as number
        if (b === quote) {
          if (bytes[end + 1] !== quote) break
          doubled = 1
          end++
        }
        hash = Math.imul(hash ^ b, 0x01000193)
        const kind = kinds[b] as number
        odd |= (kind & isOdd) | (kind & before)
        before = kind & isSpace
      }
      if (end >= n) return result(atEnd)
      edges.starts[cells] = start
      edges.ends[cells] = end
      edges.hashes[cells] = hash
      edges.marks[cells++] = doubled === 1 ? cellMark.doubled : odd | before ? cellMark.odd : 0
      end++
      if (bytes[end] === carriage && (bytes[end + 1] === newline || end + 1 === n)) end++
      if (end < n && bytes[end] !== delimiter && bytes[end] !== newline) return result(true)
    } else {
      end = at
      // as they were before the last byte, which may be the CR of a CRLF
      let [hash1, odd1, before1] = [hash, odd, before]
      for (; end < n; end++) {
        const b = bytes[end] as number
        if (b === delimiter || (b === newline && (!twoMarks || (end > at && bytes[end - 1] === carriage)))) break
        hash1 = hash
        odd1 = odd
        before1 = before
        hash = Math.imul(hash ^ b, 0x01000193)
        const kind = kinds[b] as number
        odd |= (kind & isOdd) | (kind & before)
        before = kind & isSpace
      }
      const carried = end > at && bytes[end - 1] === carriage && bytes[end] !== delimiter
      if (carried) [hash, odd, before] = [hash1, odd1, before1]
      edges.starts[cells] = at
      edges.ends[cells] = carried ? end - 1 : end
      edges.hashes[cells] = hash
      edges.marks[cells++] = odd | before ? cellMark.odd : 0
    }
    if (end >= n && !atEnd) return result(false)
    at = end + 1
    if (bytes[end] === delimiter && end < n) {
      if (at < n || !atEnd) continue
      // a delimiter as the last of all: an empty cell follows
      if (cells === edges.starts.length) edges = grown(edges)
      edges.starts[cells] = edges.ends[cells] = n
      edges.hashes[cells] = 0x811c9dc5
      edges.marks[cells++] = cellMark.odd
    }
    if (rows === rowEnds.length) rowEnds = doubledLength(rowEnds)
    rowEnds[rows++] = cells
    used = Math.min(at, n)
  }
  return result(false)
}

type Edges = Pick<CellEdges, 'starts' | 'ends' | 'hashes' | 'marks'>

function doubledLength(old: Int32Array): Int32Array<ArrayBuffer> {
  const larger = new Int32Array(old.length * 2)
  larger.set(old)
  return larger
}

function room(cells: number): Edges {
  const [starts, ends, hashes] = [new Int32Array(cells), new Int32Array(cells), new Int32Array(cells)]
  return { starts, ends, hashes, marks: new Uint8Array(cells) }
}

function grown(old: Edges): Edges {
  const larger = room(old.starts.length * 2)
  larger.starts.set(old.starts)
  larger.ends.set(old.ends)
  larger.hashes.set(old.hashes)
  larger.marks.set(old.marks)
  return larger
}
