import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { recordKinds } from '@sickle/core/intake'
import { Problem } from '@sickle/core/problem'
import { fromStored, packWords, toStored, type StoredColumn, type WordBytes } from '@sickle/core/tables'
import { guardWrite, type Database, type ImportEntry, type Rejects } from './database'
import { documentNames } from './documents'

/** A backup is a zip: documents and imports as JSON, columns as little-endian arrays, and a manifest with the SHA-256 of each. */
const format = 'sickle-backup'
const version = 2
/** The same workspace gives the same bytes: no clock in the file. */
const mtime = new Date('1990-01-01T00:00:00Z')

interface Manifest {
  format: string
  version: number
  entries: Record<string, string>
}

interface Content {
  documents: Map<string, unknown>
  imports: {
    entry: ImportEntry
    rejects: Rejects | null
    columns: { segment: number; name: string; column: StoredColumn }[]
  }[]
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
    for (const [id, segment, name] of await db.getAllKeys('columns', IDBKeyRange.bound([entry.id], [entry.id, []]))) {
      const column = await db.get('columns', [id, segment, name])
      if (column) Object.assign(files, columnFiles(`columns/${id}/${segment}/${name}`, column))
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
      for (const { segment, name, column } of columns)
        void tx.objectStore('columns').put(toStored(fromStored(column)), [entry.id, segment, name])
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
      const { entry: stored, rejects } = json<{ entry: ImportEntry; rejects: Rejects | null }>(path)
      const entry = upToDate(stored)
      if (!entry) throw damaged(`${path} is no import`)
      const columns = columnPaths(paths, entry.id).map(({ base, segment, name }) => {
        const column = readColumn(files, base, entry.segments[segment] ?? -1)
        if (!column) throw damaged(`column ${name} of ${entry.file} does not fit`)
        return { segment, name, column }
      })
      return { entry, rejects, columns }
    })
  return { documents, imports }
}

/** An entry of the ledger as this version keeps it; null where it is none. Format 1 had every import in one segment. */
function upToDate(stored: Partial<ImportEntry> & { columns?: string[] }): ImportEntry | null {
  const { columns: old, ...entry } = stored ?? {}
  if (typeof entry.id !== 'string' || !recordKinds.some((k) => k.name === entry.kind)) return null
  const segments = entry.segments ?? (old ? [entry.rows] : null)
  if (!Array.isArray(segments) || !segments.every((n) => Number.isInteger(n) && (n as number) >= 0)) return null
  return { ...(entry as ImportEntry), segments: segments as number[] }
}

/** The columns of an import: `columns/<import>/<segment>/<name>.<part>`; without a segment in format 1. */
function columnPaths(paths: readonly string[], id: string): { base: string; segment: number; name: string }[] {
  const bases = new Set(
    paths.filter((p) => p.startsWith(`columns/${id}/`)).map((p) => p.replace(/\.(f64|i32|utf8|u32|words\.json)$/, '')),
  )
  return [...bases].map((base) => {
    const [first = '', second] = base.slice(`columns/${id}/`.length).split('/')
    return second === undefined ? { base, segment: 0, name: first } : { base, segment: Number(first), name: second }
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

function readColumn(files: Record<string, Uint8Array>, path: string, rows: number): StoredColumn | null {
  const values = files[`${path}.f64`]
  if (values) return values.length === rows * 8 ? { type: 'number', values: new Float64Array(aligned(values)) } : null
  const codes = files[`${path}.i32`]
  const words = readWords(files, path)
  if (!codes || !words || codes.length !== rows * 4) return null
  const column = new Int32Array(aligned(codes))
  return column.some((c) => c < -1 || c >= words.ends.length) ? null : { type: 'text', codes: column, words }
}

function readWords(files: Record<string, Uint8Array>, path: string): WordBytes | null {
  const old = files[`${path}.words.json`]
  if (old) {
    const list = JSON.parse(strFromU8(old)) as unknown
    return Array.isArray(list) ? packWords(list.map(String)) : null
  }
  const [bytes, u32] = [files[`${path}.utf8`], files[`${path}.u32`]]
  if (!bytes || !u32 || u32.length % 4 !== 0) return null
  const ends = new Uint32Array(aligned(u32))
  const rising = ends.every((end, i) => end >= (i === 0 ? 0 : (ends[i - 1] as number)))
  return rising && (ends.at(-1) ?? 0) === bytes.length ? { bytes: bytes.slice(), ends } : null
}

function bytesOf(array: Int32Array | Uint32Array | Float64Array): Uint8Array {
  return new Uint8Array(array.buffer, array.byteOffset, array.byteLength)
}

function aligned(bytes: Uint8Array): ArrayBuffer {
  return bytes.slice().buffer
}

async function sha256(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>)
  return [...new Uint8Array(digest)].map((b) => b.toString(16).padStart(2, '0')).join('')
}
