import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { emptyStoreQuery, findStores, meets, type StoreCriteria, type StoreQuery } from '@sickle/core/stores'
import { useServices } from '@/services/services'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'

/** The stores that are looked through in Rivals, and the one that is open. */
export const useRivals = defineStore('rivals', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const query = shallowRef<StoreQuery>(plain(emptyStoreQuery))
  const chosen = ref<{ market: string; name: string } | null>(null)
  const version = () => workspace.version

  const list = useLatest([version], async () => (workspace.version === 0 ? null : services.engine.call('stores', [])))
  const opened = useLatest([chosen, version], async () =>
    chosen.value === null || workspace.version === 0
      ? null
      : services.engine.call('store', [chosen.value.market, chosen.value.name]),
  )
  // while all are shown a corner that moves changes nothing of which they are, nor of their order
  const asked = computed(() => {
    const { criteria, ...rest } = query.value
    return JSON.stringify({ ...rest, criteria: rest.meetsOnly ? criteria : emptyStoreQuery.criteria })
  })
  const found = computed(() =>
    list.value ? findStores(list.value, JSON.parse(asked.value) as StoreQuery) : new Int32Array(0),
  )
  /** those of the found that meet the criteria */
  const meeting = computed(() => {
    const all = list.value
    return all ? found.value.filter((store) => meets(all, store, query.value.criteria)).length : 0
  })
  const markets = computed(() => {
    const counts = new Map<string, number>()
    for (const market of list.value?.markets ?? []) counts.set(market, (counts.get(market) ?? 0) + 1)
    return [...counts].map(([value, count]) => ({ value, count })).sort((a, b) => (a.value < b.value ? -1 : 1))
  })
  const change = (some: Partial<StoreQuery>) => void (query.value = { ...query.value, ...some })
  const setCriteria = (some: Partial<StoreCriteria>) => change({ criteria: { ...query.value.criteria, ...some } })
  function sortBy(by: string): void {
    const { sort } = query.value
    change({ sort: { by, descending: sort.by === by ? !sort.descending : by !== 'name' && by !== 'age' } })
  }
  /** Opens a store by its place in the list. */
  function choose(store: number): void {
    const { markets: all, names } = list.value ?? { markets: [], names: [] }
    const [market, name] = [all[store], names[store]]
    chosen.value = market === undefined || name === undefined ? null : { market, name }
  }
  /** place of the chosen store in the list, -1 where none is */
  const chosenAt = computed(() => {
    const { markets: all, names } = list.value ?? { markets: [], names: [] }
    return names.findIndex((name, at) => name === chosen.value?.name && all[at] === chosen.value.market)
  })
  return { query, list, found, meeting, markets, chosen, chosenAt, opened, change, setCriteria, sortBy, choose }
})
