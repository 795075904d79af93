import { poissonGrowth } from '../demand'
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
 * the 95 % interval of the growth rate leaves zero out, so that chance is not taken for news.
 */
export function compareScans(before: readonly Table[], after: readonly Table[]): ScanChange[] {
  const [old, now] = [listed(before), listed(after)]
  const changes: ScanChange[] = []
  for (const [id, { market, title, price, units }] of now) {
    const was = old.get(id)
    const about = { market, id, title }
    if (!was) {
      changes.push({ sort: 'new', ...about, before: null, after: price })
      continue
    }
    if (price !== null && was.price !== null && Math.abs(price - was.price) > 0.01 * was.price)
      changes.push({ sort: price > was.price ? 'dearer' : 'cheaper', ...about, before: was.price, after: price })
    // under one and a half standard errors the exact interval is not worth working out
    if (units !== null && was.units !== null && Math.abs(units - was.units) > 1.5 * Math.sqrt(units + was.units)) {
      const { low, high } = poissonGrowth(units, was.units)
      if (low !== null && low > 0) changes.push({ sort: 'rising', ...about, before: was.units, after: units })
      else if (high !== null && high < 0) changes.push({ sort: 'fading', ...about, before: was.units, after: units })
    }
  }
  for (const [id, { market, title, price }] of old)
    if (!now.has(id)) changes.push({ sort: 'gone', market, id, title, before: price, after: null })
  return changes
}

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
