import type { UnitSeries } from '../demand'
import { numbers } from '../tables'
import type { NumberedCapture } from './number-listings'

/** Units over time of many listings, all in one array. */
export interface SalesBlock {
  /** listing → its series, -1 where it has none */
  seriesOf: Int32Array
  /** per series: day of the first step, days in a step, and where its values begin; one more entry closes the last */
  start: Int32Array
  stepDays: Int32Array
  from: Int32Array
  values: Float64Array
}

/**
 * Units over time for each listing that any sales import speaks of. Days between the first and the last that no row names are
 * gaps. Where two imports name the same day the later import counts. Rows seven days apart are weeks.
 */
export function salesBlock(count: number, captures: readonly NumberedCapture[]): SalesBlock {
  const runs = new Map<number, Run[]>()
  for (const numbered of captures) if (numbered.capture.kind === 'sales') takeRuns(numbered, runs)
  const seriesOf = new Int32Array(count).fill(-1)
  const [start, stepDays, from] = [new Int32Array(runs.size), new Int32Array(runs.size), new Int32Array(runs.size + 1)]
  const spans = [...runs].map(([listing, list], series) => {
    seriesOf[listing] = series
    const span = spanOf(list)
    start[series] = span.first
    stepDays[series] = span.stepDays
    from[series + 1] = (from[series] as number) + (span.last - span.first) / span.stepDays + 1
    return { list, ...span }
  })
  const values = new Float64Array(from[runs.size] as number).fill(NaN)
  spans.forEach(({ list, first, stepDays: step }, series) => {
    const at = from[series] as number
    for (const { days, units } of list) {
      days.forEach((day, i) => {
        const u = units[i] as number
        if (!Number.isNaN(u)) values[at + (day - first) / step] = u
      })
    }
  })
  return { seriesOf, start, stepDays, from, values }
}

/** The series of a listing, a view into the block; null where it has none. */
export function seriesAt(block: SalesBlock, listing: number): UnitSeries | null {
  const series = block.seriesOf[listing] ?? -1
  if (series < 0) return null
  return {
    start: block.start[series] as number,
    stepDays: block.stepDays[series] as 1 | 7,
    values: block.values.subarray(block.from[series], block.from[series + 1]),
  }
}

/** Rows of one listing that follow each other in a table. */
interface Run {
  days: Float64Array
  units: Float64Array
}

function takeRuns({ capture, rows, listings }: NumberedCapture, runs: Map<number, Run[]>): void {
  const [days, units] = [numbers(capture.table, 'day'), numbers(capture.table, 'units')]
  rows.forEach((start, i) => {
    const end = rows[i + 1] ?? capture.table.rows
    const run = { days: days.subarray(start, end), units: units.subarray(start, end) }
    const list = runs.get(listings[i] as number)
    if (list) list.push(run)
    else runs.set(listings[i] as number, [run])
  })
}

/** First and last day; weeks where every row is whole weeks from the first. */
function spanOf(runs: readonly Run[]): { first: number; last: number; stepDays: 1 | 7 } {
  let [first, last] = [Infinity, -Infinity]
  for (const { days } of runs) for (const day of days) [first, last] = [Math.min(first, day), Math.max(last, day)]
  const weekly = last > first && runs.every(({ days }) => days.every((day) => (day - first) % 7 === 0))
  return { first, last, stepDays: weekly ? 7 : 1 }
}
