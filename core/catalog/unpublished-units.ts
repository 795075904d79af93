import {
  combine,
  fromRank,
  fromReviews,
  fromStock,
  learnedRate,
  rankCurve,
  usualReviewRate,
  type Estimate,
  type LeaveRate,
  type RankCurve,
  type StockReading,
} from '../estimates'
import { sumWindow } from '../demand'
import { numbers, recordCodec, TableBuilder, type Table } from '../tables'
import { ListingReader } from './listing'
import type { NumberedCapture } from './number-listings'
import { seriesAt, type SalesBlock } from './sales-block'

const methods = ['reviews', 'stock', 'rank'] as const
export type EstimateMethod = (typeof methods)[number]

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

/** days over which reviews and stock are compared: what lies further back speaks of another time */
const span = 90
/** days that must lie between the first and the last look at the reviews */
const leastDays = 14
const window = 30

const parts = ['', ...methods].flatMap((of) => ['Units', 'Low', 'High'].map((part) => `${of}${part}`))
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
  const isKnown = (row: number) => (sales.seriesOf[row] ?? -1) >= 0 || reader.figure('units', row) !== null
  const unknown: number[] = []
  for (let row = 0; row < listings.rows; row++) if (!isKnown(row)) unknown.push(row)
  if (unknown.length === 0) return { rows: listings.rows, columns: {} }
  const wanted = new Set(unknown)
  const [reviews, stock] = [readingsOf('reviews', captures, wanted), readingsOf('stock', captures, wanted)]
  const rates = reviews.size === 0 ? new Map<string, LeaveRate>() : reviewRates({ listings, sales }, captures, reader)
  const curves = rankCurves(reader)
  const builder = new TableBuilder(codec.columns)
  for (let row = 0; row < listings.rows; row++) {
    if (row % 500 === 0) await onProgress(row / listings.rows)
    if (!wanted.has(row)) {
      builder.add({})
      continue
    }
    const parts: [EstimateMethod, Estimate | null][] = [
      ['reviews', byReviews(reviews.get(row) ?? [], rates.get(reader.market(row)))],
      ['stock', byStock(stock.get(row) ?? [])],
      ['rank', byRank(reader, row, curves)],
    ]
    const all = combine(parts.flatMap(([, e]) => e ?? []))
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
  const by = methods.flatMap((m) => {
    const found = trio(m)
    return found ? [[m, found]] : []
  })
  return { ...all, by: Object.fromEntries(by) as UnpublishedUnits['by'] }
}

interface Reading {
  day: number
  value: number
}

/** What captures of listings say of a figure over time, for the wanted listings, oldest first. */
function readingsOf(
  name: string,
  captures: readonly NumberedCapture[],
  wanted: ReadonlySet<number>,
): Map<number, Reading[]> {
  const readings = new Map<number, Reading[]>()
  const telling = captures.filter(({ capture }) => capture.kind === 'listings' && capture.table.columns[name])
  if (telling.length < 2) return readings
  for (const { capture, rows, listings } of telling) {
    const values = numbers(capture.table, name)
    for (let i = 0; i < rows.length; i++) {
      const [listing, value] = [listings[i] as number, values[rows[i] as number] as number]
      if (!wanted.has(listing) || Number.isNaN(value)) continue
      const list = readings.get(listing) ?? []
      list.push({ day: capture.capturedOn, value })
      readings.set(listing, list)
    }
  }
  return readings
}

const recent = (readings: readonly Reading[]) => readings.filter((l) => l.day > (readings.at(-1)?.day ?? 0) - span)

/** How far the count of reviews rose over the last 90 days, and from when to when; null where it is not told. */
function riseOf(all: readonly Reading[]): { rise: number; from: number; to: number } | null {
  const readings = recent(all)
  const [first, last] = [readings[0], readings.at(-1)]
  if (!first || !last || last.day - first.day < leastDays || last.value < first.value) return null
  return { rise: last.value - first.value, from: first.day, to: last.day }
}

function byReviews(all: readonly Reading[], rate: LeaveRate = usualReviewRate): Estimate | null {
  const found = riseOf(all)
  return found && scaled(fromReviews(found.rise, rate), window / (found.to - found.from))
}

/** listings of which a market's rate is learned, at the most */
const mostLearned = 4000

/** The rate of reviews of each market, learned from those of its listings whose sales over the same days are counted. */
function reviewRates(
  { listings, sales }: { listings: Table; sales: SalesBlock },
  captures: readonly NumberedCapture[],
  reader: ListingReader,
): Map<string, LeaveRate> {
  const known: number[] = []
  for (let row = 0; row < listings.rows; row++) if ((sales.seriesOf[row] ?? -1) >= 0) known.push(row)
  const step = Math.ceil(known.length / mostLearned)
  const some = new Set(known.filter((_, i) => i % step === 0))
  const pairs = new Map<string, { left: number; sold: number }[]>()
  for (const [row, readings] of readingsOf('reviews', captures, some)) {
    const [found, series] = [riseOf(readings), seriesAt(sales, row)]
    if (!found || !series) continue
    const { units, known: days } = sumWindow(series, found.to, found.to - found.from)
    if (days < found.to - found.from) continue
    const list = pairs.get(reader.market(row)) ?? []
    list.push({ left: found.rise, sold: units })
    pairs.set(reader.market(row), list)
  }
  return new Map([...pairs].map(([market, list]) => [market, learnedRate(list, usualReviewRate)]))
}

function byStock(all: readonly Reading[]): Estimate | null {
  const readings = recent(all).map(({ day, value }): StockReading => ({ day, stock: value }))
  const { estimate, judgedDays, hiddenDays } = fromStock(readings)
  return estimate && scaled(estimate, window / (judgedDays + hiddenDays))
}

function scaled(e: Estimate, by: number): Estimate {
  return { ...e, units: e.units * by, low: e.low * by, high: e.high * by, mean: e.mean * by }
}

/** A line of units by rank for each market, through its listings whose 30 days of sales are reported beside their rank. */
function rankCurves(reader: ListingReader): Map<string, RankCurve> {
  const pairs = new Map<string, { rank: number; units: number }[]>()
  for (let row = 0; row < reader.rows; row++) {
    const [rank, units] = [reader.figure('rank', row), reader.figure('units', row)]
    if (rank === null || units === null) continue
    const list = pairs.get(reader.market(row)) ?? []
    list.push({ rank, units: (units * window) / (reader.figure('windowDays', row) ?? window) })
    pairs.set(reader.market(row), list)
  }
  return new Map(
    [...pairs].flatMap(([market, list]) => {
      const curve = rankCurve(list)
      return curve ? [[market, curve] as const] : []
    }),
  )
}

function byRank(reader: ListingReader, row: number, curves: ReadonlyMap<string, RankCurve>): Estimate | null {
  const [rank, curve] = [reader.figure('rank', row), curves.get(reader.market(row))]
  return rank === null || !curve ? null : fromRank(rank, curve)
}
