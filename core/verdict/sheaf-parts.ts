import type { DecisionEvent, Sheaf, SheafBook } from './decisions'

/** What rests of research lists beside their decisions, each of which is a record of its own: keeping one writes one. */
export interface SheafHead {
  open: string
  sheaves: (Omit<Sheaf, 'events'> & { steps: number })[]
}

const partKey = (sheaf: string, step: number) => `${sheaf}/${step}`

export function splitSheaves({ open, sheaves }: SheafBook): { head: SheafHead; parts: Map<string, unknown> } {
  const parts = new Map<string, unknown>()
  for (const { id, events } of sheaves)
    for (const [step, event] of events.entries()) parts.set(partKey(id, step), event)
  return { head: { open, sheaves: sheaves.map(({ events, ...s }) => ({ ...s, steps: events.length })) }, parts }
}

/** The lists again; null where a decision is gone. */
export function joinSheaves({ open, sheaves }: SheafHead, parts: ReadonlyMap<string, unknown>): SheafBook | null {
  const joined = sheaves.map(({ steps, ...sheaf }) => ({
    ...sheaf,
    events: Array.from({ length: steps }, (_, step) => parts.get(partKey(sheaf.id, step)) as DecisionEvent | undefined),
  }))
  const isWhole = joined.every((s) => !s.events.includes(undefined))
  return isWhole ? { open, sheaves: joined as Sheaf[] } : null
}
