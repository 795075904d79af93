import type { Catalog } from '../catalog'
import { isSameGoods, type OwnGoods, type OwnMatch } from '../own'
import type { CompetingOffer } from '../room'
import type { StorePlaces } from './store-places'
import { middleOf } from '../demand'
import { rowsOfStore, type StoreRows } from './store-rows'

/** A store that sells what I sell. */
export interface AlikeStore {
  /** place in the list of stores */
  store: number
  /** goods of mine that it sells, by number or by words; and those more that it likely sells, or in another pack */
  shared: number
  perhaps: number
  items: number
  /** shared / either (Jaccard 1901), and shared / mine (containment) */
  jaccard: number
  containment: number
  /** middle of its price / mine, over shared goods whose prices are both known */
  priceRatio: number | null
  /** mean share of time that its offer of the shared goods is featured, where a market says so; and of how many goods it does */
  featured: number | null
  featuredOf: number
}

export interface AlikeOptions {
  catalog: Catalog
  places: StorePlaces
  rows: StoreRows
  own: readonly OwnGoods[]
  /** item → what of mine it is */
  matches: ReadonlyMap<number, OwnMatch>
  /** asking price of a listing in E4 of the home currency, NaN where not known */
  priceE4: (row: number) => number
  /** what stores offer of items that several sell */
  offers: readonly CompetingOffer[]
  /** key of a listing → its row; null where there is none */
  find: (key: string) => number | null
}

/** All stores that share anything with me, those most like me first. */
export function alikeStores(options: AlikeOptions): AlikeStore[] {
  const { places, own } = options
  const featured = featuredShares(options)
  const found: AlikeStore[] = []
  for (let store = 0; store < places.names.length; store++) {
    const one = sharedWith(store, options, featured.get(store) ?? [])
    if (one) found.push(one)
  }
  return found
    .sort((a, b) => b.jaccard - a.jaccard || b.shared - a.shared || a.store - b.store)
    .slice(0, own.length * 100)
}

function sharedWith(
  store: number,
  { catalog, rows, own, matches, priceE4 }: AlikeOptions,
  shares: readonly number[],
): AlikeStore | null {
  const [items, mine, maybe] = [new Set<number>(), new Set<number>(), new Set<number>()]
  const ratios: number[] = []
  for (const row of rowsOfStore(rows, store)) {
    const item = catalog.itemOf[row] as number
    items.add(item)
    const match = matches.get(item)
    if (!match) continue
    if (!isSameGoods(match.way)) {
      maybe.add(match.own)
      continue
    }
    mine.add(match.own)
    const [theirs, ours] = [priceE4(row), own[match.own]?.priceE4 ?? NaN]
    if (theirs > 0 && ours > 0) ratios.push(theirs / ours)
  }
  if (mine.size === 0) return null
  return {
    store,
    shared: mine.size,
    perhaps: [...maybe].filter((o) => !mine.has(o)).length,
    items: items.size,
    jaccard: mine.size / (items.size + own.length - mine.size),
    containment: mine.size / own.length,
    priceRatio: middleOf(ratios),
    featured: shares.length === 0 ? null : shares.reduce((a, b) => a + b, 0) / shares.length,
    featuredOf: shares.length,
  }
}

/** Store → its shares of time featured, of the goods that are mine too. */
function featuredShares({ catalog, places, matches, offers, find }: AlikeOptions): Map<number, number[]> {
  const shares = new Map<number, number[]>()
  for (const { market, id, store: name, featured } of offers) {
    const store = places.find(market, name)
    const row = featured === null ? null : find(`${market}/${id}`)
    if (store === undefined || featured === null || row === null) continue
    const match = matches.get(catalog.itemOf[row] as number)
    if (!match || !isSameGoods(match.way)) continue
    const list = shares.get(store)
    if (list) list.push(featured)
    else shares.set(store, [featured])
  }
  return shares
}
