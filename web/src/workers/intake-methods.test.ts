import Papa from 'papaparse'
import { unzipSync, strFromU8 } from 'fflate'
import { fileOf } from '@/testing/file-of'
import { bringAll, listingsCsv, testBench } from '@/testing/workbench'
import { openDatabase } from '@/storage/database'
import { listImports } from '@/storage/imports'

const bench = testBench()
const { intake } = bench.services

test('a file is planned, previewed and brought in with progress; what cannot be taken is kept with its reason', async () => {
  const file = fileOf('market.csv', `${listingsCsv}A6,Nest box,Wren,free,0,1,4,1,Garden,\n`)
  const { proposal, file: summary } = await intake.call('plan', [file, null, bench.clock.now])
  expect([proposal.mapping.kind, summary.headings.length, summary.firstRows.length]).toEqual(['listings', 10, 6])
  const mapping = { ...proposal.mapping, market: 'Marrowgate' }
  const preview = await intake.call('preview', [file, null, mapping])
  expect(JSON.stringify(preview)).toContain('Balcony hook')
  const told: unknown[] = []
  const about = { id: 'first', now: 5, demo: false }
  const { entry, rejects } = await intake.call('run', [file, null, mapping, about], { onProgress: (p) => told.push(p) })
  expect(entry).toMatchObject({ id: 'first', rows: 5, taken: 5, rejected: 1, from: 'Marrowgate', segments: [5] })
  expect(rejects.rejected[0]?.reason).toBe("no usable price ('free')")
  const db = await openDatabase()
  const [kept] = await listImports(db)
  expect(kept).toMatchObject({ id: 'first', rows: 5 })
  expect(kept?.columns?.[0]).toEqual(expect.arrayContaining(['id', 'price', 'title', 'units']))
  db.close()
})

test('a file that is cancelled leaves nothing behind', async () => {
  const file = fileOf('other.csv', listingsCsv)
  const { proposal } = await intake.call('plan', [file, null, bench.clock.now])
  const stop = AbortSignal.abort()
  const about = { id: 'stopped', now: 6, demo: false }
  await expect(
    intake.call('run', [file, null, { ...proposal.mapping, market: 'M' }, about], { signal: stop }),
  ).rejects.toMatchObject({ code: 'cancelled' })
  const db = await openDatabase()
  expect((await db.getAllKeys('columns')).filter(([id]) => id === 'stopped')).toEqual([])
  expect((await listImports(db)).map((e) => e.id)).toEqual(['first'])
  db.close()
})

test('records are shown page by page, and leave as CSV and as a Data Package with their units', async () => {
  const page = await intake.call('records', ['first', 1, 2])
  expect([page.total, page.rows.length]).toEqual([5, 2])
  const price = page.columns.findIndex((c) => c.name === 'price')
  expect(page.rows.map((r) => r[price])).toEqual([11.5, 24])
  expect(await intake.call('records', ['nothing', 0, 2])).toMatchObject({ total: 0, rows: [] })
  const csv = new TextDecoder().decode(await intake.call('exportRecords', ['first', 'csv', 'Listings']))
  const { data } = Papa.parse<Record<string, string>>(csv.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: true,
  })
  expect(data.map((r) => r['Category path'] ?? r.Category)).toEqual([
    'Garden / Hooks',
    'Garden / Hooks',
    'Garden / Birds',
    'Garden / Birds',
    'Garden / Tools',
  ])
  const files = unzipSync(await intake.call('exportPackage', [bench.clock.now]))
  const about = JSON.parse(strFromU8(files['datapackage.json']!)) as { resources: { path: string; name: string }[] }
  expect(about.resources.map((r) => r.name)).toEqual(['listings-marrowgate'])
  expect(Object.keys(files)).toContain(about.resources[0]?.path)
})

test('a backup goes out and back; one that makes no sense changes nothing', async () => {
  const { bytes, left } = await intake.call('backup', [])
  expect(left).toEqual([])
  await bringAll(bench)
  const db = await openDatabase()
  expect((await listImports(db)).length).toBe(5)
  await expect(intake.call('restore', [fileOf('b.sickle', bytes.slice(0, 300))])).rejects.toMatchObject({
    code: 'backup-damaged',
  })
  expect((await listImports(db)).length).toBe(5)
  await intake.call('restore', [fileOf('b.sickle', bytes)])
  expect((await listImports(db)).map((e) => e.id)).toEqual(['first'])
  db.close()
})
