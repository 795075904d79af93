import type { ItemMaker, ListingTheme } from '../catalog'
import type { ExportedColumn } from '../exports'
import { isoDay } from '../identity'
import type { OwnGoods } from '../own'
import type { AlikeStore } from './alike-stores'
import type { Gaps } from './gaps'
import type { PoolItem } from './pool'
import { storeFigures } from './store-figures'
import { origins, type StoreList } from './store-list'
import type { StoreListing } from './store-listing'

/** One column of a table that leaves Sickle, by what it takes of each row. */
interface ColumnOf<T> {
  name: string
  label: string
  type: ExportedColumn['type']
  of: (row: T) => string | number | null
}

function tableOf<T>(rows: readonly T[], columns: readonly ColumnOf<T>[]): ExportedColumn[] {
  return columns.map(({ name, label, type, of }) => ({
    name,
    label,
    help: '',
    type,
    required: false,
    values: rows.map((row) => of(row)),
  }))
}

const major = (e4: number | null | undefined) => (e4 == null ? null : e4 / 10_000)
const known = (value: number | undefined) => (value === undefined || Number.isNaN(value) ? null : value)
const day = (n: number | null) => (n === null ? null : isoDay(n))

/** Stores with their figures, in an order; each figure with where it comes from. Money in the home currency, ratios plain. */
export function storesTable(list: StoreList, places: ArrayLike<number>, home: string): ExportedColumn[] {
  const facet = (name: 'countries' | 'categories' | 'kinds') => (s: number) =>
    list.facets[name].words[list.facets[name].codes[s] as number] ?? null
  return tableOf<number>(Array.from(places), [
    { name: 'store', label: 'Store', type: 'text', of: (s) => list.names[s] ?? null },
    { name: 'market', label: 'Market', type: 'text', of: (s) => list.markets[s] ?? null },
    { name: 'country', label: 'Country', type: 'text', of: facet('countries') },
    { name: 'category', label: 'Category', type: 'text', of: facet('categories') },
    { name: 'kind', label: 'Kind of goods', type: 'text', of: facet('kinds') },
    { name: 'months', label: 'Age, months', type: 'number', of: (s) => known(list.age[s]) },
    ...storeFigures.flatMap(({ name, label, format }): ColumnOf<number>[] => [
      {
        name,
        label: format === 'money' ? `${label}, ${home}` : format === 'percent' ? `${label} (share)` : label,
        type: 'number',
        of: (s) => {
          const value = known(list.figures[name]?.[s])
          return format === 'money' ? major(value) : value
        },
      },
      {
        name: `${name}From`,
        label: `${label} is`,
        type: 'text',
        of: (s) => origins[list.from[name]?.[s] ?? 0] ?? null,
      },
    ]),
  ])
}

/** The listings of a store, whole. */
export function storeListingsTable(listings: readonly StoreListing[], home: string): ExportedColumn[] {
  return tableOf(listings, [
    { name: 'title', label: 'Title', type: 'text', of: (l) => l.title },
    { name: 'key', label: 'Key', type: 'text', of: (l) => l.key },
    { name: 'price', label: `Price, ${home}`, type: 'number', of: (l) => major(l.priceE4) },
    { name: 'units', label: 'Units, 30 d', type: 'number', of: (l) => l.units },
    { name: 'grade', label: 'Units are', type: 'text', of: (l) => l.grade },
    { name: 'unitsTotal', label: 'Lifetime sales', type: 'number', of: (l) => l.unitsTotal },
    { name: 'listedOn', label: 'Put up on', type: 'date', of: (l) => day(l.listedOn) },
    { name: 'seenOn', label: 'Seen on', type: 'date', of: (l) => day(l.seenOn) },
  ])
}

/** What a pool sells, item by item. */
export function poolTable(items: readonly PoolItem[], maker: ItemMaker): ExportedColumn[] {
  const rows = items.map((p) => ({ ...p, of: maker.at(p.item, false) }))
  return tableOf(rows, [
    { name: 'item', label: 'Item', type: 'text', of: (r) => r.of.title },
    { name: 'key', label: 'Key', type: 'text', of: (r) => r.of.key },
    { name: 'stores', label: 'Stores of the pool', type: 'integer', of: (r) => r.stores },
    { name: 'listings', label: 'Listings', type: 'integer', of: (r) => r.listings },
    { name: 'units', label: 'Units, 30 d', type: 'number', of: (r) => r.units },
    { name: 'unitsTotal', label: 'Lifetime sales', type: 'number', of: (r) => r.unitsTotal },
    { name: 'sellThrough', label: 'Listings sold (share)', type: 'number', of: (r) => r.sellThrough?.ratio ?? null },
    { name: 'sellThroughLow', label: 'At least (share)', type: 'number', of: (r) => r.sellThrough?.low ?? null },
    ...moneyOf(maker.rules.homeCurrency, (r: (typeof rows)[number]) => r.of),
  ])
}

type PricedItem = ReturnType<ItemMaker['at']>

function moneyOf<T>(home: string, of: (row: T) => PricedItem): ColumnOf<T>[] {
  return [
    { name: 'price', label: `Lowest price, ${home}`, type: 'number', of: (r) => major(of(r).priceLowE4) },
    { name: 'profit', label: `Profit, ${home}`, type: 'number', of: (r) => major(of(r).best?.profitE4) },
    {
      name: 'assumed',
      label: 'Assumed',
      type: 'text',
      of: (r) => of(r).best?.assumed.join(', ') ?? null,
    },
    { name: 'worth', label: 'Worth', type: 'number', of: (r) => of(r).worth.value },
    { name: 'sellers', label: 'Sellers', type: 'integer', of: (r) => of(r).sellers },
  ]
}

export function themesTable(themes: readonly ListingTheme[]): ExportedColumn[] {
  return tableOf(themes, [
    { name: 'theme', label: 'Theme', type: 'text', of: (t) => t.phrases.join(', ') },
    { name: 'listings', label: 'Listings', type: 'integer', of: (t) => t.sums.listings },
    { name: 'stores', label: 'Stores', type: 'integer', of: (t) => t.sums.stores },
    { name: 'units', label: 'Units, 30 d', type: 'number', of: (t) => t.sums.units },
    { name: 'unitsTotal', label: 'Lifetime sales', type: 'number', of: (t) => t.unitsTotal },
    {
      name: 'sellThrough',
      label: 'Listings sold (share)',
      type: 'number',
      of: (t) => t.sums.sellThrough?.ratio ?? null,
    },
    { name: 'sellThroughLow', label: 'At least (share)', type: 'number', of: (t) => t.sums.sellThrough?.low ?? null },
    { name: 'medianAge', label: 'Middle age, days', type: 'number', of: (t) => t.medianAgeDays },
  ])
}

const waysInWords = {
  listing: 'mine',
  barcode: 'mine',
  words: 'mine',
  pack: 'mine in another pack',
  likely: 'likely mine',
}

/** What some stores sell that I do not, and what is near it: likely matches and other packs are told as such. */
export function gapsTable({ gaps, perhaps }: Gaps, own: readonly OwnGoods[], maker: ItemMaker): ExportedColumn[] {
  const rows = [
    ...Array.from(gaps, (item) => ({ item, is: 'a gap', mine: null as string | null })),
    ...perhaps.map(({ item, own: at, way }) => ({ item, is: waysInWords[way], mine: own[at]?.title ?? null })),
  ].map((row) => ({ ...row, of: maker.at(row.item, false) }))
  return tableOf(rows, [
    { name: 'item', label: 'Item', type: 'text', of: (r) => r.of.title },
    { name: 'key', label: 'Key', type: 'text', of: (r) => r.of.key },
    { name: 'is', label: 'It is', type: 'text', of: (r) => r.is },
    { name: 'mine', label: 'My goods', type: 'text', of: (r) => r.mine },
    { name: 'units', label: 'Units, 30 d', type: 'number', of: (r) => r.of.units },
    ...moneyOf(maker.rules.homeCurrency, (r: (typeof rows)[number]) => r.of),
  ])
}

/** Stores that sell what I sell. */
export function alikeTable(stores: readonly AlikeStore[], list: StoreList): ExportedColumn[] {
  return tableOf(stores, [
    { name: 'store', label: 'Store', type: 'text', of: (a) => list.names[a.store] ?? null },
    { name: 'market', label: 'Market', type: 'text', of: (a) => list.markets[a.store] ?? null },
    { name: 'shared', label: 'Of mine', type: 'integer', of: (a) => a.shared },
    { name: 'items', label: 'Its items', type: 'integer', of: (a) => a.items },
    { name: 'jaccard', label: 'Shared over either (share)', type: 'number', of: (a) => a.jaccard },
    { name: 'containment', label: 'Shared over mine (share)', type: 'number', of: (a) => a.containment },
    { name: 'priceRatio', label: 'Its price over mine', type: 'number', of: (a) => a.priceRatio },
    { name: 'featured', label: 'Featured (share)', type: 'number', of: (a) => a.featured },
  ])
}
