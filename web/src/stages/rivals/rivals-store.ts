import { defineStore } from 'pinia'
import { computed, ref, shallowRef, type Ref } from 'vue'
import { emptyQuery, storeKey, type Query, type Span } from '@sickle/core/engine'
import {
  emptyStoreQuery,
  meets,
  namesNotFound,
  StoreFinder,
  type StoreCriteria,
  type StoreCut,
  type StoreList,
  type StoreQuery,
} from '@sickle/core/stores'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { useStoreCuts } from '@/shared/stores/store-cuts'
import { useWorkspace } from '@/shared/stores/workspace'
import { useWriteLock } from '@/shared/stores/write-lock'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'
import type { StoreName } from '@/workers/store-source'

/** What stores are to sell, as a question of Finds, and what that is in words. */
export interface Selling {
  label: string
  of: Partial<Query>
}

/** stores of a Cut that are remembered, first in its order */
const mostKept = 2000

/** The two limits that are brushed on the field itself. */
const brushed = ['age', 'unitsTotal']

/** The stores that are looked through in Rivals, and the one that is chosen. */
export const useRivals = defineStore('rivals', () => {
  const cuts = useStoreCuts()
  const workspace = useWorkspace()
  const writeLock = useWriteLock()
  const question = useStoreQuestion()
  const { finder, ...answered } = useStoreAnswer(question)
  const chosen = useChosenStore(answered.list)
  const { query } = question

  /** A Cut is run: its limits hold, and which stores it leaves is kept beside those it left on the data before. */
  async function use(cut: StoreCut): Promise<void> {
    question.setSelling(null)
    question.replace(cut.query)
    if (!finder.value || writeLock.role === 'follower') return
    const { markets, names } = finder.value.list
    const keys = Array.from(finder.value.ask(cut.query).found.slice(0, mostKept), (s) =>
      storeKey(markets[s] ?? '?', names[s] ?? ''),
    )
    await cuts.noteRun(cut, { data: workspace.ledger.map((e) => e.id).join(), keys })
  }
  return {
    ...question,
    finder,
    ...answered,
    ...chosen,
    use,
    isUsed: (cut: StoreCut) => JSON.stringify(cut.query) === JSON.stringify(query.value),
    keepCut: (name: string) => cuts.keep(name, query.value),
    /** of each Cut how many stores it leaves */
    cutCounts: computed(() => {
      const all = finder.value
      return all ? cuts.all.map((c) => all.ask(c.query).found.length) : []
    }),
  }
})

/** All stores, and which of them pass: those of the table, and those of the field. */
function useStoreAnswer({ query, selling }: Pick<ReturnType<typeof useStoreQuestion>, 'query' | 'selling'>) {
  const services = useServices()
  const workspace = useWorkspace()
  const lens = useLens()
  const version = () => workspace.version
  const isLoaded = () => workspace.version > 0
  const list = useLatest([version], async () => (isLoaded() ? services.engine.call('stores', []) : null))
  const counts = useLatest(
    [selling, () => lens.markets, version],
    async () =>
      selling.value !== null && isLoaded()
        ? services.engine.call('storesSelling', [plain({ ...emptyQuery, ...selling.value.of, lens: lens.markets })])
        : null,
    { isClearedFirst: true },
  )
  const finder = computed(() => (list.value ? new StoreFinder(list.value, lens.markets) : null))
  const ask = (some: StoreQuery) =>
    // counts of another list speak of other stores
    finder.value && (selling.value === null || counts.value?.length === finder.value.list.count)
      ? finder.value.ask(some, selling.value === null ? null : counts.value)
      : null
  // while all are shown a corner that moves changes nothing of which they are, nor of their order
  const asked = computed(() => {
    const { criteria, ...rest } = query.value
    return JSON.stringify({ ...rest, criteria: rest.meetsOnly ? criteria : emptyStoreQuery.criteria })
  })
  const answer = computed(() => ask(JSON.parse(asked.value) as StoreQuery))
  /** what stands on the field: those that pass every limit but the two that are brushed on it */
  const askedOfField = computed(() => {
    const { limits, sort: _, ...rest } = JSON.parse(asked.value) as StoreQuery
    const others = Object.fromEntries(Object.entries(limits).filter(([by]) => !brushed.includes(by)))
    return JSON.stringify({ ...rest, sort: emptyStoreQuery.sort, limits: others })
  })
  const onField = computed(() => ask(JSON.parse(askedOfField.value) as StoreQuery)?.found ?? new Int32Array(0))
  const found = computed(() => answer.value?.found ?? new Int32Array(0))
  /** those of the found that meet the criteria */
  const meeting = computed(() => {
    const [all, { criteria }] = [list.value, query.value]
    return all ? found.value.reduce((n, store) => n + Number(meets(all, store, criteria)), 0) : 0
  })
  const names = computed(() => query.value.names)
  const notFound = computed(() => (list.value && names.value.length > 0 ? namesNotFound(list.value, names.value) : []))
  return { list, counts, finder, answer, onField, found, meeting, notFound }
}

/** The store that is chosen in the list, and opened beside the field. */
function useChosenStore(list: Readonly<Ref<StoreList | null>>) {
  const services = useServices()
  const workspace = useWorkspace()
  const chosen = ref<StoreName | null>(null)
  const opened = useLatest([chosen, () => workspace.version], async () =>
    chosen.value === null || workspace.version === 0
      ? null
      : services.engine.call('store', [chosen.value.market, chosen.value.name]),
  )
  const nameAt = (store: number): StoreName | null => {
    const { markets, names } = list.value ?? { markets: [], names: [] }
    const [market, name] = [markets[store], names[store]]
    return market === undefined || name === undefined ? null : { market, name }
  }
  /** Chooses a store by its place in the list. */
  const choose = (store: number) => void (chosen.value = nameAt(store))
  /** place of the chosen store in the list, -1 where none is */
  const chosenAt = computed(() => {
    const { markets, names } = list.value ?? { markets: [], names: [] }
    return names.findIndex((name, at) => name === chosen.value?.name && markets[at] === chosen.value.market)
  })
  return { chosen, opened, nameAt, choose, chosenAt }
}

/** The limits and the order, and how they are changed. */
function useStoreQuestion() {
  const query = shallowRef<StoreQuery>(plain(emptyStoreQuery))
  const selling = shallowRef<Selling | null>(null)
  const change = (some: Partial<StoreQuery>) => void (query.value = { ...query.value, ...some })
  const replace = (some: StoreQuery) => void (query.value = plain(some))
  const setCriteria = (some: Partial<StoreCriteria>) => change({ criteria: { ...query.value.criteria, ...some } })
  function setLimits(some: Record<string, Span | null>): void {
    const limits = { ...query.value.limits }
    for (const [by, span] of Object.entries(some))
      if (span === null || (span[0] === null && span[1] === null)) delete limits[by]
      else limits[by] = span
    change({ limits })
  }
  function sortBy(by: string): void {
    const { sort } = query.value
    change({ sort: { by, descending: sort.by === by ? !sort.descending : by !== 'name' && by !== 'age' } })
  }
  /** Only stores that sell what a question of Finds leaves; null lifts it. */
  function setSelling(next: Selling | null): void {
    if (JSON.stringify(next) === JSON.stringify(selling.value)) return
    selling.value = next
    const { by } = query.value.sort
    if (next) change({ sort: { by: 'selling', descending: true } })
    else if (by === 'selling') change({ sort: emptyStoreQuery.sort })
  }
  function clear(): void {
    setSelling(null)
    replace({ ...emptyStoreQuery, criteria: query.value.criteria })
  }
  const isLimited = computed(() => {
    const { criteria: _, sort: _s, ...limits } = query.value
    const { criteria: _c, sort: _t, ...none } = emptyStoreQuery
    return selling.value !== null || JSON.stringify(limits) !== JSON.stringify(none)
  })
  return { query, selling, change, replace, setCriteria, setLimits, sortBy, setSelling, clear, isLimited }
}
