import { strToU8, unzipSync, zipSync } from 'fflate'
import { noCorrections, plainRules } from '@sickle/core/catalog'
import { TableBuilder } from '@sickle/core/tables'
import { restoreBackup, writeBackup } from './backup'
import { openDatabase, type Database, type ImportEntry } from './database'
import { readDocument, writeDocument } from './documents'
import { listImports, loadCapture, removeImport, saveImport } from './imports'
import { readSnapshot, snapshotPrint, writeSnapshot } from './snapshot'

let db: Database
let n = 0
beforeEach(async () => {
  db = await openDatabase(`test-${n++}`)
})
afterEach(() => db.close())

const table = new TableBuilder([
  { name: 'title', type: 'text' },
  { name: 'price', type: 'number' },
])
  .add({ title: 'Bird bath', price: 120_000 })
  .add({ title: null, price: null })
  .add({ title: 'Bird bath', price: -0.5 })
  .finish()
const entry = (id: string): ImportEntry => ({
  id,
  file: `${id}.csv`,
  kind: 'listings',
  from: 'Marrowgate',
  rows: 3,
  taken: 3,
  rejected: 1,
  doubts: 0,
  capturedOn: 20604,
  windowDays: 30,
  importedAt: 5,
  fileBytes: 99,
  columns: ['title', 'price'],
  demo: false,
})
const rejects = {
  headings: ['a'],
  rejected: [{ row: 2, reason: 'no price', cells: ['x', null, 1] }],
  more: 0,
  doubts: [],
}
const all = async (d: Database) => ({
  imports: await d.getAll('imports'),
  columns: await d.getAll('columns'),
  rejects: await d.getAll('rejects'),
  documents: await d.getAll('documents'),
})

test('an import is kept column by column and comes back as it was; removed, nothing of it is left', async () => {
  await saveImport(db, entry('a'), table, rejects)
  expect(await loadCapture(db, entry('a'))).toEqual({
    id: 'a',
    kind: 'listings',
    capturedOn: 20604,
    windowDays: 30,
    table,
  })
  await saveImport(db, entry('b'), table, rejects)
  await removeImport(db, 'a')
  expect((await listImports(db)).map((e) => e.id)).toEqual(['b'])
  expect(await db.count('columns')).toBe(2)
  expect(await db.count('rejects')).toBe(1)
})

test('documents are plain data', async () => {
  await writeDocument(db, 'cuts', [{ name: 'x', limit: undefined }])
  expect(await readDocument(db, 'cuts')).toEqual([{ name: 'x' }])
  expect(await readDocument(db, 'drafts')).toBeNull()
})

test('a backup goes out and back identical, to the byte', async () => {
  await saveImport(db, entry('a'), table, rejects)
  await writeDocument(db, 'sheaves', { open: 'first', sheaves: [] })
  const bytes = await writeBackup(db)
  const other = await openDatabase(`test-${n++}`)
  await saveImport(other, entry('old'), table, rejects)
  await restoreBackup(other, bytes, 'x.sickle')
  expect(await all(other)).toEqual(await all(db))
  expect(Buffer.from(await writeBackup(other)).equals(Buffer.from(bytes))).toBe(true)
  other.close()
})

test('a damaged backup is refused with the reason, and nothing is changed', async () => {
  await saveImport(db, entry('a'), table, rejects)
  await writeDocument(db, 'cuts', [])
  const bytes = await writeBackup(db)
  const before = await all(db)
  const files = unzipSync(bytes)
  const without = (path: string) => zipSync(Object.fromEntries(Object.entries(files).filter(([p]) => p !== path)))
  const cases: [Uint8Array, string, RegExp][] = [
    [bytes.slice(0, 200), 'backup-damaged', /no zip, or cut off/],
    [new Uint8Array(0), 'backup-damaged', /no zip/],
    [without('manifest.json'), 'backup-damaged', /manifest.json is missing/],
    [without('columns/a/price.f64'), 'backup-damaged', /price.f64 is missing/],
    [zipSync({ ...files, 'documents/cuts.json': strToU8('[1]') }), 'backup-damaged', /cuts.json was changed/],
    [
      zipSync({ 'manifest.json': strToU8('{"format":"sickle-backup","version":2,"entries":{}}') }),
      'backup-newer',
      /newer Sickle/,
    ],
    [zipSync({ 'manifest.json': strToU8('null') }), 'backup-damaged', /manifest/],
  ]
  for (const [damaged, code, message] of cases) {
    await expect(restoreBackup(db, damaged, 'x.sickle')).rejects.toMatchObject({
      code,
      message: expect.stringMatching(message) as string,
    })
    expect(await all(db)).toEqual(before)
  }
})

test('every single flipped byte is either harmless padding or refused; none gets wrong data in', async () => {
  await saveImport(db, entry('a'), table, rejects)
  const bytes = await writeBackup(db)
  const before = await all(db)
  for (let i = 0; i < bytes.length; i += 7) {
    const damaged = bytes.slice()
    damaged[i]! ^= 0x55
    await restoreBackup(db, damaged, 'x.sickle').catch((e: { code: string }) => expect(e.code).toMatch(/^backup/))
    expect(await all(db)).toEqual(before)
  }
})

test('a snapshot is taken up only where it was worked out from the very same', async () => {
  const catalog = { items: [], offers: [], placeOf: new Map([['a', 1]]), listings: 7 }
  const print = snapshotPrint([entry('a')], plainRules('EUR'), noCorrections)
  await writeSnapshot(db, print, catalog)
  expect(await readSnapshot(db, print)).toEqual(catalog)
  expect(await readSnapshot(db, snapshotPrint([entry('b')], plainRules('EUR'), noCorrections))).toBeNull()
  expect(await readSnapshot(db, snapshotPrint([entry('a')], plainRules('USD'), noCorrections))).toBeNull()
})
