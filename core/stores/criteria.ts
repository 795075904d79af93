import type { StoreList } from './store-list'

/** Which stores are worth a study: enough sales in few enough months. Young stores with many sales teach most, as their sales belong to what they list now. */
export interface StoreCriteria {
  /** units since it opened, at the least */
  leastSales: number
  /** months since it opened, at the most */
  mostMonths: number
}

/** 10,000 sales within three years (common practice, no source). */
export const usualCriteria: StoreCriteria = { leastSales: 10_000, mostMonths: 36 }

export interface StoreQuery {
  criteria: StoreCriteria
  /** whether only stores that meet the criteria are listed */
  meetsOnly: boolean
  /** every word must stand in the name */
  words: string
  /** empty: all */
  markets: string[]
  sort: { by: string; descending: boolean }
}

export const emptyStoreQuery: StoreQuery = {
  criteria: usualCriteria,
  meetsOnly: false,
  words: '',
  markets: [],
  sort: { by: 'unitsTotal', descending: true },
}

/** A store of which age or sales are not known neither meets the criteria nor fails them: it does not meet them. */
export function meets(list: StoreList, store: number, { leastSales, mostMonths }: StoreCriteria): boolean {
  return (list.figures.unitsTotal?.[store] as number) >= leastSales && (list.age[store] as number) <= mostMonths
}

/** Places of the stores that a query lets through, in its order; those of which the figure is not known come last. */
export function findStores(list: StoreList, { criteria, meetsOnly, words, markets, sort }: StoreQuery): Int32Array {
  const wanted = words
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '')
  const of = new Set(markets)
  const passes = (store: number) =>
    (of.size === 0 || of.has(list.markets[store] as string)) &&
    (!meetsOnly || meets(list, store, criteria)) &&
    (wanted.length === 0 || wanted.every((w) => (list.names[store] as string).toLowerCase().includes(w)))
  const found = Array.from({ length: list.count }, (_, store) => store).filter(passes)
  if (sort.by === 'name') {
    const by = new Intl.Collator('en').compare
    const sign = sort.descending ? -1 : 1
    return Int32Array.from(found.sort((a, b) => sign * by(list.names[a] as string, list.names[b] as string)))
  }
  const values = sort.by === 'age' ? list.age : list.figures[sort.by]
  if (!values) throw new RangeError(`stores have no figure ${sort.by}`)
  const sign = sort.descending ? 1 : -1
  const rank = (store: number) => {
    const value = values[store] as number
    return Number.isNaN(value) ? -Infinity : sign * value
  }
  return Int32Array.from(found.sort((a, b) => rank(b) - rank(a) || a - b))
}
