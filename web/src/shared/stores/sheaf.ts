import { defineStore } from 'pinia'
import { computed, type ComputedRef } from 'vue'
import {
  applyEvents,
  type Decision,
  type DecisionEvent,
  type DecisionState,
  type Sheaf,
  type SheafBook,
} from '@sickle/core/verdict'
import { Problem } from '@sickle/core/problem'
import { useServices } from '@/services/services'
import { keptDocument, type KeptDocument } from './document'
import { useJudgements } from './judgements'
import { useSettings } from './settings'
import { useSteps, type Step } from './steps'

const fresh = (): SheafBook => ({
  open: 'first',
  sheaves: [{ id: 'first', name: 'First sheaf', events: [], cursor: 0 }],
})

/** A decision, as it is said of an item. */
export const decidedWords: Record<DecisionState, string> = { keep: 'kept', hold: 'held', drop: 'dropped' }

/** Research lists and their decisions. Every step is an event, so undo is moving a cursor, and nothing is lost. */
export const useSheaf = defineStore('sheaf', () => {
  const services = useServices()
  const book = keptDocument<SheafBook>(services, 'sheaves', fresh)
  const current = computed(
    () => book.value.value.sheaves.find((s) => s.id === book.value.value.open) ?? fresh().sheaves[0]!,
  )
  const decisions = computed(() => applyEvents(current.value.events.slice(0, current.value.cursor)))
  const of = (state: Decision['state']) =>
    computed(() => [...decisions.value.values()].filter((d) => d.state === state))
  const [kept, held, dropped] = [of('keep'), of('hold'), of('drop')]

  function change(some: Partial<Sheaf>, id = current.value.id): Promise<void> {
    const sheaves = book.value.value.sheaves.map((s) => (s.id === id ? { ...s, ...some } : s))
    return book.set({ ...book.value.value, sheaves })
  }
  const { lastStep, ...stepped } = useDecisionSteps(book, current, change)
  const rename = (name: string) => change({ name: name.trim() || current.value.name })
  function add(name: string): Promise<void> {
    const id = services.newId()
    return book.set({
      open: id,
      sheaves: [...book.value.value.sheaves, { id, name: name.trim() || 'New sheaf', events: [], cursor: 0 }],
    })
  }
  const openSheaf = (id: string) => book.set({ ...book.value.value, open: id })
  const all = computed(() => book.value.value.sheaves)
  const decisionOf = (key: string): Decision | null => decisions.value.get(key) ?? null
  return {
    load: book.load,
    current,
    all,
    decisions,
    kept,
    held,
    dropped,
    rename,
    add,
    openSheaf,
    decisionOf,
    lastStep,
    ...stepped,
  }
})

/** Where the seller wants everything judged by eye before it is kept: what was not judged is refused. @throws Problem 'not-judged' */
function useJudgedFirst() {
  const [judgements, settings] = [useJudgements(), useSettings()]
  return (events: readonly Omit<DecisionEvent, 'at'>[]): void => {
    if (!settings.value.judgeFirst) return
    const [first, ...others] = events.filter((e) => e.action === 'keep' && judgements.of(e.key).length === 0)
    if (first) throw new Problem('not-judged', { title: first.snapshot.title, others: others.length })
  }
}

/** Decisions one by one, as steps that can be taken back. */
function useDecisionSteps(
  book: KeptDocument<SheafBook>,
  current: ComputedRef<Sheaf>,
  change: (some: Partial<Sheaf>, id?: string) => Promise<void>,
) {
  const services = useServices()
  const steps = useSteps()
  const assertJudged = useJudgedFirst()
  /** what undo would take back, in words */
  const lastStep = computed(() => current.value.events[current.value.cursor - 1] ?? null)
  async function record(event: Omit<DecisionEvent, 'at'>): Promise<void> {
    assertJudged([event])
    const { events, cursor, id } = current.value
    await change({ events: [...events.slice(0, cursor), { ...event, at: services.now() }], cursor: cursor + 1 })
    steps.note(step(id))
  }
  /** Many decisions at once, as one step. */
  async function recordAll(list: readonly Omit<DecisionEvent, 'at'>[], label: string): Promise<void> {
    if (list.length === 0) return
    assertJudged(list)
    const { events, cursor, id } = current.value
    const at = services.now()
    const added = list.map((event) => ({ ...event, at }))
    const move = (by: 1 | -1) => moveIn(id, by * added.length)
    const taken = { label, undo: () => move(-1), redo: () => move(1) }
    const writing = change({ events: [...events.slice(0, cursor), ...added], cursor: cursor + added.length })
    // they are seen at once, and writing many takes a while: undo in between takes them back all together
    steps.note(taken)
    await writing.catch((thrown: unknown) => {
      steps.retract(taken)
      throw thrown
    })
  }
  /** The last decision of a sheaf, as a step. */
  function step(id = current.value.id): Step {
    const last = lastStep.value
    const label = last ? `${last.action} ${last.snapshot.title}` : ''
    return { label, undo: () => moveIn(id, -1), redo: () => moveIn(id, 1) }
  }
  /** So many decisions back or on, in the sheaf that they are in. */
  async function moveIn(id: string, by: number): Promise<void> {
    const sheaf = book.value.value.sheaves.find((s) => s.id === id)
    const cursor = (sheaf?.cursor ?? 0) + by
    if (sheaf && cursor >= 0 && cursor <= sheaf.events.length) await change({ cursor }, id)
  }
  const canUndo = computed(() => current.value.cursor > 0)
  const canRedo = computed(() => current.value.cursor < current.value.events.length)
  const undo = () => moveIn(current.value.id, -1)
  const redo = () => moveIn(current.value.id, 1)
  return { lastStep, record, recordAll, step, canUndo, canRedo, undo, redo }
}
