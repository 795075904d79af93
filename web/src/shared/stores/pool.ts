import { defineStore } from 'pinia'
import { computed } from 'vue'
import { usualFloor } from '@sickle/core/stores'
import { useServices } from '@/services/services'
import type { StoreName } from '@/workers/store-source'
import { keptDocument } from './document'

/** Stores that are looked at together, and the lifetime sales from which on an item of theirs is worth noting. */
export interface StorePool {
  stores: StoreName[]
  floor: number
}

/** stores beyond which a pool is no study any more */
export const mostPooled = 200

export const usePool = defineStore('pool', () => {
  const pool = keptDocument<StorePool>(useServices(), 'pool', () => ({ stores: [], floor: usualFloor }))
  const change = (some: Partial<StorePool>) => pool.set({ ...pool.value.value, ...some })
  const has = ({ market, name }: StoreName) =>
    pool.value.value.stores.some((s) => s.market === market && s.name === name)
  const without = ({ market, name }: StoreName) =>
    pool.value.value.stores.filter((s) => s.market !== market || s.name !== name)
  return {
    load: pool.load,
    value: computed(() => pool.value.value),
    change,
    has,
    /** Puts a store in, or takes it out. */
    toggle: ({ market, name }: StoreName) =>
      change({
        stores: has({ market, name })
          ? without({ market, name })
          : [...pool.value.value.stores, { market, name }].slice(0, mostPooled),
      }),
    /** Puts several in; those that are there stay. */
    add: (stores: readonly StoreName[]) =>
      change({
        stores: [...pool.value.value.stores, ...stores.filter((s) => !has(s))].slice(0, mostPooled),
      }),
    empty: () => change({ stores: [] }),
  }
})
