import type { SeasonIndex } from '../demand'
import type { Table } from '../tables'
import type { Catalog } from './catalog'
import { renewLives } from './renew-lives'

/** The course of every item's sales as columns, one row an item: trend, growth, change of level, season, stage of life. */
export async function itemLives(
  catalog: Pick<Catalog, 'listings' | 'sales' | 'starts' | 'members'>,
  seasons: ReadonlyMap<string, SeasonIndex>,
  onProgress: (done: number) => Promise<void> = async () => {},
): Promise<Table> {
  const none = new Int32Array(catalog.starts.length - 1).fill(-1)
  return renewLives({ life: { rows: 0, columns: {} } }, { ...catalog, seasons }, none, onProgress)
}
