import { contrastVariance, middleOf, scatteredGrowth, usualScatter } from '../demand'
import { numberAt, numbers, textAt, textColumn, type Table } from '../tables'

export type ChangeSort = 'new' | 'gone' | 'dearer' | 'cheaper' | 'rising' | 'fading'

export interface ScanChange {
  sort: ChangeSort
  market: string | null
  id: string
  title: string
  /** price in E4 or units in the window; null where there was none */
  before: number | null
  after: number | null
}

interface Seen {
  market: string | null
  title: string
  price: number | null
  units: number | null
}

/**
 * What two looks at the same listings differ in. A price counts as moved by more than 1 %; units as rising or fading only where
 * the 95 % interval of the growth rate leaves zero out, by the chance of counting and by how far listings of the same scans went up and
 * down, so that an ordinary week is not taken for news.
 */
export function compareScans(before: readonly Table[], after: readonly Table[]): ScanChange[] {
  const [old, now] = [listed(before), listed(after)]
  const changes: ScanChange[] = []
  const scatter = scatterBetween(old, now)
  for (const [id, { market, title, price, units }] of now) {
    const was = old.get(id)
    const about = { market, id, title }
    if (!was) {
      changes.push({ sort: 'new', ...about, before: null, after: price })
      continue
    }
    if (price !== null && was.price !== null && Math.abs(price - was.price) > 0.01 * was.price)
      changes.push({ sort: price > was.price ? 'dearer' : 'cheaper', ...about, before: was.price, after: price })
    if (units !== null && was.units !== null) {
      const { low, high } = scatteredGrowth(units, was.units, 1, scatter.variance, scatter.freedom)
      if (low !== null && low > 0) changes.push({ sort: 'rising', ...about, before: was.units, after: units })
      else if (high !== null && high < 0) changes.push({ sort: 'fading', ...about, before: was.units, after: units })
    }
  }
  for (const [id, { market, title, price }] of old)
    if (!now.has(id)) changes.push({ sort: 'gone', market, id, title, before: price, after: null })
  return changes
}

/** listings that tell of scatter, and units from which on a listing does */
const [leastListings, leastUnits] = [8, 10]

/** How far listings went up and down beyond counting: the middle square of the logarithms of their ratios, as of a normal scatter. */
function scatterBetween(old: ReadonlyMap<string, Seen>, now: ReadonlyMap<string, Seen>) {
  const squares: number[] = []
  for (const [id, { units }] of now) {
    const was = old.get(id)?.units ?? null
    if (units === null || was === null || units + was < leastUnits) continue
    const [later, earlier] = [units + 0.5, was + 0.5]
    squares.push(Math.log(later / earlier) ** 2 / middleOfSquare - 1 / later - 1 / earlier)
  }
  if (squares.length < leastListings)
    return { variance: contrastVariance(usualScatter, 4, 4), freedom: usualScatter.freedom }
  return { variance: Math.max(0, middleOf(squares) ?? 0), freedom: squares.length - 1 }
}
/** median of chi-square with one degree of freedom */
const middleOfSquare = 0.4549

function listed(tables: readonly Table[]): Map<string, Seen> {
  const seen = new Map<string, Seen>()
  for (const table of tables) {
    const [ids, titles, markets] = ['id', 'title', 'market'].map((name) => textColumn(table, name))
    const [prices, units] = [numbers(table, 'price'), numbers(table, 'units')]
    for (let row = 0; row < table.rows; row++) {
      const id = ids && textAt(ids, row)
      if (!id) continue
      const title = (titles && textAt(titles, row)) ?? id
      const market = (markets && textAt(markets, row)) ?? null
      seen.set(id, { market, title, price: numberAt(prices, row), units: numberAt(units, row) })
    }
  }
  return seen
}
