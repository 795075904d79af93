const [quote, newline, carriage] = [34, 10, 13]

/** Where the cells of some rows lie in the bytes: cell `c` is from `starts[c]` to `ends[c]`, row `r` ends before cell `rowEnds[r]`. */
export interface CellEdges {
  starts: Int32Array
  ends: Int32Array
  /** 1 where quotes inside are doubled */
  doubled: Uint8Array
  rowEnds: Int32Array
  rows: number
  /** bytes that whole rows take up; what comes behind is the beginning of a row that goes on */
  used: number
  /** the quoting is not regular from `used` on: a quoted cell goes on behind its closing quote, or never closes */
  irregular: boolean
}

/**
 * Finds the cells of delimited text (RFC 4180) in its bytes: UTF-8, or any encoding in which ASCII stands for itself. Rows end
 * with LF or CRLF. No text is made.
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
    if (bytes[at] === quote) {
      const start = at + 1
      end = start
      let doubled = 0
      for (; end < n; end++) {
        if (bytes[end] !== quote) continue
        if (bytes[end + 1] !== quote) break
        doubled = 1
        end++
      }
      if (end >= n) return result(atEnd)
      edges.starts[cells] = start
      edges.ends[cells] = end
      edges.doubled[cells++] = doubled
      end++
      if (bytes[end] === carriage && (bytes[end + 1] === newline || end + 1 === n)) end++
      if (end < n && bytes[end] !== delimiter && bytes[end] !== newline) return result(true)
    } else {
      end = at
      for (; end < n; end++) {
        const b = bytes[end]
        if (b === delimiter || (b === newline && (!twoMarks || (end > at && bytes[end - 1] === carriage)))) break
      }
      edges.starts[cells] = at
      edges.ends[cells] = end > at && bytes[end - 1] === carriage && bytes[end] !== delimiter ? end - 1 : end
      edges.doubled[cells++] = 0
    }
    if (end >= n && !atEnd) return result(false)
    at = end + 1
    if (bytes[end] === delimiter && end < n) {
      if (at < n || !atEnd) continue
      // a delimiter as the last of all: an empty cell follows
      if (cells === edges.starts.length) edges = grown(edges)
      edges.starts[cells] = edges.ends[cells] = n
      cells++
    }
    if (rows === rowEnds.length) rowEnds = doubledLength(rowEnds)
    rowEnds[rows++] = cells
    used = Math.min(at, n)
  }
  return result(false)
}

type Edges = Pick<CellEdges, 'starts' | 'ends' | 'doubled'>

function doubledLength(old: Int32Array): Int32Array<ArrayBuffer> {
  const larger = new Int32Array(old.length * 2)
  larger.set(old)
  return larger
}

function room(cells: number): Edges {
  return { starts: new Int32Array(cells), ends: new Int32Array(cells), doubled: new Uint8Array(cells) }
}

function grown(old: Edges): Edges {
  const larger = room(old.starts.length * 2)
  larger.starts.set(old.starts)
  larger.ends.set(old.ends)
  larger.doubled.set(old.doubled)
  return larger
}
