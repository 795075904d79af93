import { grades, ListingReader, seriesAt, unitsInWindow, type Catalog, type KnownUnits } from '../catalog'
import { sumWindow, type UnitSeries } from '../demand'
import { numbers, textColumn } from '../tables'

/** Units of each listing in the days that end with its market's last day. Shape: one entry a listing. */
export interface WindowUnits {
  days: number
  /** NaN where they are not known */
  units: Float64Array
  /** how each is known, as a place in `grades`; only where units are known */
  gradeOf: Uint8Array
}

export type WindowDays = 30 | 90 | 180

/** share of a window's days that must be known for it to be scaled up */
const leastKnown = 0.7

/**
 * Units over 30 days as items have them (`unitsInWindow`). Over longer windows only what days or weeks of sales say, or a market that
 * reported just that window: what is known of 30 days says nothing of 90.
 */
export function windowUnits(catalog: Catalog, days: WindowDays): WindowUnits {
  const rows = catalog.listings.rows
  const [units, gradeOf] = [new Float64Array(rows).fill(NaN), new Uint8Array(rows)]
  const unitsAt = unitsReader(catalog, days)
  for (let row = 0; row < rows; row++) {
    const known = unitsAt(row)
    if (!known) continue
    units[row] = known.units
    gradeOf[row] = grades.indexOf(known.grade)
  }
  return { days, units, gradeOf }
}

/** The same of single listings, by their row. */
export function unitsReader(catalog: Catalog, days: WindowDays): (row: number) => KnownUnits | null {
  const reader = new ListingReader(catalog.listings)
  const endOf = windowEndOf(catalog)
  return (row) => {
    const series = seriesAt(catalog.sales, row)
    const end = endOf(row)
    if (days === 30) return unitsInWindow(reader.at(row), series, end)
    return (series && summed(series, end, days)) || reported(reader, row, end, days)
  }
}

function summed(series: UnitSeries, end: number, days: number): KnownUnits | null {
  const sum = sumWindow(series, end, days)
  if (sum.known === days && series.stepDays === 1) return { units: sum.units, grade: 'counted' }
  return sum.known >= leastKnown * days ? { units: (sum.units * days) / sum.known, grade: 'estimated' } : null
}

function reported(reader: ListingReader, row: number, end: number, days: number): KnownUnits | null {
  const [units, length, day] = (['units', 'windowDays', 'unitsDay'] as const).map((name) => reader.figure(name, row))
  if (units == null || length !== days || day == null || end - day > days / 2) return null
  return { units, grade: 'reported' }
}

/** Row of a listing → the last day its market's figures speak of. */
export function windowEndOf({ listings, windowEnds }: Catalog): (row: number) => number {
  const market = textColumn(listings, 'market')
  const captured = numbers(listings, 'capturedOn')
  const ends = Array.from({ length: market.words.length }, (_, code) => windowEnds[market.words.at(code) ?? '?'])
  return (row) => ends[market.codes[row] as number] ?? windowEnds['?'] ?? (captured[row] as number)
}
