import { strToU8, zipSync, type Zippable } from 'fflate'
import type { ArchiveSource } from '@sickle/core/archive'
import { Problem } from '@sickle/core/problem'
import { fromStored, packWords, toStored, type StoredColumn } from '@sickle/core/tables'
import { guardWrite, type Database } from './database'
import { documentNames } from './documents'
import { format, mostUnpacked, readBackup, sha256, version, type Manifest } from './read-backup'

/** The same workspace gives the same bytes: no clock in the file. */
const mtime = new Date('1990-01-01T00:00:00Z')

/**
 * The whole workspace as one file: a zip of documents and imports as JSON, columns as little-endian arrays, and a manifest with the
 * SHA-256 of each.
 *
 * @throws Problem 'backup-large'
 */
export async function writeBackup(db: Database): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {}
  for (const name of documentNames) {
    const value = await db.get('documents', name)
    if (value !== undefined) files[`documents/${name}.json`] = strToU8(JSON.stringify(value))
  }
  for (const entry of await db.getAll('imports')) {
    const rejects = (await db.get('rejects', entry.id)) ?? null
    files[`imports/${entry.id}.json`] = strToU8(JSON.stringify({ entry, rejects }))
    for (const [id, segment, name] of await db.getAllKeys('columns', IDBKeyRange.bound([entry.id], [entry.id, []]))) {
      const column = await db.get('columns', [id, segment, name])
      if (column) Object.assign(files, columnFiles(`columns/${id}/${segment}/${name}`, column))
    }
  }
  const entries: Record<string, string> = {}
  for (const [path, bytes] of Object.entries(files).sort(([a], [b]) => (a < b ? -1 : 1)))
    entries[path] = await sha256(bytes)
  const size = Object.values(files).reduce((n, b) => n + b.length, 0)
  // what could not be read back would be no backup
  if (size > mostUnpacked)
    throw new Problem('backup-large', {
      file: 'the backup',
      megabytes: Math.ceil(size / 1e6),
      limit: mostUnpacked / 1e6,
    })
  const manifest: Manifest = { format, version, entries }
  const zippable: Zippable = { 'manifest.json': [strToU8(JSON.stringify(manifest)), { mtime }] }
  for (const path of Object.keys(entries)) zippable[path] = [files[path] as Uint8Array, { level: 6, mtime }]
  return zipSync(zippable)
}

/**
 * Puts a backup in place of the workspace. Everything is read and checked before the first write, and all writes are one
 * transaction: a damaged file, or a full disk, changes nothing.
 *
 * @throws Problem 'backup-damaged', 'backup-large', 'backup-newer', 'storage-full'
 */
export async function restoreBackup(db: Database, file: ArchiveSource): Promise<void> {
  const content = await readBackup(file)
  await guardWrite(async () => {
    const tx = db.transaction(['imports', 'columns', 'rejects', 'documents'], 'readwrite')
    for (const store of ['imports', 'columns', 'rejects', 'documents'] as const) void tx.objectStore(store).clear()
    for (const [name, value] of content.documents) void tx.objectStore('documents').put(value, name)
    for (const { entry, rejects, columns } of content.imports) {
      void tx.objectStore('imports').put(entry)
      if (rejects) void tx.objectStore('rejects').put(rejects, entry.id)
      for (const { segment, name, column } of columns)
        void tx.objectStore('columns').put(toStored(fromStored(column)), [entry.id, segment, name])
    }
    await tx.done
  })
}

function columnFiles(path: string, stored: StoredColumn): Record<string, Uint8Array> {
  const column = fromStored(stored)
  if (column.type === 'number') return { [`${path}.f64`]: bytesOf(column.values) }
  const words = packWords(column.words)
  return {
    [`${path}.i32`]: bytesOf(column.codes),
    [`${path}.utf8`]: words.bytes,
    [`${path}.u32`]: bytesOf(words.ends),
  }
}

function bytesOf(array: Int32Array | Uint32Array | Float64Array): Uint8Array {
  return new Uint8Array(array.buffer, array.byteOffset, array.byteLength)
}
