import { newScan, noLimits, type ReadPage, type ScanEntry, type ScanPlan } from '@sickle/core/scan'
import { TableBuilder } from '@sickle/core/tables'
import { openDatabase } from './database'
import type { ImportEntry } from './schema'
import { listImports, saveSegment, sweepUnfinished } from './imports'
import { addScan, changeScan, dropScan, finishScan, keepPage, keptPages, listScans, pagesDone } from './scans'

let n = 0
const fresh = () => openDatabase(`scans-${n++}`)
const plan: ScanPlan = { source: 'farholt', by: 'term', value: 'feeder', limits: noLimits }
const scan = newScan('s1', plan, { market: 'Farholt', total: 4, pages: 2, asOf: 'x', capturedOn: 20_604, startedAt: 1 })
const page = (...ids: string[]): ReadPage => {
  const builder = new TableBuilder([{ name: 'id', type: 'text' }])
  ids.forEach((id) => builder.add({ id }))
  return {
    table: builder.finish(),
    rejected: [{ row: 9, reason: 'no price', cells: [] }],
    discarded: { leastUnits: 2 },
  }
}
const entry: ImportEntry = {
  id: 's1',
  file: 'Scan',
  kind: 'listings',
  from: 'Farholt',
  rows: 3,
  taken: 3,
  rejected: 0,
  doubts: 0,
  capturedOn: 20_604,
  windowDays: 30,
  importedAt: 2,
  fileBytes: 0,
  segments: [3],
  demo: false,
}

test('a page that comes twice is kept and counted once; pages come back in their order', async () => {
  const db = await fresh()
  await addScan(db, scan)
  await keepPage(db, 's1', 1, page('c'))
  await keepPage(db, 's1', 0, page('a', 'b'))
  const now = await keepPage(db, 's1', 1, page('c'))
  expect(now).toMatchObject({ pagesDone: 2, taken: 3, rejected: 2, discarded: { leastUnits: 4 } })
  expect(await pagesDone(db, 's1')).toEqual(new Set([0, 1]))
  const rows: number[] = []
  for await (const { table } of keptPages(db, 's1')) rows.push(table.rows)
  expect(rows).toEqual([2, 1])
})

test('a scan that is done is an import and has no pages; one whose segments are gone is not done', async () => {
  const db = await fresh()
  await addScan(db, scan)
  await keepPage(db, 's1', 0, page('a', 'b', 'c'))
  const done: ScanEntry = { ...scan, state: 'done' }
  await expect(finishScan(db, done, entry, [], [])).rejects.toMatchObject({ code: 'import-lost' })
  expect([await listImports(db), (await listScans(db))[0]?.state]).toEqual([[], 'running'])
  await saveSegment(db, 's1', 0, page('a', 'b', 'c').table)
  await finishScan(db, done, entry, [], [])
  await sweepUnfinished(db)
  expect((await listImports(db)).map((i) => i.id)).toEqual(['s1'])
  expect([await db.count('scanPages'), await db.count('columns'), (await listScans(db))[0]?.state]).toEqual([
    0,
    1,
    'done',
  ])
})

test('a scan that is cancelled leaves nothing, and nothing more comes in', async () => {
  const db = await fresh()
  await addScan(db, scan)
  await keepPage(db, 's1', 0, page('a'))
  await dropScan(db, 's1')
  expect(await keepPage(db, 's1', 1, page('b'))).toBeNull()
  expect(await changeScan(db, 's1', { state: 'paused' })).toBeNull()
  expect([await db.count('scans'), await db.count('scanPages')]).toEqual([0, 0])
})
