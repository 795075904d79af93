import { strToU8, zipSync, type Zippable } from 'fflate'
import type { ArchiveSource } from '@sickle/core/archive'
import { Problem } from '@sickle/core/problem'
import { fromStored, packWords, toStored, type StoredColumn } from '@sickle/core/tables'
import { guardWrite } from './guard-write'
import type { Database, Rejects } from './schema'
import { documentNames } from './document-forms'
import { putDocument, readDocument } from './documents'
import { auditImport, listImports, readRejects, restingColumn } from './imports'
import { sealed } from './seal'
import { format, mostUnpacked, readBackup, sha256, version, type Manifest } from './read-backup'

/** The same workspace gives the same bytes: no clock in the file. */
const mtime = new Date('1990-01-01T00:00:00Z')

/**
 * The whole workspace as one file: a zip of documents and imports as JSON, columns as little-endian arrays, and a manifest with the
 * SHA-256 of each. What is not as it was kept is no part of it, and `left` names those files.
 *
 * @throws Problem 'backup-large', 'document-spoilt'
 */
export async function writeBackup(db: Database): Promise<{ bytes: Uint8Array; left: string[] }> {
  const files: Record<string, Uint8Array> = {}
  const left: string[] = []
  for (const name of documentNames) {
    const value = await readDocument(db, name)
    if (value !== null) files[`documents/${name}.json`] = strToU8(JSON.stringify(value))
  }
  for (const entry of await listImports(db)) {
    if ((await auditImport(db, entry)) !== null) {
      left.push(entry.file)
      continue
    }
    const rejects = await readRejects(db, entry).catch(() => null)
    files[`imports/${entry.id}.json`] = strToU8(JSON.stringify({ entry, rejects: rejects && plainRejects(rejects) }))
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
  return { bytes: zipSync(zippable), left }
}

const plainRejects = ({ headings, rejected, more, doubts }: Rejects): Rejects => ({ headings, rejected, more, doubts })

/**
 * Puts a backup in place of the workspace. Everything is read and checked before the first write, and all writes are one
 * transaction: a damaged file, or a full disk, changes nothing.
 *
 * @throws Problem 'backup-damaged', 'backup-large', 'backup-newer', 'storage-full'
 */
export async function restoreBackup(db: Database, file: ArchiveSource): Promise<void> {
  const content = await readBackup(file)
  await guardWrite(async () => {
    const stores = ['imports', 'columns', 'rejects', 'documents', 'parts'] as const
    const tx = db.transaction(stores, 'readwrite')
    for (const store of stores) void tx.objectStore(store).clear()
    for (const [name, value] of content.documents)
      await putDocument({ documents: tx.objectStore('documents'), parts: tx.objectStore('parts') }, name, value)
    for (const { entry, rejects, columns } of content.imports) {
      const names = entry.segments.map((_, at) => columns.filter((c) => c.segment === at).map((c) => c.name))
      void tx
        .objectStore('imports')
        .put(sealed(['imports', entry.id], { ...entry, columns: names.map((n) => n.sort()) }))
      if (rejects) void tx.objectStore('rejects').put(sealed(['rejects', entry.id], rejects), entry.id)
      for (const { segment, name, column } of columns) {
        const key: [string, number, string] = [entry.id, segment, name]
        const rows = entry.segments[segment] ?? 0
        void tx.objectStore('columns').put(restingColumn(key, toStored(fromStored(column)), rows), key)
      }
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
