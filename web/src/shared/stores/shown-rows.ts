import { shallowRef } from 'vue'
import type { FindRow } from '@sickle/core/engine'

/** rows of a page: a screen of them and a little more */
export const rowsOfPage = 24

/** The rows of the answer that are here, by their place, and how further ones are fetched. */
export function shownRows(fetchPage: (from: number, count: number) => Promise<FindRow[]>) {
  const rows = shallowRef(new Map<number, FindRow>())
  /** rows as they are now, by key: one that stays on the screen is not drawn again */
  const known = new Map<string, FindRow>()
  const loading = new Set<number>()
  /** rises with each answer: a page of the one before is no more wanted */
  let answers = 0
  function same(row: FindRow): FindRow {
    const before = known.get(row.key)
    if (!before) known.set(row.key, row)
    return before ?? row
  }
  function begin(first: readonly FindRow[]): void {
    answers++
    loading.clear()
    rows.value = new Map(first.map((r, i) => [i, same(r)]))
  }
  /** Fetches the pages between two places that are not here yet. */
  async function ensure(from: number, to: number, matching: number): Promise<void> {
    for (let page = Math.floor(from / rowsOfPage); page <= Math.floor(to / rowsOfPage); page++) {
      const start = page * rowsOfPage
      if (rows.value.has(start) || loading.has(page) || start >= matching) continue
      loading.add(page)
      const mine = answers
      const got = await fetchPage(start, rowsOfPage)
      if (mine !== answers) return
      const next = new Map(rows.value)
      got.forEach((r, i) => next.set(start + i, same(r)))
      rows.value = next
    }
  }
  return {
    rows,
    begin,
    ensure,
    /** The row of an item that is on the screen, or near it. */
    rowOf: (key: string): FindRow | null => known.get(key) ?? null,
    /** Rows as they were are out of date. */
    forget: () => known.clear(),
  }
}
