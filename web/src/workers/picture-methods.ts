import { findRow, type FindRow } from '@sickle/core/engine'
import type { Offer } from '@sickle/core/supply'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import { pauseEvery } from './pause'

/** items whose pictures are looked through */
const mostItems = 50_000
const pause = pauseEvery(40)

/** What shows one picture. */
export interface ShownBy {
  items: FindRow[]
  offers: Pick<Offer, 'key' | 'supplier' | 'title' | 'picture'>[]
}

/** What the search by picture asks. */
export function pictureMethods(engine: () => ItemEngine) {
  return {
    /** Every picture of an item or an offer, once, by its address. */
    async pictures(_: CallContext): Promise<string[]> {
      const maker = await engine().maker
      const found = new Set(maker.catalog.offers.flatMap(({ picture }) => picture ?? []))
      for (let place = 0; place < Math.min(maker.count, mostItems); place++) {
        const { picture } = maker.at(place, false)
        if (picture !== null) found.add(picture)
        await pause()
      }
      return [...found]
    },

    /** What shows each of some pictures: those items that sell most first, at most `most` of each sort. */
    async showing(_: CallContext, addresses: readonly string[], most: number): Promise<ShownBy[]> {
      const maker = await engine().maker
      const at = new Map(addresses.map((address, i) => [address, i]))
      const items = addresses.map((): FindRow[] => [])
      for (let place = 0; place < Math.min(maker.count, mostItems); place++) {
        const item = maker.at(place, false)
        const i = item.picture === null ? undefined : at.get(item.picture)
        if (i !== undefined) items[i]?.push(findRow(item))
        await pause()
      }
      return addresses.map((address, i) => ({
        items: (items[i] ?? []).sort((a, b) => (b.units ?? -1) - (a.units ?? -1)).slice(0, most),
        offers: maker.catalog.offers
          .filter((o) => o.picture === address)
          .slice(0, most)
          .map(({ key, supplier, title, picture }) => ({ key, supplier, title, picture })),
      }))
    },
  }
}
