import {
  calibrationOf,
  learnedRate,
  rankCurve,
  usualReviewRate,
  type JudgedEstimate,
  type LeavePair,
  type RankPair,
} from '../estimates'
import { lastDayOf, sumWindow, type UnitSeries } from '../demand'
import { readingsOf, recent, riseOf, type Reading } from './capture-readings'
import type { ListingReader } from './listing'
import {
  combinedOf,
  nothingLearned,
  partsOf,
  stockSales,
  window,
  type MarketLearning,
  type Shown,
} from './listing-estimates'
import type { NumberedCapture } from './number-listings'
import { seriesAt, type SalesBlock } from './sales-block'

/** listings of which is learned, at the most */
const mostLearned = 4000

/** Learns of each market from those of its listings whose sales are counted over the days in which reviews and stock were seen, and from ranks. */
export function learnMarkets(
  sales: SalesBlock,
  captures: readonly NumberedCapture[],
  reader: ListingReader,
): (market: string) => MarketLearning {
  const some = someCounted(sales)
  const shown = { reviews: readingsOf('reviews', captures, some), stock: readingsOf('stock', captures, some), reader }
  const known = [...some].flatMap((row) => {
    const series = seriesAt(sales, row)
    return series && (shown.reviews.has(row) || shown.stock.has(row)) ? [{ row, series }] : []
  })
  const found = new Map<string, MarketLearning>()
  const groups = new Map<string, Counted[]>()
  for (const k of known) {
    const list = groups.get(reader.market(k.row))
    if (list) list.push(k)
    else groups.set(reader.market(k.row), [k])
  }
  const ranks = rankPairs(reader)
  for (const market of new Set([...groups.keys(), ...ranks.keys()]))
    found.set(market, learned(shown, groups.get(market) ?? [], ranks.get(market) ?? []))
  return (market) => found.get(market) ?? nothingLearned
}

interface Counted {
  row: number
  series: UnitSeries
}

function someCounted({ seriesOf }: SalesBlock): Set<number> {
  const known = [...seriesOf.keys()].filter((row) => (seriesOf[row] as number) >= 0)
  const step = Math.ceil(known.length / mostLearned)
  return new Set(known.filter((_, i) => i % step === 0))
}

function learned(shown: Shown, known: readonly Counted[], ranks: readonly RankPair[]): MarketLearning {
  const first = {
    ...nothingLearned,
    reviewRate: learnedRate(
      known.flatMap((k) => reviewPair(shown.reviews.get(k.row) ?? [], k)),
      usualReviewRate,
    ),
    rank: rankCurve(ranks),
    stock: calibrationOf(known.flatMap((k) => judgedStock(shown.stock.get(k.row) ?? [], k))),
  }
  const together = calibrationOf(
    known.flatMap(({ row, series }): JudgedEstimate[] => {
      const parts = partsOf(shown, row, first)
      const [estimate, truth] = [combinedOf(parts, first), soldIn(series, lastDayOf(series), window)]
      return estimate && truth !== null && parts.length > 1 ? [{ estimate, truth }] : []
    }),
  )
  return { ...first, together }
}

function reviewPair(readings: readonly Reading[], { series }: Counted): LeavePair[] {
  const found = riseOf(readings)
  const sold = found && soldIn(series, found.to, found.to - found.from)
  return found && sold !== null ? [{ left: found.rise, sold }] : []
}

function judgedStock(readings: readonly Reading[], { series }: Counted): JudgedEstimate[] {
  const { estimate, judgedDays, hiddenDays } = stockSales(readings)
  const truth = soldIn(series, recent(readings).at(-1)?.day ?? 0, judgedDays + hiddenDays)
  return estimate && truth !== null ? [{ estimate, truth }] : []
}

/** Units of so many days up to one; null where one of them was not counted. */
function soldIn(series: UnitSeries, to: number, days: number): number | null {
  const { units, known } = sumWindow(series, to, days)
  return known === days ? units : null
}

/** Ranks of each market's listings whose 30 days of sales are reported beside them. */
function rankPairs(reader: ListingReader): Map<string, RankPair[]> {
  const pairs = new Map<string, RankPair[]>()
  for (let row = 0; row < reader.rows; row++) {
    const [rank, units] = [reader.figure('rank', row), reader.figure('units', row)]
    if (rank === null || units === null) continue
    const list = pairs.get(reader.market(row)) ?? []
    list.push({ rank, units: (units * window) / (reader.figure('windowDays', row) ?? window) })
    pairs.set(reader.market(row), list)
  }
  return pairs
}
