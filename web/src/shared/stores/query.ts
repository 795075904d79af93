import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { emptyQuery, type Answer, type Cut, type Query, type Span } from '@sickle/core/engine'
import { useServices } from '@/services/services'
import { plain } from '@/storage/plain'
import { cutBook } from './cut-book'
import { newestAnswer } from './newest-answer'
import { useSettings } from './settings'
import { useSheaf } from './sheaf'
import { rowsOfPage, shownRows } from './shown-rows'
import { useWorkspace } from './workspace'
import { useWriteLock } from './write-lock'

/** items of a Cut that are remembered, best first */
const mostKept = 2000

/** What is asked of all items, the answer, and the Cuts. The newest question wins; older answers are dropped. */
export const useQuery = defineStore('query', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const { keepCut, noteRun, ...book } = cutBook(services)
  const writeLock = useWriteLock()
  const question = useQuestion()
  const { query } = question
  const { answer, rows, selected, ask, settled, rowOf, ensure, showDropped } = useAnswer(query)

  /** A Cut is run: its limits hold, and what it finds is kept beside what it found on the data before. */
  async function use(cut: Cut): Promise<void> {
    question.replace(queryOf(cut))
    if (workspace.version === 0 || writeLock.role === 'follower') return
    const keys = await services.engine.call('keys', [plain(query.value), [], mostKept])
    await noteRun(cut, { data: workspace.ledger.map((e) => e.id).join(), at: services.now(), keys })
  }
  /** A Cut keeps its lens; those that ship know no markets, and hold through whatever lens there is. */
  const queryOf = ({ query: asked, ships }: Cut): Query => ({
    ...emptyQuery,
    ...asked,
    ...(ships ? { lens: query.value.lens } : {}),
  })
  const asText = computed(() => JSON.stringify({ ...emptyQuery, ...query.value }))
  return {
    ...question,
    answer,
    rows,
    selected,
    showDropped,
    ask,
    settled,
    rowOf,
    ensure,
    ...book,
    keepCut: (name: string) => keepCut(name, query.value),
    use,
    queryOf,
    isUsed: (cut: Cut) => JSON.stringify(queryOf(cut)) === asText.value,
  }
})

/** The limits and the order, and how they are changed. */
function useQuestion() {
  const query = ref<Query>(plain(emptyQuery))
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
  /** Other limits altogether; what they do not speak of is open, but for the lens, which stays. */
  const replace = (some: Partial<Query>) =>
    void (query.value = plain({ ...emptyQuery, lens: query.value.lens, ...some }))
  return { query, change, setLimit, replace, clear: () => replace({ sort: plain(ownSort) }) }
}

/** What the question is answered by: counts, strips, facets, and the rows that are on the screen. */
function useAnswer(query: { value: Query }) {
  const services = useServices()
  const workspace = useWorkspace()
  const sheaf = useSheaf()
  const settings = useSettings()
  const showDropped = ref(false)
  const answer = shallowRef<Answer | null>(null)
  const selected = ref<string | null>(null)
  const shownNow = shownRows((from, count) => services.engine.call('page', [from, count]))
  /** strips and columns; measures without a column of their own are not asked for */
  const shown = computed(() => ({ strips: settings.value.strips, columns: settings.value.columns }))
  const hidden = () => (showDropped.value ? [] : sheaf.dropped.map((d) => d.key))

  const { ask, settled } = newestAnswer(async () => {
    const looked = selected.value
    const question = [plain(query.value), hidden(), plain(shown.value), rowsOfPage, looked] as const
    const { rows: first, isLookedFound, ...rest } = await services.engine.call('ask', [...question])
    // What is not to be seen in the list is not decided by a key either; one that was just dropped may still be given its reason.
    const isDropped = looked !== null && sheaf.decisionOf(looked)?.state === 'drop'
    if (looked !== null && looked === selected.value && !isLookedFound && !isDropped) selected.value = null
    shownNow.begin(first)
    answer.value = rest
  })
  // before anything is loaded nothing is asked: it is as soon as it is
  const askOnceLoaded = () => (workspace.version === 0 ? Promise.resolve() : ask())
  watch([() => workspace.version, () => query.value.lens, () => settings.value.columns], () => shownNow.forget(), {
    flush: 'sync',
  })
  watch(
    [() => query.value, shown, () => workspace.version, showDropped, () => sheaf.dropped.map((d) => d.key).join()],
    () => void askOnceLoaded(),
    { deep: true },
  )
  return {
    answer,
    rows: shownNow.rows,
    selected,
    showDropped,
    ask: askOnceLoaded,
    settled,
    rowOf: shownNow.rowOf,
    ensure: (from: number, to: number) => shownNow.ensure(from, to, answer.value?.matching ?? 0),
  }
}
