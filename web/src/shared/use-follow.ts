import { useRouter } from 'vue-router'
import { emptyQuery, storeKey, type Query } from '@sickle/core/engine'
import { useQuery } from './stores/query'
import { useTrail, type TrailPlace } from './stores/trail'

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
    const to = { ...place, to: '/finds', query: { ...emptyQuery, ...some } }
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
    /** All that a store sells. */
    store: (market: string, store: string) =>
      finds(
        { kind: 'store', key: storeKey(market, store), label: store },
        { stores: [storeKey(market, store)], sort: { by: 'units', descending: true } },
      ),
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
