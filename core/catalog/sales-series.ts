import type { UnitSeries } from '../demand'
import type { Capture } from '../intake'
import { numbers, textAt, textColumn, type Table } from '../tables'
import { listingKey } from './merge-listings'

/**
 * Units over time for each listing that any sales import speaks of. Days between the first and the last that no row names are
 * gaps. Where two imports name the same day the later import counts. Rows seven days apart are weeks.
 */
export function salesSeries(captures: readonly Capture[]): Map<string, UnitSeries> {
  const runs = new Map<string, Run[]>()
  for (const capture of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (capture.kind === 'sales') takeRuns(capture.table, runs)
  }
  return new Map([...runs].map(([key, list]) => [key, toSeries(list)]))
}

/** Rows of one listing that follow each other in a table. */
interface Run {
  days: Float64Array
  units: Float64Array
}

/** Files mostly keep a listing's rows together, so a million rows are a few thousand runs; its key is made once a run. */
function takeRuns(table: Table, runs: Map<string, Run[]>): void {
  const [market, id] = [textColumn(table, 'market'), textColumn(table, 'id')]
  const [days, units] = [numbers(table, 'day'), numbers(table, 'units')]
  let start = 0
  for (let row = 1; row <= table.rows; row++) {
    const goesOn = row < table.rows && market.codes[row] === market.codes[start] && id.codes[row] === id.codes[start]
    if (goesOn) continue
    const key = listingKey(textAt(market, start), textAt(id, start))
    const run = { days: days.subarray(start, row), units: units.subarray(start, row) }
    const list = runs.get(key)
    if (list) list.push(run)
    else runs.set(key, [run])
    start = row
  }
}

function toSeries(runs: readonly Run[]): UnitSeries {
  let first = Infinity
  let last = -Infinity
  for (const { days } of runs) {
    for (const day of days) {
      if (day < first) first = day
      if (day > last) last = day
    }
  }
  const stepDays = stepOf(runs, first, last)
  const values = new Float64Array((last - first) / stepDays + 1).fill(NaN)
  for (const { days, units } of runs) {
    for (let i = 0; i < days.length; i++) {
      const u = units[i] as number
      if (!Number.isNaN(u)) values[((days[i] as number) - first) / stepDays] = u
    }
  }
  return { start: first, stepDays, values }
}

/** Weeks where every row is whole weeks from the first. */
function stepOf(runs: readonly Run[], first: number, last: number): 1 | 7 {
  if (last === first) return 1
  return runs.every(({ days }) => days.every((day) => (day - first) % 7 === 0)) ? 7 : 1
}
