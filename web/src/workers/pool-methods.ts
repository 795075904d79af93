import type { ItemMaker } from '@sickle/core/catalog'
import { findRow, type FindRow } from '@sickle/core/engine'
import type { OwnWay } from '@sickle/core/own'
import {
  gapsOf,
  poolItems,
  rowsOfStore,
  storeThemes,
  type Gaps,
  type Pool,
  type PoolItem,
  type StoreThemes,
} from '@sickle/core/stores'
import { numbers } from '@sickle/core/tables'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import type { OwnSource } from './own-methods'
import type { StoreName, StoreSource } from './store-source'

export interface PoolRow extends PoolItem {
  row: FindRow
}

/** What some stores sell between them. */
export interface PooledStores extends Omit<Pool, 'items'> {
  /** of how many the first are told */
  of: number
  rows: PoolRow[]
  /** keys of all items, in their order, up to as many as are kept at once */
  keys: string[]
  /** stores that nothing names any more, or of which no listing is gathered */
  without: StoreName[]
}

export interface GapRow {
  row: FindRow
  /** profit a month at my costs is the order */
  is: 'gap' | OwnWay
  mine: string | null
}

export interface StoreGaps {
  goods: number
  gaps: number
  mine: number
  rows: GapRow[]
  perhaps: GapRow[]
}

const [mostRows, mostKeys] = [200, 2000]

/** Listings of several stores, and what they come to. */
export function poolSource(engine: () => ItemEngine, source: StoreSource, own: OwnSource) {
  async function rowsOf(names: readonly StoreName[]) {
    const { stores, maker } = await source.known()
    const each = names.map(({ market, name }) => {
      const store = stores.places.find(market, name)
      return store === undefined ? new Int32Array(0) : rowsOfStore(stores.rows, store)
    })
    return { each, maker, stores }
  }
  async function poolOf(names: readonly StoreName[], floor: number) {
    const { each, maker } = await rowsOf(names)
    return { pool: poolItems(maker.catalog, each, floor), each, maker }
  }
  /** Rows of a pool that are of items over its floor. */
  async function provenRows(names: readonly StoreName[], floor: number) {
    const { pool, each, maker } = await poolOf(names, floor)
    const over = new Set(pool.items.map((p) => p.item))
    const rows = each.flatMap((list) => [...list].filter((row) => over.has(maker.catalog.itemOf[row] as number)))
    return { rows, maker }
  }
  async function gapsAmong(names: readonly StoreName[]): Promise<{ found: Gaps; maker: ItemMaker }> {
    const { each, maker } = await rowsOf(names)
    const matches = await own.matches()
    const rows = each.length === 1 ? (each[0] as Int32Array) : each.flatMap((list) => [...list])
    return { found: byWorth(gapsOf(maker.catalog, rows, matches), engine()), maker }
  }
  return { rowsOf, poolOf, provenRows, gapsAmong }
}

/** Several stores at once: what they sell between them, of what themes, and what of it I have not. */
export function poolMethods(engine: () => ItemEngine, source: StoreSource, own: OwnSource) {
  const { poolOf, provenRows, gapsAmong } = poolSource(engine, source, own)
  return {
    async pool(_: CallContext, names: StoreName[], floor: number): Promise<PooledStores> {
      const { pool, each, maker } = await poolOf(names, floor)
      const { items, ...rest } = pool
      return {
        ...rest,
        of: items.length,
        rows: items.slice(0, mostRows).map((p) => ({ ...p, row: findRow(maker.at(p.item, false)) })),
        keys: items.slice(0, mostKeys).map((p) => maker.keyAt(p.item)),
        without: names.filter((_name, i) => each[i]?.length === 0),
      }
    },

    /** The narrow themes of what a pool sells over its floor. */
    async poolThemes(_: CallContext, names: StoreName[], floor: number): Promise<StoreThemes> {
      const { rows, maker } = await provenRows(names, floor)
      return storeThemes(maker.catalog, rows, maker.rules)
    },

    /** What some stores sell that I do not, the worthiest first; and what may be mine. */
    async gaps(_: CallContext, names: StoreName[]): Promise<StoreGaps> {
      const [{ found, maker }, goods] = [await gapsAmong(names), await own.goods()]
      const rowAt = (item: number) => findRow(maker.at(item, false))
      return {
        goods: goods.length,
        gaps: found.gaps.length,
        mine: found.mine,
        rows: Array.from(found.gaps.slice(0, mostRows), (item) => ({ row: rowAt(item), is: 'gap', mine: null })),
        perhaps: found.perhaps
          .slice(0, mostRows)
          .map(({ item, own: at, way }) => ({ row: rowAt(item), is: way, mine: goods[at]?.title ?? null })),
      }
    },
  }
}

/** Gaps by Worth, then by units; those of which it is not known come last. */
function byWorth(found: Gaps, { figures }: ItemEngine): Gaps {
  const [worth, units] = [numbers(figures, 'worth'), numbers(figures, 'units')]
  const rank = (values: Float64Array, item: number) => (Number.isNaN(values[item]) ? -1 : (values[item] as number))
  const gaps = [...found.gaps].sort((a, b) => rank(worth, b) - rank(worth, a) || rank(units, b) - rank(units, a))
  return { ...found, gaps: Int32Array.from(gaps) }
}
