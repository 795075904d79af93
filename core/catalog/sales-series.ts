import type { UnitSeries } from '../demand'
import type { Capture } from '../intake'
import { numbers, textAt, textColumn, type Table } from '../tables'
import { listingKey } from './merge-listings'

/**
 * Units over time for each listing that any sales import speaks of. Days between the first and the last that no row names are
 * gaps. Where two imports name the same day the later import counts. Rows seven days apart are weeks.
 */
export function salesSeries(captures: readonly Capture[]): Map<string, UnitSeries> {
  const byListing = new Map<string, Map<number, number>>()
  for (const capture of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (capture.kind === 'sales') takeCapture(capture.table, byListing)
  }
  return new Map([...byListing].map(([key, days]) => [key, toSeries(days)]))
}

/** The hot loop: a million rows. Rows of one listing mostly follow each other, so its key is made once a run, from the codes. */
function takeCapture(table: Table, byListing: Map<string, Map<number, number>>): void {
  const [market, id] = [textColumn(table, 'market'), textColumn(table, 'id')]
  const [day, units] = [numbers(table, 'day'), numbers(table, 'units')]
  let [lastMarket, lastId] = [-2, -2]
  let days = new Map<number, number>()
  for (let row = 0; row < table.rows; row++) {
    const [m, i] = [market.codes[row] as number, id.codes[row] as number]
    if (m !== lastMarket || i !== lastId) {
      const key = listingKey(textAt(market, row), textAt(id, row))
      days = byListing.get(key) ?? new Map<number, number>()
      byListing.set(key, days)
      lastMarket = m
      lastId = i
    }
    const [d, u] = [day[row] as number, units[row] as number]
    if (d === d && u === u) days.set(d, u)
  }
}

function toSeries(days: Map<number, number>): UnitSeries {
  const sorted = [...days.keys()].sort((a, b) => a - b)
  const first = sorted[0] ?? 0
  const stepDays = stepOf(sorted)
  const values = new Float64Array(((sorted.at(-1) ?? first) - first) / stepDays + 1).fill(NaN)
  for (const [day, units] of days) values[(day - first) / stepDays] = units
  return { start: first, stepDays, values }
}

/** Weeks where every row is whole weeks from the first. */
function stepOf(sorted: number[]): 1 | 7 {
  return sorted.length > 1 && sorted.every((day) => (day - (sorted[0] as number)) % 7 === 0) ? 7 : 1
}
