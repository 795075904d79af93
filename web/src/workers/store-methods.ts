import { toHome, type ItemMaker } from '@sickle/core/catalog'
import { emptyQuery, type Query } from '@sickle/core/engine'
import {
  estimateStore,
  feedbackLooks,
  gapsOf,
  learnStores,
  leaveRateOf,
  openStore,
  pricesBeside,
  rankSales,
  ranksBeside,
  rowsOfStore,
  storeListings,
  storeThemes,
  titleHabits,
  whereWeMeet,
  type AlikeStore,
  type MarketLeaveRate,
  type Meeting,
  type PricesBeside,
  type StoreEstimates,
  type StoreList,
  type StoreListing,
  type StoreLook,
  type StoreThemes,
  type TitleHabits,
} from '@sickle/core/stores'
import type { CallContext } from './channel'
import type { Through } from './lens-engines'
import type { OwnSource } from './own-methods'
import type { StoreName, StoreSource } from './store-source'
import { storesLikeMe } from './stores-like-me'

/** A store opened, with its listings' items by key. */
export type OpenedStore = StoreLook & { itemKeys: Record<string, string> }

/** A store beside others and beside me. */
export interface StoreBeside {
  prices: PricesBeside
  /** goods of mine that it sells too: the best sellers, and how many there are */
  meetings: (Meeting & { itemKey: string; mine: string })[]
  met: number
  goods: number
  /** how many items of it I do not sell, and how many I likely sell or sell in another pack */
  gaps: number
  perhaps: number
}

/** How a store writes. */
export interface StoreWriting {
  themes: StoreThemes
  habits: TitleHabits
}

const mostMeetings = 12

/** What ranks say on each market, by all stores, and for each store by the others of another half. */
interface RanksOf {
  all: ReturnType<typeof rankSales>
  beside: ReturnType<typeof ranksBeside>
}

/** Rows of a store's listings; null where nothing names it any more. */
async function rowsNamed(source: StoreSource, { market, name }: StoreName) {
  const { stores, maker } = await source.known()
  const store = stores.places.find(market, name)
  return store === undefined ? null : { rows: rowsOfStore(stores.rows, store), stores, maker }
}

/** The listings of the store that was read last: its page asks for them in parts. */
function lastListings(): (maker: ItemMaker, rows: Int32Array) => StoreListing[] {
  let last: { maker: ItemMaker; rows: Int32Array; listings: StoreListing[] } | null = null
  return (maker, rows) => {
    // the rows of a store are a view of the same numbers each time
    const isSame = last?.maker === maker && last.rows.byteOffset === rows.byteOffset && last.rows.buffer === rows.buffer
    if (last && isSame && last.rows.length === rows.length) return last.listings
    last = { maker, rows, listings: storeListings(maker.catalog, rows, maker.rules) }
    return last.listings
  }
}

const find = (maker: ItemMaker) => (key: string) => maker.index().find(key)

/** All stores, which of them sell something, and which sell what I sell. */
export function storeListMethods(through: Through, source: StoreSource, own: OwnSource) {
  return {
    async stores(): Promise<StoreList> {
      return (await source.known()).stores.list
    },

    /** Of each store how many of its listings are of items that a query of Finds leaves; those that do not count are none. */
    async storesSelling(_: CallContext, query: Query): Promise<Float64Array> {
      const { stores, maker } = await source.known()
      const engine = await through(query.lens)
      const seen = await engine.maker
      const finder = engine.newFinder()
      finder.ask({ ...emptyQuery, ...query }, [], query.own === 'any' ? null : await own.items())
      const counts = new Float64Array(stores.places.names.length)
      const { storeOf } = stores.places
      for (let row = 0; row < storeOf.length; row++) {
        const store = storeOf[row] as number
        if (store >= 0 && seen.isCounted(row) && finder.isFound(maker.catalog.itemOf[row] as number)) counts[store]!++
      }
      return counts
    },

    /** Stores that sell what I sell, those most like me first. */
    async alikeStores(): Promise<{ goods: number; stores: AlikeStore[] }> {
      return { goods: (await own.goods()).length, stores: await storesLikeMe(source, own) }
    },
  }
}

/** One store opened in parts: what takes longer comes by itself. */
export function storePageMethods(source: StoreSource, own: OwnSource) {
  const listingsOf = lastListings()
  return {
    /** One store; null where nothing names it any more. */
    async store(_: CallContext, market: string, name: string): Promise<OpenedStore | null> {
      const { stores, maker } = await source.known()
      const look = openStore(stores, maker.catalog, maker.rules, {
        market,
        name,
        listingsOf: (rows) => listingsOf(maker, rows),
      })
      if (!look) return null
      const shown = [
        ...look.best,
        ...look.newSelling,
        ...look.stopped.map((s) => s.listing),
        ...look.dropped.listings,
        ...look.curve.map((c) => c.at),
      ]
      return { ...look, itemKeys: Object.fromEntries(shown.map((l) => [l.key, maker.keyAt(l.item)])) }
    },

    /** Its prices beside those of others, where we meet, and what it has that I have not. */
    async storeBeside(_: CallContext, market: string, name: string): Promise<StoreBeside | null> {
      const found = await rowsNamed(source, { market, name })
      if (!found) return null
      const { rows, maker } = found
      const [goods, matches, offers] = [await own.goods(), await own.matches(), await source.offers()]
      const listings = listingsOf(maker, rows)
      const { gaps, perhaps } = gapsOf(maker.catalog, rows, matches)
      const met = whereWeMeet(listings, {
        catalog: maker.catalog,
        name,
        market,
        own: goods,
        matches,
        offers,
        find: find(maker),
        home: (currency, e4) => toHome(currency, maker.rules)(e4),
      })
      return {
        prices: pricesBeside(maker.catalog, listings, maker.rules),
        meetings: met
          .slice(0, mostMeetings)
          .map((m) => ({ ...m, itemKey: maker.keyAt(m.listing.item), mine: goods[m.own]?.title ?? '' })),
        met: met.length,
        goods: goods.length,
        gaps: gaps.length,
        perhaps: perhaps.length,
      }
    },
  }
}

/** How a store writes, and what it sells where it publishes nothing. */
export function storeEstimateMethods(source: StoreSource) {
  const listingsOf = lastListings()
  const ranks = new WeakMap<ItemMaker, RanksOf>()
  const ranksOf = (maker: ItemMaker) => {
    const { catalog } = maker
    const known = ranks.get(maker) ?? { all: rankSales(catalog), beside: ranksBeside(catalog) }
    ranks.set(maker, known)
    return known
  }
  return {
    /** Its narrow themes, and how it writes what sells. */
    async storeWriting(_: CallContext, market: string, name: string): Promise<StoreWriting | null> {
      const found = await rowsNamed(source, { market, name })
      if (!found) return null
      const { rows, maker } = found
      return {
        themes: storeThemes(maker.catalog, rows, maker.rules),
        habits: titleHabits(maker.catalog, listingsOf(maker, rows)),
      }
    },

    /** What it sells, estimated in every way that what is gathered allows. @param rate of buyers who leave feedback; null: as learned */
    async storeEstimates(
      _: CallContext,
      market: string,
      name: string,
      rate: number | null,
    ): Promise<(StoreEstimates & { leave: MarketLeaveRate }) | null> {
      const found = await rowsNamed(source, { market, name })
      if (!found) return null
      const { rows, maker, stores } = found
      const usual = leaveRateOf(stores.list, stores.places.find(market, name) as number)
      const leave = rate === null ? usual : { ...usual, rate }
      const onMarket = (await source.offers()).filter((o) => o.market === market)
      const [offers, others] = [onMarket.filter((o) => o.store === name), onMarket.filter((o) => o.store !== name)]
      const rowsOf = (store: string) => rowsOfStore(stores.rows, stores.places.find(market, store) ?? -1)
      const lists = await source.lists()
      const looksOf = (store: string) => feedbackLooks(lists, { market, name: store })
      const known = {
        catalog: maker.catalog,
        find: find(maker),
        leaveRate: leave,
      }
      const { all, beside } = ranksOf(maker)
      // what the store itself states is no evidence of itself
      const learned = learnStores({
        ...known,
        offers: others,
        rowsOf,
        looksOf,
        ranksBeside: (row) => beside(row).get(market) ?? null,
      })
      const rankSales = all.get(market) ?? null
      const estimates = estimateStore({ ...known, rows, offers, looks: looksOf(name), rankSales, learned })
      return { ...estimates, leave }
    },
  }
}
