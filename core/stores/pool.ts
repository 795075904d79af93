import { wilsonInterval, type ProportionInterval } from '../demand'
import { ListingReader, type Catalog } from '../catalog'
import { unitsReader } from './window-units'

/** An item that stores of a pool sell. */
export interface PoolItem {
  item: number
  /** stores of the pool that list it, and their listings of it */
  stores: number
  listings: number
  /** units in 30 days over those whose units are known; null where none are */
  units: number | null
  /** units since they were put up, over those that say so; null where none does */
  unitsTotal: number | null
  /** share of those whose units are known that sold in 30 days */
  sellThrough: ProportionInterval | null
}

export interface Pool {
  /** most stores first, then best by the lower end of sell-through, then most units */
  items: PoolItem[]
  /** items left out: too few lifetime sales, and those of which lifetime sales are not known */
  below: number
  unknown: number
  listings: number
}

/** Lifetime sales from which on an item of a pooled store is worth noting (common practice, no source). */
export const usualFloor = 20

/**
 * What several stores sell between them, item by item.
 *
 * @param rows listings of each store of the pool
 * @param floor lifetime sales over the pool that an item must have; 0 takes those of which nothing is known as well
 */
export function poolItems(catalog: Catalog, rows: readonly ArrayLike<number>[], floor: number): Pool {
  const sums = new Map<number, Sum>()
  const reader = new ListingReader(catalog.listings)
  const unitsAt = unitsReader(catalog, 30)
  let listings = 0
  rows.forEach((own, store) => {
    for (let i = 0; i < own.length; i++) {
      const row = own[i] as number
      const item = catalog.itemOf[row] as number
      const sum = sums.get(item) ?? newSum()
      sums.set(item, sum)
      listings++
      add(sum, store, unitsAt(row)?.units ?? null, reader.figure('unitsTotal', row))
    }
  })
  const items: PoolItem[] = []
  let [below, unknown] = [0, 0]
  for (const [item, sum] of sums) {
    const unitsTotal = sum.totals === 0 ? null : sum.unitsTotal
    if (floor > 0 && unitsTotal === null) unknown++
    else if ((unitsTotal ?? 0) < floor) below++
    else items.push(poolItem(item, sum, unitsTotal))
  }
  return { items: items.sort(byProof), below, unknown, listings }
}

interface Sum {
  lastStore: number
  stores: number
  listings: number
  known: number
  sold: number
  units: number
  totals: number
  unitsTotal: number
}
const newSum = (): Sum => ({
  lastStore: -1,
  stores: 0,
  listings: 0,
  known: 0,
  sold: 0,
  units: 0,
  totals: 0,
  unitsTotal: 0,
})

function add(sum: Sum, store: number, units: number | null, total: number | null): void {
  sum.listings++
  // stores come one after the other
  if (sum.lastStore !== store) sum.stores++
  sum.lastStore = store
  if (total !== null) {
    sum.totals++
    sum.unitsTotal += total
  }
  if (units === null) return
  sum.known++
  sum.units += units
  if (units > 0) sum.sold++
}

function poolItem(item: number, { stores, listings, known, sold, units }: Sum, unitsTotal: number | null): PoolItem {
  return {
    item,
    stores,
    listings,
    units: known === 0 ? null : units,
    unitsTotal,
    sellThrough: wilsonInterval(sold, known),
  }
}

function byProof(a: PoolItem, b: PoolItem): number {
  return (
    b.stores - a.stores ||
    (b.sellThrough?.low ?? -1) - (a.sellThrough?.low ?? -1) ||
    (b.units ?? -1) - (a.units ?? -1) ||
    a.item - b.item
  )
}
