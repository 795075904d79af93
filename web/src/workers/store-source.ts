import type { ItemMaker } from '@sickle/core/catalog'
import { mergeCompeting, type CompetingOffer } from '@sickle/core/room'
import { knownStores, type KnownStores } from '@sickle/core/stores'
import type { ItemEngine } from './item-engine'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'

/** How a store is named over all. */
export interface StoreName {
  market: string
  name: string
}

/** What Rivals works from: all stores, and what is read beside them. Worked out anew when what is gathered or settled changes. */
export interface StoreSource {
  known: () => Promise<{ stores: KnownStores; maker: ItemMaker }>
  offers: () => Promise<CompetingOffer[]>
  lists: () => ReturnType<typeof capturesOf>
  forget: () => void
}

export function storeSource(engine: () => ItemEngine): StoreSource {
  const lists = readOnce(() => capturesOf('stores'))
  const offers = readOnce(() => capturesOf('competing').then(mergeCompeting))
  let of: ItemMaker | null = null
  const known = readOnce(async (): Promise<KnownStores> => {
    const maker = await engine().maker
    return knownStores(maker.catalog, await lists.get(), maker.rules)
  })
  return {
    async known() {
      const maker = await engine().maker
      if (maker !== of) known.forget()
      of = maker
      return { stores: await known.get(), maker }
    },
    offers: offers.get,
    lists: lists.get,
    forget() {
      for (const part of [lists, offers, known]) part.forget()
    },
  }
}
