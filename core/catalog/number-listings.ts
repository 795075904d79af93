import type { Capture, KindName } from '../records'
import { textAt, textColumn } from '../tables'

/** Which listing each row of a capture speaks of. For sales only the first row of a run of one listing is named. */
export interface NumberedCapture {
  capture: Capture
  /** rows that name a listing, in order, and the listing of each */
  rows: Int32Array
  listings: Int32Array
}

/**
 * Numbers all listings of all captures, 0 upwards in order of first appearance, oldest capture first. A listing is its
 * number on its market. Rows of one listing in a sales file mostly follow each other, so they are looked up once a run.
 */
export function numberListings(captures: readonly Capture[]): { count: number; captures: NumberedCapture[] } {
  const numbers = new Map<string, Map<string, number>>()
  let count = 0
  const numbered: NumberedCapture[] = []
  for (const capture of inTime(captures)) {
    const { table } = capture
    const [market, id] = [textColumn(table, 'market'), textColumn(table, 'id')]
    const rows = new Int32Array(table.rows)
    const listings = new Int32Array(table.rows)
    let named = 0
    for (let row = 0; row < table.rows; row++) {
      const goesOn = row > 0 && market.codes[row] === market.codes[row - 1] && id.codes[row] === id.codes[row - 1]
      if (goesOn && capture.kind === 'sales') continue
      const onMarket = mapOf(numbers, textAt(market, row) ?? '?')
      const word = textAt(id, row) ?? '?'
      let listing = onMarket.get(word)
      if (listing === undefined) onMarket.set(word, (listing = count++))
      rows[named] = row
      listings[named++] = listing
    }
    numbered.push({ capture, rows: rows.subarray(0, named), listings: listings.subarray(0, named) })
  }
  return { count, captures: numbered }
}

/** Oldest first; of one day the sales first, as a list of listings knows more of them. */
function inTime(captures: readonly Capture[]): Capture[] {
  return captures
    .filter((c) => c.kind === 'listings' || c.kind === 'sales')
    .sort((a, b) => a.capturedOn - b.capturedOn || rank(a.kind) - rank(b.kind))
}

function rank(kind: KindName): number {
  return kind === 'sales' ? 0 : 1
}

function mapOf(maps: Map<string, Map<string, number>>, name: string): Map<string, number> {
  let map = maps.get(name)
  if (!map) maps.set(name, (map = new Map<string, number>()))
  return map
}
