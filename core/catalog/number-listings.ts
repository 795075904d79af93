import type { Capture, KindName } from '../records'
import { textAt, textColumn, type TextColumn } from '../tables'

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
  const numbers = new ListingNumbers()
  const numbered = inTime(captures).map((capture, i, { length }): NumberedCapture => {
    const { table } = capture
    const [market, id] = [textColumn(table, 'market'), textColumn(table, 'id')]
    const numberAt = numbers.of(market, id, i === length - 1)
    const rows = new Int32Array(table.rows)
    const listings = new Int32Array(table.rows)
    let named = 0
    for (let row = 0; row < table.rows; row++) {
      const goesOn = row > 0 && market.codes[row] === market.codes[row - 1] && id.codes[row] === id.codes[row - 1]
      if (goesOn && capture.kind === 'sales') continue
      rows[named] = row
      listings[named++] = numberAt(row)
    }
    return { capture, rows: rows.subarray(0, named), listings: listings.subarray(0, named) }
  })
  return { count: numbers.count, captures: numbered }
}

/** Numbers of listings by their market and their own number there: a text that a table has often is looked up once. */
class ListingNumbers {
  count = 0
  readonly #numbers = new Map<string, Map<string, number>>()

  /** The listing of a row of a table. @param isLast what it names need not be found again */
  of(market: TextColumn, id: TextColumn, isLast: boolean): (row: number) => number {
    const ids = id.words.length + 1
    const onMarkets = Array.from({ length: market.words.length + 1 }, (_, code) =>
      mapOf(this.#numbers, (code > 0 ? market.words.at(code - 1) : null) ?? '?'),
    )
    // most numbers are met on one market alone
    const [first, listingOnFirst] = [new Int32Array(ids).fill(-1), new Int32Array(ids)]
    const onOthers = new Map<number, number>()
    return (row) => {
      const [on, number] = [(market.codes[row] as number) + 1, (id.codes[row] as number) + 1]
      if (first[number] === on) return listingOnFirst[number] as number
      const known = first[number] === -1 ? undefined : onOthers.get(on * ids + number)
      if (known !== undefined) return known
      const listing = this.#numberOf(onMarkets[on] as Map<string, number>, id, row, isLast)
      if (first[number] !== -1) onOthers.set(on * ids + number, listing)
      else [first[number], listingOnFirst[number]] = [on, listing]
      return listing
    }
  }

  #numberOf(byName: Map<string, number>, id: TextColumn, row: number, isLast: boolean): number {
    // no text is made of what is neither known nor asked for again
    if (isLast && byName.size === 0) return this.count++
    const name = textAt(id, row) ?? '?'
    const known = byName.get(name)
    if (known !== undefined) return known
    if (!isLast) byName.set(name, this.count)
    return this.count++
  }
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
