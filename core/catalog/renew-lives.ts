import { gatherRows, textAt, textColumn, type Table } from '../tables'
import type { Catalog } from './catalog'
import { firstSaid } from './first-said'
import { LifeTable } from './life-table'
import { listingsOf } from './members'
import { seriesAt } from './sales-block'

/** The course of every item's sales: that of items whose sales are what they were is kept. @param sameAs see `sameItems` */
export async function renewLives(
  before: Pick<Catalog, 'life'>,
  { listings, sales, starts, members, seasons }: Pick<Catalog, 'listings' | 'sales' | 'starts' | 'members' | 'seasons'>,
  sameAs: Int32Array,
  onProgress: (done: number) => Promise<void> = async () => {},
): Promise<Table> {
  const category = textColumn(listings, 'category')
  const life = new LifeTable()
  const fresh: number[] = []
  for (let item = 0; item < sameAs.length; item++) if ((sameAs[item] as number) < 0) fresh.push(item)
  for (const [done, item] of fresh.entries()) {
    if (done % 500 === 0) await onProgress(done / fresh.length)
    const places = listingsOf({ starts, members }, item)
    const series = places.flatMap((l) => seriesAt(sales, l) ?? [])
    // only of what has a course the category is looked up: most of a million items have none
    const named = series.length === 0 ? null : firstSaid(places, (l) => textAt(category, l))
    life.add(series, named === null ? null : (seasons.get(named) ?? null))
  }
  return gatherRows(before.life, sameAs, life.finish())
}
