import type { ItemMaker } from '@sickle/core/catalog'
import { knownStores, openStore, type KnownStores, type StoreList, type StoreLook } from '@sickle/core/stores'
import type { CallContext } from './channel'
import type { ItemEngine } from './item-engine'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'

/** A store opened, with its listings' items by key. */
export type OpenedStore = StoreLook & { itemKeys: Record<string, string> }

/** What Rivals asks: all stores, and one of them opened. Worked out when it is first asked for, and anew when what is gathered or settled changes. */
export function storeMethods(engine: () => ItemEngine) {
  const lists = readOnce(() => capturesOf('stores'))
  let of: ItemMaker | null = null
  const known = readOnce(async (): Promise<KnownStores> => {
    const maker = await engine().maker
    return knownStores(maker.catalog, await lists.get(), maker.rules)
  })
  async function knownNow(): Promise<{ stores: KnownStores; maker: ItemMaker }> {
    const maker = await engine().maker
    if (maker !== of) known.forget()
    of = maker
    return { stores: await known.get(), maker }
  }
  return {
    methods: {
      async stores(): Promise<StoreList> {
        return (await knownNow()).stores.list
      },

      /** One store; null where nothing names it any more. */
      async store(_: CallContext, market: string, name: string): Promise<OpenedStore | null> {
        const { stores, maker } = await knownNow()
        const look = openStore(stores, maker.catalog, maker.rules, { market, name })
        if (!look) return null
        const shown = [...look.best, ...look.newSelling]
        return { ...look, itemKeys: Object.fromEntries(shown.map((l) => [l.key, maker.keyAt(l.item)])) }
      },
    },
    /** What was read is out of date. */
    forget() {
      lists.forget()
      known.forget()
    },
  }
}
