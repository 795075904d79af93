import { ListingReader, seriesAt, toHome, type Catalog, type Grade, type SellerRules } from '../catalog'
import type { UnitSeries } from '../demand'
import { unitsReader, windowEndOf } from './window-units'

/** One listing of a store. Money in E4 of the home currency. */
export interface StoreListing {
  key: string
  /** row of the catalog, and place of the item that it is */
  row: number
  item: number
  title: string
  priceE4: number | null
  /** in 30 days; null where not known */
  units: number | null
  grade: Grade | null
  unitsTotal: number | null
  /** day it was put up; null where that is not known */
  listedOn: number | null
  /** days it has been up at the end of its window */
  daysUp: number | null
  /** end of the window of its market */
  end: number
  /** day of the newest import that speaks of it */
  seenOn: number
  /** how many ways it comes in; null where not known */
  variations: number | null
}

/** @param rows of the catalog */
export function storeListings(catalog: Catalog, rows: Int32Array, rules: SellerRules): StoreListing[] {
  const reader = new ListingReader(catalog.listings)
  const [unitsAt, endOf] = [unitsReader(catalog, 30), windowEndOf(catalog)]
  const homes = new Map<string | null, (e4: number | null) => number | null>()
  const homeOf = (currency: string | null) => {
    const home = homes.get(currency) ?? toHome(currency, rules)
    homes.set(currency, home)
    return home
  }
  return Array.from(rows, (row): StoreListing => {
    const known = unitsAt(row)
    const [listedOn, end] = [reader.figure('listedOn', row), endOf(row)]
    return {
      key: reader.key(row),
      row,
      item: catalog.itemOf[row] as number,
      title: reader.text('title', row) ?? '',
      priceE4: homeOf(reader.text('currency', row))(reader.figure('price', row)),
      units: known?.units ?? null,
      grade: known?.grade ?? null,
      unitsTotal: reader.figure('unitsTotal', row),
      listedOn,
      daysUp: listedOn === null ? null : Math.max(0, end - listedOn),
      end,
      seenOn: reader.figure('capturedOn', row) ?? end,
      variations: reader.figure('variations', row),
    }
  })
}

/** The days or weeks of sales of some listings, of those that have any. */
export function seriesOf(catalog: Catalog, rows: Int32Array): UnitSeries[] {
  return Array.from(rows, (row) => seriesAt(catalog.sales, row)).flatMap((s) => s ?? [])
}
