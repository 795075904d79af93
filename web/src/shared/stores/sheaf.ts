import { defineStore } from 'pinia'
import { computed, type ComputedRef } from 'vue'
import { applyEvents, type Decision, type DecisionEvent, type Sheaf, type SheafBook } from '@sickle/core/verdict'
import { useServices } from '@/services/services'
import { keptDocument, type KeptDocument } from './document'
import { useSteps, type Step } from './steps'

const fresh = (): SheafBook => ({
  open: 'first',
  sheaves: [{ id: 'first', name: 'First sheaf', events: [], cursor: 0 }],
})

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

/** Decisions one by one, as steps that can be taken back. */
function useDecisionSteps(
  book: KeptDocument<SheafBook>,
  current: ComputedRef<Sheaf>,
  change: (some: Partial<Sheaf>, id?: string) => Promise<void>,
) {
  const services = useServices()
  const steps = useSteps()
  /** what undo would take back, in words */
  const lastStep = computed(() => current.value.events[current.value.cursor - 1] ?? null)
  async function record(event: Omit<DecisionEvent, 'at'>): Promise<void> {
    const { events, cursor, id } = current.value
    await change({ events: [...events.slice(0, cursor), { ...event, at: services.now() }], cursor: cursor + 1 })
    steps.note(step(id))
  }
  /** The last decision of a sheaf, as a step. */
  function step(id = current.value.id): Step {
    const last = lastStep.value
    const label = last ? `${last.action} ${last.snapshot.title}` : ''
    return { label, undo: () => moveIn(id, -1), redo: () => moveIn(id, 1) }
  }
  /** One decision back or on, in the sheaf that it is in. */
  async function moveIn(id: string, by: 1 | -1): Promise<void> {
    const sheaf = book.value.value.sheaves.find((s) => s.id === id)
    const cursor = (sheaf?.cursor ?? 0) + by
    if (sheaf && cursor >= 0 && cursor <= sheaf.events.length) await change({ cursor }, id)
  }
  const canUndo = computed(() => current.value.cursor > 0)
  const canRedo = computed(() => current.value.cursor < current.value.events.length)
  const undo = () => moveIn(current.value.id, -1)
  const redo = () => moveIn(current.value.id, 1)
  return { lastStep, record, step, canUndo, canRedo, undo, redo }
}
