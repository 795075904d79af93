import type { Draft } from './draft'

/** What has to be written where other drafts rest: their order, and each as a record of its own. @param before as they rest */
export function changedDrafts(next: readonly Draft[], before: readonly Draft[] | null) {
  const then = new Map(before?.map((d) => [d.id, d]))
  const now = new Set(next.map((d) => d.id))
  const put = next.filter((d) => then.get(d.id) !== d).map((d): [string, unknown] => [d.id, d])
  return { head: [...now], put, gone: [...then.keys()].filter((id) => !now.has(id)) }
}

/** The drafts again; null where one is gone. */
export function joinDrafts(ids: readonly string[], parts: ReadonlyMap<string, unknown>): Draft[] | null {
  const drafts = ids.map((id) => parts.get(id) as Draft | undefined)
  return drafts.includes(undefined) ? null : (drafts as Draft[])
}
