import { recordCodec, TableBuilder, type Table } from '../tables'
import { readingsOf } from './capture-readings'
import { learnMarkets } from './learn-markets'
import { ListingReader } from './listing'
import { combinedOf, estimateMethods, partsOf, type EstimateMethod } from './listing-estimates'
import type { NumberedCapture } from './number-listings'
import type { SalesBlock } from './sales-block'

/** Units in 30 days with an 80 % interval. */
export interface EstimatedUnits {
  units: number
  low: number
  high: number
}

/** Units of a listing whose sales nobody publishes, by all methods that apply and by all of them together. */
export interface UnpublishedUnits extends EstimatedUnits {
  by: Partial<Record<EstimateMethod, EstimatedUnits>>
}

const parts = ['', ...estimateMethods].flatMap((of) => ['Units', 'Low', 'High'].map((part) => `${of}${part}`))
const codec = recordCodec(Object.fromEntries(parts.map((name) => [name, 'number' as const])))

/**
 * Estimates for the listings that no sales figure is known of, from what markets do show: reviews and stock over several captures, and
 * rank, on a line through the listings of the same market whose sales and rank are both known. Independent ones are combined.
 *
 * @returns one row a listing; without columns where nothing had to be, or could be, estimated
 */
export async function unpublishedUnits(
  { listings, sales }: { listings: Table; sales: SalesBlock },
  captures: readonly NumberedCapture[],
  onProgress: (done: number) => Promise<void> = async () => {},
): Promise<Table> {
  const reader = new ListingReader(listings)
  const isKnown = (row: number) => (sales.seriesOf[row] as number) >= 0 || reader.figure('units', row) !== null
  const unknown = [...sales.seriesOf.keys()].filter((row) => !isKnown(row))
  if (unknown.length === 0) return { rows: listings.rows, columns: {} }
  const wanted = new Set(unknown)
  const shown = {
    reviews: readingsOf('reviews', captures, wanted),
    stock: readingsOf('stock', captures, wanted),
    reader,
  }
  const learned = learnMarkets(sales, captures, reader)
  const builder = new TableBuilder(codec.columns)
  for (let row = 0; row < listings.rows; row++) {
    if (row % 500 === 0) await onProgress(row / listings.rows)
    if (!wanted.has(row)) {
      builder.add({})
      continue
    }
    const market = learned(reader.market(row))
    const parts = partsOf(shown, row, market)
    const all = combinedOf(parts, market)
    const known = [['', all] as const, ...parts].flatMap(([of, e]) =>
      e ? [[`${of}Units`, e.units] as const, [`${of}Low`, e.low] as const, [`${of}High`, e.high] as const] : [],
    )
    builder.add(codec.pack(Object.fromEntries(known)))
  }
  return builder.finish()
}

/** The estimate of a listing as kept in the table; null where there is none. */
export function unpublishedAt(table: Table, listing: number): UnpublishedUnits | null {
  if (!table.columns.Units) return null
  const kept = codec.at(table, listing)
  const trio = (of: string): EstimatedUnits | null => {
    const units = kept[`${of}Units`] ?? null
    return units === null ? null : { units, low: kept[`${of}Low`] ?? units, high: kept[`${of}High`] ?? units }
  }
  const all = trio('')
  if (!all) return null
  const by = estimateMethods.flatMap((m) => {
    const found = trio(m)
    return found ? [[m, found]] : []
  })
  return { ...all, by: Object.fromEntries(by) as UnpublishedUnits['by'] }
}
