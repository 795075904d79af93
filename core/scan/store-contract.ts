import { TableBuilder, textAt, textColumn } from '../tables'
import type { ReadPage } from './read-page'
import { newScan } from './scan-entry'
import { noLimits, type ScanPlan } from './scan-plan'
import type { ScanEntry } from './scan-entry'
import type { ScanStore } from './scan-ports'

const plan: ScanPlan = { source: 'farholt', by: 'term', value: 'feeder', limits: noLimits }

/** For tests: a page of listings with these ids. */
export function pageOf(...ids: string[]): ReadPage {
  const builder = new TableBuilder([{ name: 'id', type: 'text' }])
  ids.forEach((id) => builder.add({ id }))
  const rejected = [{ row: 9, reason: 'no price', cells: [] }]
  return { table: builder.finish(), rejected, discarded: { leastUnits: 2 } }
}

/** For tests: what each place where scans rest must do, in memory as in the browser. */
export function keepsScans(make: () => Promise<{ store: ScanStore; add: (scan: ScanEntry) => Promise<void> }>): void {
  async function begun() {
    const { store, add } = await make()
    await add(newScan('s1', plan, { pages: 2, total: 4 }))
    return store
  }
  const idsOf = async (store: ScanStore) => {
    const ids: (string | null)[][] = []
    for await (const { table } of store.pages('s1'))
      ids.push(Array.from({ length: table.rows }, (_, row) => textAt(textColumn(table, 'id'), row)))
    return ids
  }

  test('a page is kept and counted once, and pages come in their order', async () => {
    const store = await begun()
    await store.keepPage('s1', 1, pageOf('c'))
    await store.keepPage('s1', 0, pageOf('a', 'b'))
    const now = await store.keepPage('s1', 1, pageOf('d', 'e'))
    expect(now).toMatchObject({ pagesDone: 2, taken: 3, rejected: 2, discarded: { leastUnits: 4 } })
    expect(await store.pagesDone('s1')).toEqual(new Set([0, 1]))
    expect(await idsOf(store)).toEqual([['a', 'b'], ['c']])
  })

  test('some facts change and the others stay; nothing comes into a scan that is not there', async () => {
    const store = await begun()
    expect(await store.change('s1', { state: 'paused', note: 'x' })).toMatchObject({ state: 'paused', total: 4 })
    expect(await store.read('s1')).toMatchObject({ state: 'paused', note: 'x', plan })
    expect(await store.change('s2', { state: 'paused' })).toBeNull()
    expect(await store.keepPage('s2', 0, pageOf('a'))).toBeNull()
    expect(await store.read('s2')).toBeNull()
    expect((await store.pagesDone('s2')).size).toBe(0)
  })

  test('what is done has no pages left', async () => {
    const store = await begun()
    await store.keepPage('s1', 0, pageOf('a', 'b'))
    await store.keepSegment('s1', 0, pageOf('a', 'b').table)
    await store.finish(newScan('s1', plan, { state: 'done', taken: 2 }), [2], [])
    expect(await store.read('s1')).toMatchObject({ state: 'done', taken: 2 })
    expect(await idsOf(store)).toEqual([])
  })
}
