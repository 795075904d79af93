import fc from 'fast-check'
import { Problem } from '../problem'
import { numberAt, numbers, textAt, textColumn } from '../tables'
import { MemoryScans } from './memory-scans'
import { runScan } from './run-scan'
import { newScan } from './scan-entry'
import { noLimits, pageSize, type ScanPlan } from './scan-plan'
import type { ScanSource } from './scan-ports'
import { keepsScans, pageOf } from './store-contract'

describe('in memory', () => {
  keepsScans(async () => {
    const store = new MemoryScans()
    return { store, add: async (scan) => store.add(scan) }
  })
})

const plan: ScanPlan = { source: 'far', by: 'term', value: 'bell', limits: noLimits }
const listing = (n: number) => ({ id: `L${n}`, title: `Cow bell no ${n}`, price: 5 + n, currency: 'EUR', units: n % 9 })

/** A list of so many records; every further page begins with the record that the page before ended with. */
function sourceOf(count: number, before: (page: number) => void = () => undefined) {
  const asked: number[] = []
  const source: ScanSource = {
    about: async () => ({ page: { name: 'Farholt', currency: 'EUR' } }),
    page: async (_, page, asOf) => {
      before(page)
      asked.push(page)
      const from = Math.max(0, page * pageSize - (page > 0 ? 1 : 0))
      const records = Array.from({ length: count }, (_, n) => listing(n)).slice(from, (page + 1) * pageSize)
      return { page: { total: count, asOf: asOf || 'first', capturedOn: '2026-05-31', windowDays: 30, records } }
    },
  }
  return { source, asked }
}
const calm = { now: 7, random: () => 0, sleep: async () => undefined }
function stored(store: MemoryScans, id = 's') {
  const tables = store.segments.get(id) ?? []
  return tables.flatMap((t) =>
    Array.from({ length: t.rows }, (_, row) => [textAt(textColumn(t, 'id'), row), numberAt(numbers(t, 'price'), row)]),
  )
}
function begun(some = {}) {
  const store = new MemoryScans()
  store.add(newScan('s', { ...plan, ...some }))
  return store
}
const wanted = (count: number) => Array.from({ length: count }, (_, n) => [`L${n}`, (5 + n) * 10_000])

test('every record comes once, in parts, though some stand on two pages', async () => {
  const store = begun()
  const { source } = sourceOf(950)
  const heard: string[] = []
  const done = await runScan('s', {
    ...calm,
    store,
    source,
    segmentRows: 300,
    onProgress: (s) => heard.push(`${s.state} ${s.pagesDone}`),
  })
  expect(done).toMatchObject({ state: 'done', taken: 950, total: 950, pages: 5, market: 'Farholt', endedAt: 7 })
  expect(stored(store)).toEqual(wanted(950))
  expect(store.imports.get('s')?.segments).toEqual([400, 400, 150])
  expect(heard[0]).toBe('running 0')
  expect(heard.at(-1)).toBe('done 5')
})

test('a scan that is paused, refused, or whose pages spoil ends as one that ran through', () =>
  fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 1100 }),
      fc.array(fc.record({ after: fc.integer({ min: 1, max: 4 }), how: fc.constantFrom('pause', 'refuse', 'spoil') }), {
        maxLength: 4,
      }),
      async (count, stops) => {
        const store = begun()
        for (const { after, how } of stops) {
          const stop = new AbortController()
          let n = 0
          const run = sourceOf(count, () => {
            if (++n <= after) return
            if (how === 'refuse') throw new Problem('source-refused', { reason: 'enough' })
            stop.abort()
          })
          const end = await runScan('s', { ...calm, store, source: run.source, signal: stop.signal }).then(
            () => 'done',
            (e: Problem) => e.code,
          )
          const state = store.scans.get('s')?.state
          expect(state).toBe(end === 'done' ? 'done' : end === 'cancelled' ? 'paused' : 'failed')
          if (end === 'done') break
          if (how !== 'spoil') continue
          for await (const page of store.pages('s')) {
            store.spoilt.add(page)
            break
          }
        }
        if (store.scans.get('s')?.state !== 'done')
          await runScan('s', { ...calm, store, source: sourceOf(count).source })
        expect(stored(store)).toEqual(wanted(count))
        const scan = store.scans.get('s')
        expect(scan).toMatchObject({ state: 'done', taken: count, pagesDone: Math.ceil(count / pageSize), note: '' })
      },
    ),
    { numRuns: 150 },
  ))

test('pages that rest are not asked for again', async () => {
  const store = begun()
  const stop = new AbortController()
  const first = sourceOf(900, (page) => page === 4 && stop.abort())
  await expect(runScan('s', { ...calm, store, source: first.source, signal: stop.signal })).rejects.toMatchObject({
    code: 'cancelled',
  })
  const kept = await store.pagesDone('s')
  expect(kept).toEqual(new Set([0, 1, 2, 3]))
  const then = sourceOf(900)
  await runScan('s', { ...calm, store, source: then.source })
  expect(then.asked).toEqual([4])
})

test('what the source refuses is told, and what fails in passing is asked for again', async () => {
  const refusing = begun()
  const refused: ScanSource = {
    ...sourceOf(1).source,
    page: async () => ({ refused: 'no such category' }),
  }
  await expect(runScan('s', { ...calm, store: refusing, source: refused })).rejects.toMatchObject({
    code: 'source-refused',
  })
  expect(refusing.scans.get('s')?.state).toBe('failed')
  expect(refusing.scans.get('s')?.note).toContain('no such category')

  const store = begun()
  const { source } = sourceOf(250)
  let busy = 3
  const waits: number[] = []
  const failing: ScanSource = {
    ...source,
    page: async (...args) =>
      args[2] !== '' && busy-- > 0 ? { again: 'it answered 429', afterMs: 40 } : source.page(...args),
  }
  const done = await runScan('s', { ...calm, store, source: failing, sleep: async (ms) => void waits.push(ms) })
  expect([done.retries, done.taken]).toEqual([3, 250])
  expect(waits).toEqual([40, 40, 40])

  const silent = begun()
  const about: ScanSource = { ...source, about: async () => ({ again: 'it does not answer', afterMs: null }) }
  await expect(runScan('s', { ...calm, store: silent, source: about })).rejects.toMatchObject({
    code: 'source-refused',
  })
})

test('a scan by identifiers has as many pages as they fill, and none is a scan without an import', async () => {
  const value = Array.from({ length: 450 }, (_, n) => `L${n}`).join(' ')
  const store = begun({ by: 'ids', value })
  const done = await runScan('s', { ...calm, store, source: sourceOf(7).source })
  expect([done.total, done.pages]).toEqual([450, 3])
  const none = begun()
  expect(await runScan('s', { ...calm, store: none, source: sourceOf(0).source })).toMatchObject({
    state: 'done',
    taken: 0,
    pages: 1,
  })
  expect(none.imports.size).toBe(0)
})

test('one that is given up while it runs becomes nothing; one that cannot be kept lets its parts go and says why', async () => {
  const gone = begun()
  const { source } = sourceOf(900, (page) => page === 1 && gone.scans.delete('s'))
  await expect(runScan('s', { ...calm, store: gone, source })).rejects.toMatchObject({ code: 'cancelled' })
  expect([gone.imports.size, gone.scans.size]).toEqual([0, 0])

  const full = begun()
  full.finish = () => Promise.reject(new Problem('storage-full'))
  await expect(runScan('s', { ...calm, store: full, source: sourceOf(300).source })).rejects.toMatchObject({
    code: 'storage-full',
  })
  expect(full.segments.has('s')).toBe(false)
  expect(full.scans.get('s')).toMatchObject({ state: 'failed', pagesDone: 2 })
})

test('limits leave out what they say, and count it', async () => {
  const store = begun({ limits: { ...noLimits, leastUnits: 5 } })
  const done = await runScan('s', { ...calm, store, source: sourceOf(90).source })
  // of nine in a row, those that sold 5 to 8
  expect(done).toMatchObject({ taken: 40, discarded: { leastUnits: 50 } })
})

test('what came in before is merged with what comes now', async () => {
  const store = begun()
  await store.change('s', { pages: 2, total: 202, market: 'Farholt' })
  await store.keepPage('s', 0, pageOf('L0', 'L1'))
  const done = await runScan('s', { ...calm, store, source: sourceOf(202).source })
  expect(done.taken).toBe(5)
})

test('a record that cannot be taken is told by its place in the whole scan', async () => {
  const store = begun()
  const { source } = sourceOf(250)
  const spoiling: ScanSource = {
    ...source,
    page: async (...args) => {
      const got = await source.page(...args)
      if (args[1] === 1 && 'page' in got) got.page.records[3] = { id: 'x' }
      return got
    },
  }
  await runScan('s', { ...calm, store, source: spoiling })
  // the fourth of the second page of two hundred
  expect(store.imports.get('s')?.rejected.map((r) => r.row)).toEqual([204])
})
