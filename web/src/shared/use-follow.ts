import { useRouter } from 'vue-router'
import { emptyQuery, storeKey, type Query } from '@sickle/core/engine'
import { useQuery } from './stores/query'
import { useTrail, type TrailPlace } from './stores/trail'

/** Where a store stands opened. */
export const storeAddress = (market: string, name: string) =>
  `/rivals/store?${new URLSearchParams({ market, name }).toString()}`

/** Where the stores stand that sell what a question of Finds leaves. */
export const sellingAddress = (label: string, some: Partial<Query>) =>
  `/rivals?${new URLSearchParams({ selling: label, of: JSON.stringify(some) }).toString()}`

type ToFinds = (place: Omit<TrailPlace, 'to' | 'query'>, some: Partial<Query>) => Promise<void>

/** Ways to stores, and from stores to what they sell. */
function storeWays(
  finds: ToFinds,
  { router, trail }: { router: ReturnType<typeof useRouter>; trail: ReturnType<typeof useTrail> },
) {
  return {
    /** A store, opened whole. */
    async store(market: string, name: string): Promise<void> {
      const to = storeAddress(market, name)
      await router.push(to)
      await trail.step({ kind: 'store', key: storeKey(market, name), label: name, to })
    },
    /** The stores that sell what a question of Finds leaves. @param label what that is, in words */
    async storesSelling(label: string, some: Partial<Query>): Promise<void> {
      const to = sellingAddress(label, some)
      await router.push(to)
      await trail.step({ kind: 'finds', key: `stores:${label}`, label: `Stores: ${label}`, to })
    },
    /** All that some stores sell, of all that is gathered. */
    storesItems: (stores: readonly { market: string; name: string }[], label: string, some: Partial<Query> = {}) =>
      finds(
        { kind: 'finds', key: `stores:${label}/${JSON.stringify(some)}`, label: `Items: ${label}` },
        { stores: stores.map((s) => storeKey(s.market, s.name)), sort: { by: 'units', descending: true }, ...some },
      ),
    /** All that a store sells. */
    storeItems: (market: string, store: string) =>
      finds(
        { kind: 'finds', key: `store:${storeKey(market, store)}`, label: `Items: ${store}` },
        { stores: [storeKey(market, store)], sort: { by: 'units', descending: true } },
      ),
  }
}

/** Steps from one good thing to the next. Each is a stop of the Trail, kept after the step: keeping takes time, walking does not. */
export function useFollow() {
  const router = useRouter()
  const query = useQuery()
  const trail = useTrail()

  async function open(place: TrailPlace): Promise<void> {
    if (place.query) query.replace(place.query)
    query.selected = null
    await router.push(place.to)
  }
  async function finds(place: Omit<TrailPlace, 'to' | 'query'>, some: Partial<Query>): Promise<void> {
    const to = { ...place, to: '/finds', query: { ...emptyQuery, lens: query.query.lens, ...some } }
    await open(to)
    await trail.step(to)
  }
  return {
    /** The items of a category. */
    branchItems: (path: string) =>
      finds(
        { kind: 'finds', key: `category:${path}`, label: `Items: ${path.split(' / ').at(-1) ?? path}` },
        { categories: [path], sort: { by: 'sellThroughLow', descending: true } },
      ),
    /** The items that sell under a phrase. */
    phraseItems: (phrase: string) =>
      finds(
        { kind: 'finds', key: `phrase:${phrase}`, label: `Items: “${phrase}”` },
        { phrase, sort: { by: 'units', descending: true } },
      ),
    /** The items of a category whose titles name a theme. */
    themeItems: (phrase: string, path: string) =>
      finds(
        { kind: 'finds', key: `theme:${path}/${phrase}`, label: `Items: “${phrase}”` },
        { phrase, categories: [path], sort: { by: 'units', descending: true } },
      ),
    ...storeWays(finds, { router, trail }),
    /** All that a market sells. */
    market: (market: string) =>
      finds(
        { kind: 'finds', key: `market:${market}`, label: `Items: ${market}` },
        { markets: [market], sort: { by: 'units', descending: true } },
      ),
    /** The Close look in full. */
    async item(key: string, title: string): Promise<void> {
      const to = `/finds/item/${encodeURIComponent(key)}`
      await router.push(to)
      await trail.step({ kind: 'item', key, label: title, to })
    },
    /** Back to a stop. */
    async stop(id: number): Promise<void> {
      const place = await trail.goTo(id)
      if (place) await open(place)
    },
  }
}
