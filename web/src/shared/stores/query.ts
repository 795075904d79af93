import { defineStore } from 'pinia'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import {
  checkCut,
  cutChanges,
  emptyQuery,
  readCut,
  runAgain,
  shippedCuts,
  type Answer,
  type Cut,
  type CutRun,
  type FindRow,
  type Query,
  type Span,
} from '@sickle/core/engine'
import { plain } from '@/storage/plain'
import { useServices } from '@/services/services'
import { keptDocument } from './document'
import { useSettings } from './settings'
import { useSheaf } from './sheaf'
import { useWriteLock } from './write-lock'
import { useWorkspace } from './workspace'

/** rows of a page: a screen of them and a little more */
const pageSize = 24
/** items of a Cut that are remembered, best first */
const mostKept = 2000

/** What is asked of all items, the answer, and the Cuts. The newest question wins; older answers are dropped. */
export const useQuery = defineStore('query', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const sheaf = useSheaf()
  const settings = useSettings()
  const own = keptDocument<Cut[]>(services, 'cuts', () => [])
  const runs = keptDocument<Record<string, CutRun>>(services, 'cutRuns', () => ({}))
  const writeLock = useWriteLock()
  const query = ref<Query>(plain(emptyQuery))
  const showDropped = ref(false)
  const answer = shallowRef<Answer | null>(null)
  const rows = shallowRef(new Map<number, FindRow>())
  const selected = ref<string | null>(null)
  let asked = 0
  const loading = new Set<number>()
  /** rows as they are now, by key: one that stays on the screen is not drawn again */
  const known = new Map<string, FindRow>()
  const same = (row: FindRow) => {
    const before = known.get(row.key)
    if (!before) known.set(row.key, row)
    return before ?? row
  }

  /** strips and columns; measures without a column of their own are not asked for */
  const shown = computed(() => ({ strips: settings.value.strips, columns: settings.value.columns }))

  const hidden = () => (showDropped.value ? [] : sheaf.dropped.map((d) => d.key))

  let answering: Promise<void> | null = null
  /** Asks anew. While an answer is awaited, only the newest question waits: those between are never worked out. */
  function ask(): Promise<void> {
    if (workspace.version === 0) return Promise.resolve() // nothing is loaded yet: asked as soon as it is
    asked++
    // after what the screen itself asks: that is quick, and this may take a moment
    return (answering ??= nextTick()
      .then(answerAll)
      .finally(() => (answering = null)))
  }
  async function answerAll(): Promise<void> {
    for (let mine = 0; mine !== asked;) mine = await answerNewest()
  }
  /** Resolves when the newest question is answered. */
  const settled = () => answering ?? Promise.resolve()

  async function answerNewest(): Promise<number> {
    const mine = asked
    const looked = selected.value
    const got = await services.engine.call('ask', [plain(query.value), hidden(), plain(shown.value), pageSize, looked])
    const { rows: first, isLookedFound, ...rest } = got
    // What is not to be seen in the list is not decided by a key either; one that was just dropped may still be given its reason.
    const isDropped = looked !== null && sheaf.decisionOf(looked)?.state === 'drop'
    if (looked !== null && looked === selected.value && !isLookedFound && !isDropped) selected.value = null
    loading.clear()
    rows.value = new Map(first.map((r, i) => [i, same(r)]))
    answer.value = rest
    return mine
  }

  /** The row of an item that is on the screen, or near it. */
  const rowOf = (key: string): FindRow | null => known.get(key) ?? null

  /** Fetches the pages between two places that are not here yet. */
  async function ensure(from: number, to: number): Promise<void> {
    for (let page = Math.floor(from / pageSize); page <= Math.floor(to / pageSize); page++) {
      const start = page * pageSize
      if (rows.value.has(start) || loading.has(page) || start >= (answer.value?.matching ?? 0)) continue
      loading.add(page)
      const mine = asked
      const got = await services.engine.call('page', [start, pageSize])
      if (mine !== asked) return
      const next = new Map(rows.value)
      got.forEach((r, i) => next.set(start + i, same(r)))
      rows.value = next
    }
  }

  /** the order that the seller chose, which a Cut's own order passes over and lifting all limits brings back */
  let ownSort = plain(emptyQuery.sort)
  function change(some: Partial<Query>): void {
    if (some.sort) ownSort = some.sort
    query.value = { ...query.value, ...some }
  }
  function setLimit(measure: string, span: Span | null): void {
    const { [measure]: _, ...rest } = query.value.limits
    const open = span === null || (span[0] === null && span[1] === null)
    change({ limits: open ? rest : { ...rest, [measure]: span } })
  }
  /** Other limits altogether; what they do not speak of is open. */
  const replace = (some: Partial<Query>) => void (query.value = plain({ ...emptyQuery, ...some }))
  /** A Cut is run: its limits hold, and what it finds is kept beside what it found on the data before. */
  async function use(cut: Cut): Promise<void> {
    replace(cut.query)
    if (workspace.version === 0 || writeLock.role === 'follower') return
    const keys = await services.engine.call('keys', [plain(cut.query), [], mostKept])
    const now = { data: workspace.ledger.map((e) => e.id).join(), at: services.now(), keys }
    await runs.set({ ...runs.value.value, [cut.name]: runAgain(runs.value.value[cut.name] ?? null, now) })
  }
  const changesOf = (cut: Cut) => {
    const run = runs.value.value[cut.name]
    return run ? cutChanges(run) : null
  }
  const clear = () => replace({ sort: plain(ownSort) })
  const cuts = computed(() => [...shippedCuts, ...own.value.value])
  /** @throws Problem 'cut-invalid' */
  async function keepCut(name: string): Promise<void> {
    const cut = checkCut({ name: name.trim(), query: plain(query.value), ships: false })
    await own.set([...own.value.value.filter((c) => c.name !== cut.name), cut])
  }
  const dropCut = (name: string) => own.set(own.value.value.filter((c) => c.name !== name))
  const takeCut = (json: unknown) => {
    const cut = readCut(json)
    return own.set([...own.value.value.filter((c) => c.name !== cut.name), cut])
  }
  const asText = computed(() => JSON.stringify({ ...emptyQuery, ...query.value }))
  const isUsed = (cut: Cut) => JSON.stringify({ ...emptyQuery, ...cut.query }) === asText.value
  watch([() => workspace.version, () => settings.value.columns], () => known.clear(), { flush: 'sync' })

  watch(
    [query, shown, () => workspace.version, showDropped, () => sheaf.dropped.map((d) => d.key).join()],
    () => void ask(),
    {
      deep: true,
    },
  )
  return {
    load: () => Promise.all([own.load(), runs.load()]),
    query,
    answer,
    rows,
    selected,
    showDropped,
    ask,
    settled,
    rowOf,
    ensure,
    change,
    replace,
    setLimit,
    use,
    changesOf,
    clear,
    cuts,
    keepCut,
    dropCut,
    takeCut,
    isUsed,
  }
})
