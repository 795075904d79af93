import { fromLog, type Estimate } from './estimate'

/** What was in stock when it was looked at. */
export interface StockReading {
  day: number
  stock: number
}

export interface StockSales {
  /** sum of the falls between readings */
  fallen: number
  /** days between readings that could be judged, and those that could not: a restock hides what sold, a long gap may hide one */
  judgedDays: number
  hiddenDays: number
  restocks: number
  estimate: Estimate | null
}

/**
 * Units sold from falls of stock between readings. A rise is a restock: what sold meanwhile is hidden, as it is in a gap of more than
 * `longGap` days. What is hidden is taken to have sold at the pace of the rest, and widens the interval.
 *
 * @param readings in any order; fewer than two say nothing
 * @param longGap days
 */
export function fromStock(readings: readonly StockReading[], longGap = 14): StockSales {
  const sorted = [...readings].sort((a, b) => a.day - b.day)
  const sums = { fallen: 0, judgedDays: 0, hiddenDays: 0, restocks: 0 }
  sorted.slice(1).forEach(({ day, stock }, i) => {
    const before = sorted[i] as StockReading
    const days = day - before.day
    const rose = stock > before.stock
    if (rose) sums.restocks++
    if (rose || days > longGap) return void (sums.hiddenDays += days)
    sums.fallen += before.stock - stock
    sums.judgedDays += days
  })
  if (sums.judgedDays === 0) return { ...sums, estimate: null }
  const hidden = sums.hiddenDays / sums.judgedDays
  const count = sums.fallen + 0.5
  // Chance in the hidden part, and that demand there may run at another pace (a quarter of it: our own guess).
  const logSd = Math.sqrt(hidden / (1 + hidden) / count + (0.25 * (hidden / (1 + hidden))) ** 2 + 1e-4)
  return { ...sums, estimate: fromLog('stock', Math.log(count * (1 + hidden)), logSd) }
}
