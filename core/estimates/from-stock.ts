import { fromLog, type Estimate } from './estimate'

/** What was in stock when it was looked at. */
export interface StockReading {
  day: number
  stock: number
}

export interface StockSales {
  /** sum of the falls between readings that could be judged */
  fallen: number
  /** days between readings that could be judged, and those that could not: a restock hides what sold, a long gap may hide one */
  judgedDays: number
  hiddenDays: number
  restocks: number
  estimate: Estimate | null
}

/**
 * How far such estimates lie off in a market of which no pair is known, as a spread of logs beside their own: how stock is filled up nobody
 * tells, and where it is filled up by hardly more than an order holds nothing in it shows that. Found as what holds in seven makes of world.
 */
const usualSd = 0.6

/** An estimate from stock as sure as it may be before anything is learned of its market. */
export function unlearnedStock(estimate: Estimate): Estimate {
  return fromLog('stock', Math.log(estimate.units), Math.hypot(estimate.logSd, usualSd), estimate.mean)
}

interface Gap {
  days: number
  /** stock at its beginning */
  before: number
  /** below 0: it was restocked in between */
  fall: number
}

/**
 * Units sold from falls of stock between readings. A rise is a restock: what sold meanwhile is hidden. A long gap may hide a restock in a fall:
 * gaps longer than a third of the time from one restock to the next are not judged, as long as enough shorter ones are left. What is hidden
 * is taken to have sold at the pace of the rest, and widens the interval.
 *
 * Where stock is filled up as it runs low, that falls into gaps in which much was sold: such a gap has the variance of a gap over its mean more
 * in it than others (length-biased sampling: Cox 1969), and as much was missed in the rest. Half of it is added for each restock that began with
 * no more than two such gaps sell, as the look may also have come between the last sale and the restock, and as much is uncertain; restocks by
 * the calendar fall into any gap.
 *
 * @param readings in any order; fewer than two say nothing
 * @param longGap days from which on no gap is judged
 */
export function fromStock(readings: readonly StockReading[], longGap = 14): StockSales {
  const gaps = gapsOf(readings)
  const restocks = gaps.filter((g) => g.fall < 0).length
  const days = gaps.reduce((sum, g) => sum + g.days, 0)
  const bound = boundOf(gaps, Math.min(longGap, restocks === 0 ? longGap : days / restocks / 3), longGap)
  const short = gaps.filter((g) => g.days <= bound)
  const judged = short.filter((g) => g.fall >= 0)
  const fallen = judged.reduce((sum, g) => sum + g.fall, 0)
  const judgedDays = judged.reduce((sum, g) => sum + g.days, 0)
  const sums = { fallen, judgedDays, hiddenDays: days - judgedDays, restocks }
  if (judgedDays === 0) return { ...sums, estimate: null }
  const perDay = fallen / judgedDays
  const dispersion = dispersionOf(judged, perDay)
  // that a long gap holds a restock says nothing of what was sold in it
  const refilled = short.filter((g) => g.fall < 0)
  const ranLow = refilled.filter((g) => g.before <= 2 * perDay * g.days).length
  const missed = (dispersion * ranLow) / 2
  const count = fallen + 0.5 + missed
  const hidden = sums.hiddenDays / judgedDays
  const share = hidden / (1 + hidden)
  // chance in the hidden part, that demand there may run at another pace (a quarter of it: our own guess), and what restocks hide
  const logSd = Math.sqrt(
    (dispersion * share) / count + (0.25 * share) ** 2 + ((dispersion * refilled.length) / 2 / count) ** 2 + 1e-4,
  )
  return { ...sums, estimate: fromLog('stock', Math.log(count * (1 + hidden)), logSd) }
}

function gapsOf(readings: readonly StockReading[]): Gap[] {
  const sorted = [...readings].sort((a, b) => a.day - b.day)
  return sorted.slice(1).map(({ day, stock }, i) => {
    const before = sorted[i] as StockReading
    return { days: day - before.day, before: before.stock, fall: before.stock - stock }
  })
}

/** share of the days that must be judged for a stricter bound to be kept */
const enough = 0.25

/** Days up to which a gap is judged. */
function boundOf(gaps: readonly Gap[], wanted: number, most: number): number {
  const daysOf = (list: readonly Gap[]) => list.reduce((sum, g) => sum + g.days, 0)
  const strict = gaps.filter((g) => g.fall >= 0 && g.days <= wanted)
  return daysOf(strict) >= enough * daysOf(gaps) ? wanted : most
}

/** Variance of what a gap sells over its mean, by the method of moments; 1 is Poisson's, and the least. @param pace units a day */
function dispersionOf(gaps: readonly Gap[], pace: number): number {
  if (gaps.length < 3 || pace <= 0) return 1
  const squares = gaps.map(({ days, fall }) => (fall - pace * days) ** 2 / Math.max(pace * days, 1e-9))
  return Math.max(1, squares.reduce((a, b) => a + b, 0) / (gaps.length - 1))
}
