import { strToU8, zipSync } from 'fflate'
import { openDB } from 'idb'
import { emptyQuery } from '@sickle/core/engine'
import { textAt, textColumn } from '@sickle/core/tables'
import { restoreBackup, writeBackup } from './backup'
import { archive } from './archive-of-bytes'
import { databaseVersion, openDatabase } from './database'
import type { ImportEntry } from './schema'
import { readDocument } from './documents'
import { listImports, loadCaptures, readRejects } from './imports'
import { listScans } from './scans'
import { sealed } from './seal'

const oldEntry = {
  id: 'a',
  file: 'a.csv',
  kind: 'listings',
  from: 'Marrowgate',
  rows: 2,
  taken: 2,
  rejected: 0,
  doubts: 0,
  capturedOn: 20604,
  windowDays: 30,
  importedAt: 5,
  fileBytes: 9,
  columns: ['title', 'price'],
  demo: false,
}

const mine = { name: 'mine', ships: false, query: emptyQuery }

/** A workspace as version 1 left it: written by hand, as that version wrote it. */
async function writeVersion1(name: string): Promise<void> {
  const db = await openDB(name, 1, {
    upgrade(opened) {
      opened.createObjectStore('imports', { keyPath: 'id' })
      for (const store of ['columns', 'rejects', 'documents', 'snapshots']) opened.createObjectStore(store)
    },
  })
  await db.put('imports', oldEntry)
  await db.put('columns', { type: 'text', codes: Int32Array.of(0, -1), words: ['Nest box'] }, ['a', 'title'])
  await db.put('columns', { type: 'number', values: Float64Array.of(95_000, NaN) }, ['a', 'price'])
  await db.put('rejects', { headings: [], rejected: [], more: 0, doubts: [] }, 'a')
  await db.put('documents', [{ ...mine, query: { words: '', limits: {}, sort: mine.query.sort } }], 'cuts')
  await db.put('snapshots', { print: 'x', catalog: {} }, 'catalog')
  db.close()
}

async function expectWorkspace(name: string): Promise<void> {
  const db = await openDatabase(name)
  const [entry] = await listImports(db)
  expect(entry).toMatchObject({ id: 'a', rows: 2, segments: [2] })
  const [capture] = entry ? await loadCaptures(db, entry) : []
  const title = capture && textColumn(capture.table, 'title')
  expect(title && [textAt(title, 0), textAt(title, 1)]).toEqual(['Nest box', null])
  expect(capture?.table.columns.price).toEqual({ type: 'number', values: Float64Array.of(95_000, NaN) })
  expect(await readDocument(db, 'cuts')).toEqual([mine])
  expect(await db.count('columns')).toBe(2)
  expect(await db.count('snapshots')).toBe(0)
  db.close()
}

test('a workspace of version 1 is brought up with all it holds', async () => {
  await writeVersion1('old')
  await expectWorkspace('old')
  // And is then of the new form: opened again, nothing is left to do.
  await expectWorkspace('old')
})

test('a workspace of version 2 is brought up with all it holds, and can keep scans', async () => {
  const { columns: _, ...entry } = oldEntry
  const db = await openDB('second', 2, {
    upgrade(opened) {
      opened.createObjectStore('imports', { keyPath: 'id' })
      for (const store of ['columns', 'rejects', 'documents', 'snapshots']) opened.createObjectStore(store)
    },
  })
  await db.put('imports', { ...entry, segments: [2] })
  const words = { bytes: strToU8('Nest box'), ends: Uint32Array.of(8) }
  await db.put('columns', { type: 'text', codes: Int32Array.of(0, -1), words }, ['a', 0, 'title'])
  await db.put('columns', { type: 'number', values: Float64Array.of(95_000, NaN) }, ['a', 0, 'price'])
  await db.put('documents', [{ ...mine, query: { words: '', limits: {}, sort: mine.query.sort } }], 'cuts')
  db.close()
  await expectWorkspace('second')
  const now = await openDatabase('second')
  expect([await now.count('scans'), await now.count('scanPages')]).toEqual([0, 0])
  now.close()
})

test('a workspace of a newer version is left alone, with a clear word', async () => {
  const newer = await openDB('newer', 99, { upgrade: (db) => void db.createObjectStore('imports', { keyPath: 'id' }) })
  newer.close()
  await expect(openDatabase('newer')).rejects.toMatchObject({ code: 'storage-newer' })
})

test('a backup of format 1 comes in', async () => {
  const bytes = (array: Int32Array | Float64Array) => new Uint8Array(array.buffer)
  const files: Record<string, Uint8Array> = {
    'documents/cuts.json': strToU8(JSON.stringify([mine])),
    'imports/a.json': strToU8(JSON.stringify({ entry: oldEntry, rejects: null })),
    'columns/a/title.i32': bytes(Int32Array.of(0, -1)),
    'columns/a/title.words.json': strToU8('["Nest box"]'),
    'columns/a/price.f64': bytes(Float64Array.of(95_000, NaN)),
  }
  const entries: Record<string, string> = {}
  for (const [path, content] of Object.entries(files)) {
    const digest = await crypto.subtle.digest('SHA-256', content as Uint8Array<ArrayBuffer>)
    entries[path] = Buffer.from(digest).toString('hex')
  }
  const manifest = strToU8(JSON.stringify({ format: 'sickle-backup', version: 1, entries }))
  const db = await openDatabase('restored')
  await restoreBackup(db, archive(zipSync({ 'manifest.json': manifest, ...files }), 'old.sickle'))
  expect((await writeBackup(db)).bytes.length).toBeGreaterThan(0)
  db.close()
  await expectWorkspace('restored')
})

test('what version 3 kept is sealed as it stands, and from then on a change is found', async () => {
  const { columns: _, ...entry } = oldEntry
  const db = await openDB('third', 3, {
    upgrade(opened) {
      opened.createObjectStore('imports', { keyPath: 'id' })
      opened.createObjectStore('scans', { keyPath: 'id' })
      for (const store of ['columns', 'rejects', 'documents', 'snapshots', 'scanPages']) opened.createObjectStore(store)
    },
  })
  await db.put('imports', { ...entry, segments: [2] })
  const words = { bytes: strToU8('Nest box'), ends: Uint32Array.of(8) }
  await db.put('columns', { type: 'text', codes: Int16Array.of(0, -1), words }, ['a', 0, 'title'])
  await db.put('columns', { type: 'number', values: Float64Array.of(95_000, NaN) }, ['a', 0, 'price'])
  await db.put('rejects', { headings: ['x'], rejected: [], more: 0, doubts: [] }, 'a')
  await db.put('documents', [mine], 'cuts')
  await db.put('scans', {
    id: 's',
    state: 'paused',
    pagesDone: 3,
    taken: 400,
    rejected: 1,
    discarded: { without: 2 },
    startedAt: 1,
  })
  await db.put('scanPages', { rows: 1 }, ['s', 0])
  db.close()
  await expectWorkspace('third')
  const now = await openDatabase('third')
  const [kept] = await listImports(now)
  expect([now.version, kept?.columns, kept?.spoilt]).toEqual([databaseVersion, [['price', 'title']], undefined])
  expect(await readRejects(now, kept as ImportEntry)).toMatchObject({ headings: ['x'] })
  expect((await listScans(now))[0]).toMatchObject({ state: 'paused', pagesDone: 0, taken: 0 })
  expect(await now.count('scanPages')).toBe(0)
  now.close()
})

test('decisions and drafts of version 4 rest one by one afterwards, and what was spoilt before is left as it was', async () => {
  const db = await openDB('fourth', 4, {
    upgrade(opened) {
      opened.createObjectStore('imports', { keyPath: 'id' })
      opened.createObjectStore('scans', { keyPath: 'id' })
      for (const store of ['columns', 'rejects', 'documents', 'snapshots', 'scanPages']) opened.createObjectStore(store)
    },
  })
  const snapshot = { title: 'Nest box', picture: null, profitE4: 20_000, units: 4, listings: 2 }
  const event = { at: 5, key: 'Marrowgate/A1', action: 'keep', text: 'why', snapshot }
  const sheaves = {
    open: 'b',
    sheaves: [
      { id: 'a', name: 'A', events: [event, { ...event, at: 6 }], cursor: 1 },
      { id: 'b', name: 'B', events: [], cursor: 0 },
    ],
  }
  const put = (name: string, value: unknown) => db.put('documents', sealed(['documents', name], { value }), name)
  await put('sheaves', sheaves)
  await put('judgements', { 'Marrowgate/A1': ['show'] })
  await put('corrections', {
    packs: { 'Marrowgate/A1': 2 },
    offers: {},
    costs: {},
    apart: { 'Marrowgate/A2': 'Marrowgate/A1' },
    together: {},
  })
  const drafts = sealed(['documents', 'drafts'], { value: [] })
  await db.put('documents', { ...drafts, value: [{ id: 'changed' }] }, 'drafts')
  db.close()
  const now = await openDatabase('fourth')
  expect(now.version).toBe(databaseVersion)
  expect(await now.getAllKeys('parts')).toEqual([
    ['sheaves', 'a/0'],
    ['sheaves', 'a/1'],
  ])
  expect(await readDocument(now, 'sheaves')).toEqual(sheaves)
  expect(await readDocument(now, 'judgements')).toEqual({ 'Marrowgate/A1': ['show'] })
  expect(await readDocument(now, 'corrections')).toMatchObject({
    packs: { 'Marrowgate/A1': 2 },
    apart: { 'Marrowgate/A2': 'Marrowgate/A1' },
  })
  await expect(readDocument(now, 'drafts')).rejects.toMatchObject({ code: 'document-spoilt' })
  now.close()
})
