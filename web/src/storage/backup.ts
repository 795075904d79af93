import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { recordKinds } from '@sickle/core/intake'
import { Problem } from '@sickle/core/problem'
import type { Column } from '@sickle/core/tables'
import { guardWrite, type Database, type ImportEntry, type Rejects } from './database'
import { documentNames } from './documents'

/** A backup is a zip: documents and imports as JSON, columns as little-endian arrays, and a manifest with the SHA-256 of each. */
const format = 'sickle-backup'
const version = 1
/** The same workspace gives the same bytes: no clock in the file. */
const mtime = new Date('1990-01-01T00:00:00Z')

interface Manifest {
  format: string
  version: number
  entries: Record<string, string>
}

interface Content {
  documents: Map<string, unknown>
  imports: { entry: ImportEntry; rejects: Rejects | null; columns: [string, Column][] }[]
}

/** The whole workspace as one file. */
export async function writeBackup(db: Database): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {}
  for (const name of documentNames) {
    const value = await db.get('documents', name)
    if (value !== undefined) files[`documents/${name}.json`] = strToU8(JSON.stringify(value))
  }
  for (const entry of await db.getAll('imports')) {
    const rejects = (await db.get('rejects', entry.id)) ?? null
    files[`imports/${entry.id}.json`] = strToU8(JSON.stringify({ entry, rejects }))
    for (const name of entry.columns) {
      const column = await db.get('columns', [entry.id, name])
      if (column) Object.assign(files, columnFiles(`columns/${entry.id}/${name}`, column))
    }
  }
  const entries: Record<string, string> = {}
  for (const [path, bytes] of Object.entries(files).sort(([a], [b]) => (a < b ? -1 : 1)))
    entries[path] = await sha256(bytes)
  const manifest: Manifest = { format, version, entries }
  const zippable: Zippable = { 'manifest.json': [strToU8(JSON.stringify(manifest)), { mtime }] }
  for (const path of Object.keys(entries)) zippable[path] = [files[path] as Uint8Array, { level: 6, mtime }]
  return zipSync(zippable)
}

/**
 * Puts a backup in place of the workspace. Everything is read and checked before the first write, and all writes are one
 * transaction: a damaged file, or a full disk, changes nothing.
 *
 * @throws Problem 'backup-damaged', 'backup-newer', 'storage-full'
 */
export async function restoreBackup(db: Database, bytes: Uint8Array, file: string): Promise<void> {
  const content = await readBackup(bytes, file)
  await guardWrite(async () => {
    const tx = db.transaction(['imports', 'columns', 'rejects', 'documents'], 'readwrite')
    for (const store of ['imports', 'columns', 'rejects', 'documents'] as const) void tx.objectStore(store).clear()
    for (const [name, value] of content.documents) void tx.objectStore('documents').put(value, name)
    for (const { entry, rejects, columns } of content.imports) {
      void tx.objectStore('imports').put(entry)
      if (rejects) void tx.objectStore('rejects').put(rejects, entry.id)
      for (const [name, column] of columns) void tx.objectStore('columns').put(column, [entry.id, name])
    }
    await tx.done
  })
}

async function readBackup(bytes: Uint8Array, file: string): Promise<Content> {
  const damaged = (reason: string, cause?: unknown) => new Problem('backup-damaged', { file, reason }, { cause })
  let files: Record<string, Uint8Array>
  try {
    files = unzipSync(bytes)
  } catch (cause) {
    throw damaged('it is no zip, or cut off', cause)
  }
  const json = <T>(path: string): T => {
    const entry = files[path]
    if (!entry) throw damaged(`${path} is missing`)
    try {
      return JSON.parse(strFromU8(entry)) as T
    } catch (cause) {
      throw damaged(`${path} cannot be read`, cause)
    }
  }
  const manifest = json<Partial<Manifest> | null>('manifest.json')
  if (manifest?.format !== format || typeof manifest.entries !== 'object')
    throw damaged('its manifest is not one of Sickle')
  if (typeof manifest.version !== 'number' || manifest.version > version)
    throw new Problem('backup-newer', { file, version: manifest.version ?? '?' })
  for (const [path, digest] of Object.entries(manifest.entries)) {
    const entry = files[path]
    if (!entry) throw damaged(`${path} is missing`)
    if ((await sha256(entry)) !== digest) throw damaged(`${path} was changed`)
  }
  const paths = Object.keys(manifest.entries)
  const documents = new Map<string, unknown>()
  for (const name of documentNames)
    if (paths.includes(`documents/${name}.json`)) documents.set(name, json(`documents/${name}.json`))
  const imports = paths
    .filter((p) => p.startsWith('imports/'))
    .map((path) => {
      const { entry, rejects } = json<{ entry: ImportEntry; rejects: Rejects | null }>(path)
      const known =
        typeof entry?.id === 'string' && recordKinds.some((k) => k.name === entry.kind) && Array.isArray(entry.columns)
      if (!known) throw damaged(`${path} is no import`)
      const columns = entry.columns.map((name): [string, Column] => {
        const column = readColumn(files, `columns/${entry.id}/${name}`, entry.rows)
        if (!column) throw damaged(`column ${name} of ${entry.file} does not fit`)
        return [name, column]
      })
      return { entry, rejects, columns }
    })
  return { documents, imports }
}

function columnFiles(path: string, column: Column): Record<string, Uint8Array> {
  if (column.type === 'number') return { [`${path}.f64`]: bytesOf(column.values) }
  return { [`${path}.i32`]: bytesOf(column.codes), [`${path}.words.json`]: strToU8(JSON.stringify(column.words)) }
}

function readColumn(files: Record<string, Uint8Array>, path: string, rows: number): Column | null {
  const values = files[`${path}.f64`]
  if (values) return values.length === rows * 8 ? { type: 'number', values: new Float64Array(aligned(values)) } : null
  const codes = files[`${path}.i32`]
  const words = files[`${path}.words.json`]
  if (!codes || !words || codes.length !== rows * 4) return null
  const list = JSON.parse(strFromU8(words)) as unknown
  const column = new Int32Array(aligned(codes))
  if (!Array.isArray(list) || column.some((c) => c < -1 || c >= list.length)) return null
  return { type: 'text', codes: column, words: list.map(String) }
}

function bytesOf(array: Int32Array | Float64Array): Uint8Array {
  return new Uint8Array(array.buffer, array.byteOffset, array.byteLength)
}

function aligned(bytes: Uint8Array): ArrayBuffer {
  return bytes.slice().buffer
}

async function sha256(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>)
  return [...new Uint8Array(digest)].map((b) => b.toString(16).padStart(2, '0')).join('')
}
