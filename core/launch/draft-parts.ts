import type { Draft } from './draft'

/** Drafts rest one by one: their order, and each as a record of its own. */
export function splitDrafts(drafts: readonly Draft[]): { head: string[]; parts: Map<string, unknown> } {
  return { head: drafts.map((d) => d.id), parts: new Map(drafts.map((d) => [d.id, d])) }
}

/** The drafts again; null where one is gone. */
export function joinDrafts(ids: readonly string[], parts: ReadonlyMap<string, unknown>): Draft[] | null {
  const drafts = ids.map((id) => parts.get(id) as Draft | undefined)
  return drafts.includes(undefined) ? null : (drafts as Draft[])
}
