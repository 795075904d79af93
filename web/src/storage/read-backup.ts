import { strFromU8 } from 'fflate'
import { unpackEntry, zipEntries, type ArchiveSource } from '@sickle/core/archive'
import { Problem } from '@sickle/core/problem'
import { checked } from '@sickle/core/schema'
import { packWords, type StoredColumn, type WordBytes } from '@sickle/core/tables'
import type { ImportEntry, Rejects } from './schema'
import { importSchema, manifestSchema } from './backup-schema'
import { documentForms, documentNames, type DocumentName } from './document-forms'

export const format = 'sickle-backup'
export const version = 2
/** all that a backup holds, bytes: it is held in memory until everything is checked */
export const mostUnpacked = 700_000_000

export interface Manifest {
  format: string
  version: number
  entries: Record<string, string>
}

export interface BackupContent {
  documents: Map<DocumentName, unknown>
  imports: {
    entry: ImportEntry
    rejects: Rejects | null
    columns: { segment: number; name: string; column: StoredColumn }[]
  }[]
}

type Fail = (reason: string, cause?: unknown) => Problem

/** Unpacks a backup, no more of it than it says and than fits. @throws Problem 'backup-damaged', 'backup-large' */
async function unpack(file: ArchiveSource, damaged: Fail): Promise<Record<string, Uint8Array>> {
  if (file.size === 0) throw damaged('it is no zip, or cut off')
  const entries = await zipEntries(file, (reason) => damaged(`it is no zip, or cut off: ${reason}`))
  const size = [...entries.values()].reduce((n, e) => n + e.bytes, 0)
  if (size > mostUnpacked)
    throw new Problem('backup-large', { file: file.name, megabytes: Math.ceil(size / 1e6), limit: mostUnpacked / 1e6 })
  const files: Record<string, Uint8Array> = Object.create(null) as Record<string, Uint8Array>
  for (const entry of entries.values()) {
    const whole = new Uint8Array(entry.bytes)
    let at = 0
    for await (const { bytes } of unpackEntry(file, entry, damaged)) {
      if (at + bytes.length > whole.length) throw damaged(`${entry.name} unpacks to more than it says`)
      whole.set(bytes, at)
      at += bytes.length
    }
    if (at < whole.length) throw damaged(`${entry.name} is cut off`)
    files[entry.name] = whole
  }
  return files
}

/** Reads a backup and checks all of it. @throws Problem 'backup-damaged', 'backup-large', 'backup-newer' */
export async function readBackup(source: ArchiveSource): Promise<BackupContent> {
  const file = source.name
  const damaged: Fail = (reason, cause) => new Problem('backup-damaged', { file, reason }, { cause })
  const files = await unpack(source, damaged)
  const json = (path: string): unknown => {
    const entry = files[path]
    if (!entry) throw damaged(`${path} is missing`)
    try {
      return JSON.parse(strFromU8(entry)) as unknown
    } catch (cause) {
      throw damaged(`${path} cannot be read`, cause)
    }
  }
  const manifest = json('manifest.json')
  if (!isRecord(manifest) || manifest.format !== format) throw damaged('its manifest is not one of Sickle')
  if (typeof manifest.version === 'number' && manifest.version > version)
    throw new Problem('backup-newer', { file, version: manifest.version })
  const { entries } = checked<Manifest>(manifestSchema, manifest, (reason) => damaged(`its manifest: ${reason}`))
  const stranger = Object.keys(files).find((path) => path !== 'manifest.json' && !Object.hasOwn(entries, path))
  if (stranger !== undefined) throw damaged(`${stranger} is not in its manifest`)
  for (const [path, digest] of Object.entries(entries)) {
    const entry = files[path]
    if (!entry) throw damaged(`${path} is missing`)
    if ((await sha256(entry)) !== digest) throw damaged(`${path} was changed`)
  }
  const paths = Object.keys(entries)
  if (paths.length === 0) throw damaged('it holds nothing')
  const documents = new Map<DocumentName, unknown>()
  for (const name of documentNames) {
    if (!paths.includes(`documents/${name}.json`)) continue
    const { now, schema } = documentForms[name]
    const value = now(json(`documents/${name}.json`))
    documents.set(
      name,
      checked(schema, value, (reason) => damaged(`documents/${name}.json: ${reason}`)),
    )
  }
  const imports = paths
    .filter((p) => p.startsWith('imports/'))
    .map((path) => {
      const stored = json(path)
      const wrong = (reason: string) => damaged(`${path}: ${reason}`)
      const { entry, rejects } = checked<ImportFile>(importSchema, importNow(stored), wrong)
      if (path !== `imports/${entry.id}.json`) throw wrong('it is of another import')
      const columns = columnPaths(paths, entry.id).map(({ base, segment, name }) => {
        const column = readColumn(files, base, entry.segments[segment] ?? -1)
        if (!column) throw damaged(`column ${name} of ${entry.file} does not fit`)
        return { segment, name, column }
      })
      for (const [segment, names] of missedColumns(entry, columns))
        throw damaged(`${names} of part ${segment + 1} of ${entry.file} is missing`)
      return { entry, rejects, columns }
    })
  return { documents, imports }
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

interface ImportFile {
  entry: ImportEntry
  rejects: Rejects | null
}

/** An import's file as this version writes it. Format 1 had every import in one segment, and named its columns in one list. */
function importNow(stored: unknown): unknown {
  if (!isRecord(stored) || !isRecord(stored.entry)) return stored
  const { columns, ...entry } = stored.entry
  const segments = entry.segments ?? (Array.isArray(columns) ? [entry.rows] : undefined)
  const named = Array.isArray(columns) && columns.every(Array.isArray) ? { columns } : {}
  return { rejects: null, ...stored, entry: { ...entry, ...named, segments } }
}

/** Columns that the ledger's entry names, or a segment must have, and that are not there. */
function missedColumns({ segments, columns }: ImportEntry, found: { segment: number; name: string }[]) {
  return segments.flatMap((rows, segment): [number, string][] => {
    const there = found.filter((c) => c.segment === segment).map((c) => c.name)
    const missing = (columns?.[segment] ?? []).find((name) => !there.includes(name))
    if (missing !== undefined) return [[segment, `column ${missing}`]]
    return rows > 0 && there.length === 0 ? [[segment, 'every column']] : []
  })
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

function readColumn(files: Record<string, Uint8Array>, path: string, rows: number): StoredColumn | null {
  const values = files[`${path}.f64`]
  if (values) {
    if (values.length !== rows * 8) return null
    const figures = new Float64Array(aligned(values))
    // unknown is NaN; no figure is without end
    return figures.some((v) => v === Infinity || v === -Infinity) ? null : { type: 'number', values: figures }
  }
  const codes = files[`${path}.i32`]
  const words = readWords(files, path)
  if (!codes || !words || codes.length !== rows * 4) return null
  const column = new Int32Array(aligned(codes))
  return column.some((c) => c < -1 || c >= words.ends.length) ? null : { type: 'text', codes: column, words }
}

function readWords(files: Record<string, Uint8Array>, path: string): WordBytes | null {
  const old = files[`${path}.words.json`]
  if (old) {
    return wordsOfList(strFromU8(old))
  }
  const [bytes, u32] = [files[`${path}.utf8`], files[`${path}.u32`]]
  if (!bytes || !u32 || u32.length % 4 !== 0) return null
  const ends = new Uint32Array(aligned(u32))
  const rising = ends.every((end, i) => end >= (i === 0 ? 0 : (ends[i - 1] as number)))
  return rising && (ends.at(-1) ?? 0) === bytes.length ? { bytes: bytes.slice(), ends } : null
}

function wordsOfList(text: string): WordBytes | null {
  try {
    const list = JSON.parse(text) as unknown
    return Array.isArray(list) ? packWords(list.map(String)) : null
  } catch (e) {
    if (e instanceof SyntaxError) return null
    throw e
  }
}

function aligned(bytes: Uint8Array): ArrayBuffer {
  return bytes.slice().buffer
}

export async function sha256(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>)
  return [...new Uint8Array(digest)].map((b) => b.toString(16).padStart(2, '0')).join('')
}
