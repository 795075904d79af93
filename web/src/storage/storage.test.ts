import { openDB } from 'idb'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { buildCatalog, ItemMaker, noCorrections, plainRules } from '@sickle/core/catalog'
import { emptyQuery, makeFigures } from '@sickle/core/engine'
import { TableBuilder, type Table } from '@sickle/core/tables'
import { restoreBackup, writeBackup } from './backup'
import { archive } from './archive-of-bytes'
import { sha256 } from './read-backup'
import { databaseVersion, openDatabase } from './database'
import type { Database, ImportEntry } from './schema'
import { readDocument, writeDocument } from './documents'
import { enterImport, listImports, loadCaptures, removeImport, saveSegment, sweepUnfinished } from './imports'
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
  segments: [3],
  demo: false,
})
const rejects = {
  headings: ['a'],
  rejected: [{ row: 2, reason: 'no price', cells: ['x', null, 1] }],
  more: 0,
  doubts: [],
}
async function keep(d: Database, id: string): Promise<void> {
  await saveSegment(d, id, 0, table)
  await enterImport(d, entry(id), rejects)
}
const all = async (d: Database) => ({
  imports: await d.getAll('imports'),
  columns: await d.getAll('columns'),
  rejects: await d.getAll('rejects'),
  documents: await d.getAll('documents'),
})

/** Tables as plain texts and numbers, however their words are kept. */
const plainTable = ({ rows, columns }: Table) => ({
  rows,
  columns: Object.fromEntries(
    Object.entries(columns).map(([name, c]) => [
      name,
      c.type === 'text' ? Array.from(c.codes, (code) => c.words.at(code) ?? null) : [...c.values],
    ]),
  ),
})

test('an import is kept segment by segment and column by column and comes back as it was; removed, nothing of it is left', async () => {
  await saveSegment(db, 'a', 0, table)
  await saveSegment(db, 'a', 1, table)
  await enterImport(db, { ...entry('a'), rows: 6, segments: [3, 3] }, rejects)
  const captures = await loadCaptures(db, { ...entry('a'), rows: 6, segments: [3, 3] })
  expect(captures).toMatchObject([{ id: 'a', kind: 'listings', capturedOn: 20604, windowDays: 30 }, { id: 'a' }])
  for (const capture of captures)
    expect(plainTable(capture.table)).toEqual({
      rows: 3,
      columns: { title: ['Bird bath', null, 'Bird bath'], price: [120_000, NaN, -0.5] },
    })
  await keep(db, 'b')
  await removeImport(db, 'a')
  expect((await listImports(db)).map((e) => e.id)).toEqual(['b'])
  expect(await db.count('columns')).toBe(2)
  expect(await db.count('rejects')).toBe(1)
})

test('segments of an import that never ended are swept away, others stay', async () => {
  await keep(db, 'b')
  for (const id of ['a', 'c']) for (const n of [0, 1]) await saveSegment(db, id, n, table)
  await sweepUnfinished(db)
  expect((await db.getAllKeys('columns')).map(([id]) => id)).toEqual(['b', 'b'])
})

test('documents are plain data', async () => {
  const cut = { name: 'x', ships: false, query: emptyQuery }
  await writeDocument(db, 'cuts', [{ ...cut, limit: undefined }])
  expect(await readDocument(db, 'cuts')).toEqual([cut])
  expect(await readDocument(db, 'drafts')).toBeNull()
})

test('a backup goes out and back identical, to the byte', async () => {
  await keep(db, 'a')
  await writeDocument(db, 'sheaves', { open: 'first', sheaves: [{ id: 'first', name: 'Mine', events: [], cursor: 0 }] })
  const { bytes } = await writeBackup(db)
  const other = await openDatabase(`test-${n++}`)
  await keep(other, 'old')
  await restoreBackup(other, archive(bytes))
  expect(await all(other)).toEqual(await all(db))
  expect(Buffer.from((await writeBackup(other)).bytes).equals(Buffer.from(bytes))).toBe(true)
  other.close()
})

test('a damaged backup is refused with the reason, and nothing is changed', async () => {
  await keep(db, 'a')
  await writeDocument(db, 'cuts', [])
  const { bytes } = await writeBackup(db)
  const before = await all(db)
  const files = unzipSync(bytes)
  const without = (path: string) => zipSync(Object.fromEntries(Object.entries(files).filter(([p]) => p !== path)))
  const cases: [Uint8Array, string, RegExp][] = [
    [bytes.slice(0, 200), 'backup-damaged', /no zip, or cut off/],
    [new Uint8Array(0), 'backup-damaged', /no zip/],
    [without('manifest.json'), 'backup-damaged', /manifest.json is missing/],
    [without('columns/a/0/price.f64'), 'backup-damaged', /price.f64 is missing/],
    [zipSync({ ...files, 'documents/cuts.json': strToU8('[1]') }), 'backup-damaged', /cuts.json was changed/],
    [
      zipSync({ 'manifest.json': strToU8('{"format":"sickle-backup","version":3,"entries":{}}') }),
      'backup-newer',
      /newer Sickle/,
    ],
    [zipSync({ 'manifest.json': strToU8('null') }), 'backup-damaged', /manifest/],
    ...(
      [
        ['{"format":"sickle-backup","version":2,"entries":null}', /its manifest: entries is missing/],
        ['{"format":"sickle-backup","version":2,"entries":[]}', /its manifest: entries must be an object/],
        ['{"format":"sickle-backup","version":2,"entries":{}}', /it holds nothing/],
        ['{"format":"sickle-backup","version":"2","entries":{}}', /its manifest: version must be a number/],
        ['{"format":"sickle-backup","version":0.5,"entries":{}}', /its manifest: version must be/],
        ['{"format":"sickle-backup","version":2,"entries":{"a":"x"}}', /its manifest: a of entries is no SHA-256/],
        ['{"format":"sickle-backup","version":2,"entries":{},"more":1}', /its manifest: it has parts .* more/],
        ['{"format":"other","version":2,"entries":{}}', /manifest is not one of Sickle/],
      ] as const
    ).map(([manifest, why]): [Uint8Array, string, RegExp] => [
      zipSync({ 'manifest.json': strToU8(manifest) }),
      'backup-damaged',
      why,
    ]),
    [
      zipSync({ ...files, 'documents/rules.json': strToU8('{}') }),
      'backup-damaged',
      /rules.json is not in its manifest/,
    ],
    [await resealed(files, 'documents/rules.json', strToU8('{}')), 'backup-damaged', /rules.json: .* is missing/],
    [
      await resealed(files, 'documents/settings.json', strToU8('{"theme":"loud"}')),
      'backup-damaged',
      /settings.json: theme/,
    ],
    [
      await resealed(files, 'documents/sheaves.json', strToU8('{"open":"a","sheaves":[]}')),
      'backup-damaged',
      /holds no sheaf/,
    ],
    [
      await resealed(files, 'documents/prices.json', strToU8('{"a":-1}')),
      'backup-damaged',
      /prices.json: a must be an amount/,
    ],
    [
      await resealed(files, 'imports/a.json', importJson({ segments: [-3] })),
      'backup-damaged',
      /segment 1 of entry must be/,
    ],
    [
      await resealed(files, 'imports/a.json', importJson({ kind: 'wishes' })),
      'backup-damaged',
      /kind of entry must be/,
    ],
    [await resealed(files, 'imports/a.json', importJson({ id: 'b' })), 'backup-damaged', /it is of another import/],
    [
      await resealed(files, 'imports/a.json', importJson({ segments: [3, 3] })),
      'backup-damaged',
      /every column of part 2/,
    ],
    [
      await resealed(files, 'imports/a.json', importJson({ columns: [['price', 'title', 'units']] })),
      'backup-damaged',
      /column units of part 1/,
    ],
    [await resealed(files, 'documents/cuts.json', strToU8('null')), 'backup-damaged', /cuts.json: it is missing/],
    [await resealed(files, 'documents/cuts.json', strToU8('{oops')), 'backup-damaged', /cuts.json cannot be read/],
    [await resealed(files, 'imports/a.json', strToU8('null')), 'backup-damaged', /a.json: it is missing/],
    [
      await resealed(files, 'imports/a.json', strToU8('{"entry":null}')),
      'backup-damaged',
      /a.json: (entry|rejects) is missing/,
    ],
    [
      await resealed(files, 'columns/a/0/price.f64', new Uint8Array(new Float64Array([1, Infinity, 2]).buffer)),
      'backup-damaged',
      /price of .* does not fit/,
    ],
  ]
  for (const [damaged, code, message] of cases) {
    await expect(restoreBackup(db, archive(damaged))).rejects.toMatchObject({
      code,
      message: expect.stringMatching(message) as string,
    })
    expect(await all(db)).toEqual(before)
  }
})

const importJson = (some: object) => strToU8(JSON.stringify({ entry: { ...entry('a'), ...some }, rejects }))

/** The same backup with another content of one entry, and a right sum for it: not damaged on the way, but wrong. */
async function resealed(files: Record<string, Uint8Array>, path: string, bytes: Uint8Array): Promise<Uint8Array> {
  const manifest = JSON.parse(strFromU8(files['manifest.json'] as Uint8Array)) as { entries: Record<string, string> }
  manifest.entries[path] = await sha256(bytes)
  return zipSync({ ...files, [path]: bytes, 'manifest.json': strToU8(JSON.stringify(manifest)) })
}

test('a backup that unpacks to more than fits is refused before it is unpacked', async () => {
  const bytes = zipSync({ 'manifest.json': strToU8('{}') })
  // the directory says 4 GB; what is packed is small
  const view = new DataView(bytes.buffer)
  const at = bytes.length - 22
  view.setUint32(view.getUint32(at + 16, true) + 24, 0xfffffff0, true)
  await expect(restoreBackup(db, archive(bytes))).rejects.toMatchObject({ code: 'backup-large' })
  // and one that says little but unpacks to much is stopped on its way
  const bomb = zipSync({ 'manifest.json': new Uint8Array(50_000_000) })
  const lie = new DataView(bomb.buffer)
  lie.setUint32(lie.getUint32(bomb.length - 22 + 16, true) + 24, 1000, true)
  await expect(restoreBackup(db, archive(bomb))).rejects.toMatchObject({ code: 'backup-damaged' })
})

test('every single flipped byte is either harmless padding or refused; none gets wrong data in', async () => {
  await keep(db, 'a')
  const { bytes } = await writeBackup(db)
  const before = await all(db)
  for (let i = 0; i < bytes.length; i += 7) {
    const damaged = bytes.slice()
    damaged[i]! ^= 0x55
    await restoreBackup(db, archive(damaged)).catch((e: { code: string }) => expect(e.code).toMatch(/^backup/))
    expect(await all(db)).toEqual(before)
  }
})

test('a snapshot is taken up only where it was worked out from the very same', async () => {
  await keep(db, 'a')
  const catalog = await buildCatalog(await loadCaptures(db, entry('a')))
  const rules = plainRules('EUR')
  const figures = await makeFigures(new ItemMaker(catalog, rules, noCorrections))
  const print = snapshotPrint([entry('a')], rules, noCorrections)
  const first = {
    summary: { items: 1, listings: 1, offers: 0, stores: 0, branches: 0, markets: [], noRate: [], figuresTo: 20604 },
    rows: [],
    places: [],
  }
  await writeSnapshot(db, print, { catalog, figures }, first)
  const read = await readSnapshot(db, print)
  expect(read && plainTable(read.figures)).toEqual(plainTable(figures))
  expect(read?.first).toEqual(first)
  const rest = await read?.catalog()
  expect(rest && plainTable(rest.listings)).toEqual(plainTable(catalog.listings))
  expect(rest?.members).toEqual(catalog.members)
  expect(await readSnapshot(db, snapshotPrint([entry('b')], rules, noCorrections))).toBeNull()
  expect(await readSnapshot(db, snapshotPrint([entry('a')], plainRules('USD'), noCorrections))).toBeNull()
})

test('the newest import counts as the newest, though the clock was set back', async () => {
  await saveSegment(db, 'a', 0, table)
  await enterImport(db, { ...entry('a'), importedAt: 9_000_000 }, rejects)
  await saveSegment(db, 'b', 0, table)
  await enterImport(db, { ...entry('b'), importedAt: 9_000_000 - 3_600_000 }, rejects)
  expect((await listImports(db)).map((e) => e.id)).toEqual(['a', 'b'])
})

test('a tab of an older version that holds the workspace is told of at once', async () => {
  const older = await openDB('held', 3, {
    upgrade(db) {
      for (const name of ['imports', 'scans']) db.createObjectStore(name, { keyPath: 'id' })
      for (const name of ['columns', 'rejects', 'documents', 'snapshots', 'scanPages']) db.createObjectStore(name)
    },
  })
  let told = () => {}
  const isTold = new Promise<void>((resolve) => (told = resolve))
  const opening = openDatabase('held', { onBlocked: () => told() })
  await isTold
  older.close()
  const now = await opening
  expect(now.version).toBe(databaseVersion)
  now.close()
})
