import { defineStore } from 'pinia'
import { computed } from 'vue'
import { applyEvents, type Decision, type DecisionEvent, type SheafBook } from '@sickle/core/verdict'
import { useServices } from '@/app/services'
import { keptDocument } from './document'

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

  function change(some: Partial<SheafBook['sheaves'][number]>): Promise<void> {
    const sheaves = book.value.value.sheaves.map((s) => (s.id === current.value.id ? { ...s, ...some } : s))
    return book.set({ ...book.value.value, sheaves })
  }
  function record(event: Omit<DecisionEvent, 'at'>): Promise<void> {
    const { events, cursor } = current.value
    return change({ events: [...events.slice(0, cursor), { ...event, at: services.now() }], cursor: cursor + 1 })
  }
  const canUndo = computed(() => current.value.cursor > 0)
  const canRedo = computed(() => current.value.cursor < current.value.events.length)
  const undo = async () => void (canUndo.value && (await change({ cursor: current.value.cursor - 1 })))
  const redo = async () => void (canRedo.value && (await change({ cursor: current.value.cursor + 1 })))
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
  /** what undo would take back, in words */
  const lastStep = computed(() => current.value.events[current.value.cursor - 1] ?? null)

  return {
    load: book.load,
    current,
    all,
    decisions,
    kept,
    held,
    dropped,
    record,
    canUndo,
    canRedo,
    undo,
    redo,
    rename,
    add,
    openSheaf,
    decisionOf,
    lastStep,
  }
})
