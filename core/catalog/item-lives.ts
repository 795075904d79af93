import type { SeasonIndex } from '../demand'
import type { Table } from '../tables'
import type { Catalog } from './catalog'
import { LifeTable } from './life-table'
import { ListingReader } from './listing'
import { seriesAt } from './sales-block'

/** The course of every item's sales as columns, one row an item: trend, growth, change of level, season, stage of life. */
export async function itemLives(
  { listings, sales, starts, members }: Pick<Catalog, 'listings' | 'sales' | 'starts' | 'members'>,
  seasons: ReadonlyMap<string, SeasonIndex>,
  onProgress: (done: number) => Promise<void> = async () => {},
): Promise<Table> {
  const reader = new ListingReader(listings)
  const life = new LifeTable()
  for (let item = 0; item + 1 < starts.length; item++) {
    if (item % 500 === 0) await onProgress(item / starts.length)
    const places = [...members.subarray(starts[item], starts[item + 1])]
    const category = places.map((l) => reader.text('category', l)).find((c) => c !== null) ?? null
    life.add(
      places.flatMap((l) => seriesAt(sales, l) ?? []),
      category === null ? null : (seasons.get(category) ?? null),
    )
  }
  return life.finish()
}
