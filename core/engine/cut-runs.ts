/** What a Cut found when it was last run on fresh data, and the time before. */
export interface CutRun {
  /** names the data it was run on */
  data: string
  /** ms since 1970 */
  at: number
  keys: string[]
  before: { at: number; keys: string[] } | null
}

/** Runs on the same data are one run: what changed is told against the last run on other data. */
export function runAgain(last: CutRun | null, now: Omit<CutRun, 'before'>): CutRun {
  if (last?.data === now.data) return { ...last, keys: now.keys }
  return { ...now, before: last && { at: last.at, keys: last.keys } }
}

/** Items that came and that went since the run before; null on the first. */
export function cutChanges({ keys, before }: CutRun): { since: number; came: string[]; went: string[] } | null {
  if (!before) return null
  const [now, then] = [new Set(keys), new Set(before.keys)]
  return { since: before.at, came: keys.filter((k) => !then.has(k)), went: before.keys.filter((k) => !now.has(k)) }
}
