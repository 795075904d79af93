import type { DecisionEvent, Sheaf, SheafBook } from './decisions'

/** What rests of research lists beside their decisions, each of which is a record of its own: keeping one writes one. */
export interface SheafHead {
  open: string
  sheaves: (Omit<Sheaf, 'events'> & { steps: number })[]
}

const partKey = (sheaf: string, step: number) => `${sheaf}/${step}`

/**
 * What has to be written where other lists rest.
 *
 * @param before as they rest; null where nothing is known to rest. Decisions that are the same objects are the same.
 */
export function changedSheaves(next: SheafBook, before: SheafBook | null) {
  const [put, gone]: [[string, unknown][], string[]] = [[], []]
  const ids = new Set([...next.sheaves, ...(before?.sheaves ?? [])].map((s) => s.id))
  for (const id of ids) {
    const [now, then] = [next, before].map((book) => book?.sheaves.find((s) => s.id === id)?.events ?? [])
    now?.forEach((event, step) => event !== then?.[step] && put.push([partKey(id, step), event]))
    for (let step = now?.length ?? 0; step < (then?.length ?? 0); step++) gone.push(partKey(id, step))
  }
  const sheaves = next.sheaves.map(({ events, ...s }) => ({ ...s, steps: events.length }))
  return { head: { open: next.open, sheaves } satisfies SheafHead, put, gone }
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
