import type { ExportedColumn, ExportFormat } from '@sickle/core/exports'
import {
  alikeTable,
  gapsTable,
  poolTable,
  storeListings,
  storeListingsTable,
  storesTable,
  storeThemes,
  themesTable,
} from '@sickle/core/stores'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import type { OwnSource } from './own-methods'
import { poolSource } from './pool-methods'
import type { StoreName, StoreSource } from './store-source'
import { storesLikeMe } from './stores-like-me'

/** what the tables of files are made of */
export type StoreTableName = 'stores' | 'listings' | 'pool' | 'themes' | 'gaps' | 'alike'

/** The tables of Rivals as files. */
export function storeTableMethods(engine: () => ItemEngine, source: StoreSource, own: OwnSource) {
  const { rowsOf, poolOf, provenRows, gapsAmong } = poolSource(engine, source, own)
  const tables: Record<StoreTableName, (names: StoreName[], floor: number) => Promise<ExportedColumn[]>> = {
    async stores(names) {
      const { stores, maker } = await source.known()
      const places = names.flatMap(({ market, name }) => stores.places.find(market, name) ?? [])
      return storesTable(stores.list, places, maker.rules.homeCurrency)
    },
    async listings(names) {
      const { each, maker } = await rowsOf(names)
      const all = each.flatMap((rows) => storeListings(maker.catalog, rows, maker.rules))
      return storeListingsTable(all, maker.rules.homeCurrency)
    },
    async pool(names, floor) {
      const { pool, maker } = await poolOf(names, floor)
      return poolTable(pool.items, maker)
    },
    async themes(names, floor) {
      const { rows, maker } = await provenRows(names, floor)
      return themesTable(storeThemes(maker.catalog, rows, maker.rules).themes)
    },
    async gaps(names) {
      const { found, maker } = await gapsAmong(names)
      return gapsTable(found, await own.goods(), maker)
    },
    async alike(names) {
      const { stores } = await source.known()
      const wanted = new Set(names.flatMap(({ market, name }) => stores.places.find(market, name) ?? []))
      const all = await storesLikeMe(source, own)
      return alikeTable(
        all.filter((a) => wanted.has(a.store)),
        stores.list,
      )
    },
  }
  return {
    /** One of the tables of Rivals as a file. */
    async exportStores(
      _: CallContext,
      table: StoreTableName,
      names: StoreName[],
      floor: number,
      format: ExportFormat,
    ): Promise<Uint8Array> {
      const { writeExport } = await import('@sickle/core/exports')
      return writeExport(format, await tables[table](names, floor), table)
    },
  }
}
