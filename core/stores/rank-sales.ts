import { ListingReader, type Catalog } from '../catalog'
import { fromLog, type Estimate, type RankPair } from '../estimates'
import { textColumn } from '../tables'
import { unitsReader } from './window-units'

/** What ranks of one market say of units in 30 days: steps that never rise from a better rank to a worse one. */
export interface RankSales {
  /** first rank of each step, ascending, and the mean units of its listings, those that sold none too */
  ranks: Float64Array
  units: Float64Array
  /** variance of a listing's units about its step = units + scatter × units² */
  scatter: number
  of: number
}

/** listings below which nothing is drawn, and how far, in logs, a whole store lies from its market's steps: found on one made-up world, judged on others */
const [least, storeLogSd] = [20, 0.1]

/** Steps for each market on which ranks and sales of enough listings are both known. @param isOf rows that are learned from */
export function rankSales(catalog: Catalog, isOf: (row: number) => boolean = () => true): Map<string, RankSales> {
  const reader = new ListingReader(catalog.listings)
  const unitsAt = unitsReader(catalog, 30)
  const pairs = new Map<string, RankPair[]>()
  for (let row = 0; row < reader.rows; row++) {
    const rank = reader.figure('rank', row)
    const known = rank === null || !isOf(row) ? null : unitsAt(row)
    if (rank === null || !known || known.grade === 'estimated') continue
    const list = pairs.get(reader.market(row))
    if (list) list.push({ rank, units: known.units })
    else pairs.set(reader.market(row), [{ rank, units: known.units }])
  }
  return new Map([...pairs].flatMap(([market, list]) => stepsOf(list).map((steps) => [market, steps])))
}

/** Steps by market, for stores by the row of one of their listings, that they had no part in: learned from the other half of all stores. */
export function ranksBeside(catalog: Catalog): (row: number) => Map<string, RankSales> {
  const { codes } = textColumn(catalog.listings, 'store')
  const half = (row: number) => (codes[row] as number) & 1
  // worked out when first asked for: where no store publishes all that it sold nobody asks
  const known = new Map<number, Map<string, RankSales>>()
  return (row) => {
    const mine = half(row)
    const beside = known.get(mine) ?? rankSales(catalog, (other) => half(other) !== mine)
    known.set(mine, beside)
    return beside
  }
}

/**
 * Isotonic regression of units on rank, by pooling adjacent violators (Barlow, Bartholomew, Bremner & Brunk 1972; check: R's `isoreg`).
 * It has the means of what it was drawn from, so sums over many listings are neither too high nor too low. [] with fewer than twenty
 * pairs, or where nothing sold.
 */
export function stepsOf(pairs: readonly RankPair[]): RankSales[] {
  if (pairs.length < least || pairs.every((p) => p.units === 0)) return []
  const sorted = [...pairs].sort((a, b) => a.rank - b.rank)
  const blocks: { rank: number; sum: number; count: number }[] = []
  for (const { rank, units } of sorted) {
    let block = { rank, sum: units, count: 1 }
    for (let last = blocks.at(-1); last; last = blocks.at(-1)) {
      const rises = block.sum / block.count >= last.sum / last.count
      if (!rises && last.rank !== block.rank) break
      block = { rank: last.rank, sum: last.sum + block.sum, count: last.count + block.count }
      blocks.pop()
    }
    blocks.push(block)
  }
  const steps = {
    ranks: Float64Array.from(blocks, (b) => b.rank),
    units: Float64Array.from(blocks, (b) => b.sum / b.count),
    scatter: 0,
    of: pairs.length,
  }
  return [{ ...steps, scatter: scatterOf(sorted, steps) }]
}

/** By the method of moments: what of the squares about the steps is more than Poisson's. */
function scatterOf(pairs: readonly RankPair[], steps: RankSales): number {
  let [squares, plain, weight] = [0, 0, 0]
  for (const { rank, units } of pairs) {
    const mean = unitsAtRank(rank, steps)
    squares += (units - mean) ** 2
    plain += mean
    weight += mean ** 2
  }
  return weight === 0 ? 0 : Math.max(0, (squares - plain) / weight)
}

/** Mean units of listings at a rank; better than the best known is as the best, worse than the worst as the worst. */
export function unitsAtRank(rank: number, { ranks, units }: Pick<RankSales, 'ranks' | 'units'>): number {
  let [low, high] = [0, ranks.length - 1]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((ranks[middle] as number) <= rank) low = middle
    else high = middle - 1
  }
  return units[low] as number
}

/** Units in 30 days of several listings together, from their ranks; null without any. */
export function salesOfRanks(ranks: readonly number[], steps: RankSales): Estimate | null {
  if (ranks.length === 0) return null
  let [mean, variance] = [0, 0]
  for (const rank of ranks) {
    const units = unitsAtRank(rank, steps)
    mean += units
    variance += units + steps.scatter * units ** 2
  }
  const sum = Math.max(mean, 0.5)
  const own = Math.log1p(variance / sum ** 2)
  return fromLog('rank', Math.log(sum) - own / 2, Math.sqrt(own + storeLogSd ** 2), sum)
}
