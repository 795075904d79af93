import { recordKinds, type Capture } from '@sickle/core/records'
import { Problem } from '@sickle/core/problem'
import { fromStored, toStored, type StoredColumn, type Table } from '@sickle/core/tables'
import { guardWrite } from './guard-write'
import type { Database, ImportEntry, Rejects, RestingColumn } from './schema'
import { isSound, sealed, type Sealed } from './seal'

const ofSegment = (id: string, segment: number) => IDBKeyRange.bound([id, segment], [id, segment, []])
const ofImport = (id: string) => IDBKeyRange.bound([id], [id, []])

/** Keeps one segment of an import that is still running. It counts only once the ledger names the import. */
export async function saveSegment(db: Database, id: string, segment: number, table: Table): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction('columns', 'readwrite')
    for (const [name, column] of Object.entries(table.columns)) {
      const key: [string, number, string] = [id, segment, name]
      void tx.store.put(restingColumn(key, toStored(column), table.rows), key)
    }
    await tx.done
  })
}

/** A column as it rests at its place, with its length and check sum. */
export function restingColumn(key: [string, number, string], column: StoredColumn, rows: number): RestingColumn {
  return sealed(['columns', ...key], { ...column, rows })
}

/**
 * Enters an import in the ledger, with what could not be taken: from now on it is there.
 *
 * @throws Problem 'import-lost' when segments of it are gone: another tab took over and swept them away
 */
export async function enterImport(db: Database, entry: ImportEntry, rejects: Rejects): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction(['imports', 'columns', 'rejects'], 'readwrite')
    const whole = await wholeEntry(tx.objectStore('columns'), tx.objectStore('imports'), entry)
    void tx.objectStore('rejects').put(sealed(['rejects', entry.id], rejects), entry.id)
    void tx.objectStore('imports').put(whole)
    await tx.done
  })
}

interface ColumnKeys {
  getAllKeys(range: IDBKeyRange): Promise<[string, number, string][]>
}
interface Entries {
  getAll(): Promise<ImportEntry[]>
}

/**
 * The entry as the ledger takes it: every segment rests, its columns are noted, and it is the newest, whatever the clock says: one that
 * was set back would hide what came in last behind what came before.
 *
 * @throws Problem 'import-lost'
 */
export async function wholeEntry(
  resting: ColumnKeys,
  entries: Entries,
  entry: ImportEntry,
): Promise<Sealed<ImportEntry>> {
  const columns: string[][] = []
  for (const segment of entry.segments.keys()) {
    const keys = await resting.getAllKeys(ofSegment(entry.id, segment))
    if (keys.length === 0) throw new Problem('import-lost', { file: entry.file })
    columns.push(keys.map(([, , name]) => name))
  }
  const others = (await entries.getAll()).filter((e) => e.id !== entry.id)
  const importedAt = Math.max(entry.importedAt, ...others.map((e) => (e.importedAt || 0) + 1))
  return sealed(['imports', entry.id], { ...entry, columns, importedAt })
}

export async function removeImport(db: Database, id: string): Promise<void> {
  const tx = db.transaction(['imports', 'columns', 'rejects'], 'readwrite')
  void tx.objectStore('columns').delete(ofImport(id))
  void tx.objectStore('rejects').delete(id)
  void tx.objectStore('imports').delete(id)
  await tx.done
}

/** Clears away the segments of imports that never came to their end: the tab was closed, or the machine stopped. */
export async function sweepUnfinished(db: Database): Promise<void> {
  const tx = db.transaction(['imports', 'columns'], 'readwrite')
  const known = new Set(await tx.objectStore('imports').getAllKeys())
  for (let cursor = await tx.objectStore('columns').openKeyCursor(); cursor;) {
    const [id] = cursor.key
    if (!known.has(id)) void tx.objectStore('columns').delete(ofImport(id))
    cursor = await cursor.continue([id, Infinity, ''])
  }
  await tx.done
}

/**
 * An import as it rests, each segment a capture of its own; all of it is as it was kept.
 *
 * @throws Problem 'import-spoilt' naming the first column that is not
 */
export async function loadCaptures(db: Database, entry: ImportEntry): Promise<Capture[]> {
  const { id, kind, capturedOn, windowDays, segments } = entry
  if (entry.spoilt !== undefined) throw spoiltImport(entry, entry.spoilt)
  return Promise.all(
    segments.map(async (rows, segment) => {
      const range = ofSegment(id, segment)
      const tx = db.transaction('columns')
      const [keys, columns] = await Promise.all([tx.store.getAllKeys(range), tx.store.getAll(range)])
      const byName = new Map(keys.map((key, i) => [key[2], columns[i]]))
      const named = (entry.columns?.[segment] ?? [...byName.keys()]).map((name) => {
        const column = byName.get(name)
        const fault = columnFault(entry, segment, name, column)
        if (fault !== null || !column) throw spoiltImport(entry, fault ?? '')
        return [name, fromStored(column)] as const
      })
      return { id, kind, capturedOn, windowDays, table: { rows, columns: Object.fromEntries(named) } }
    }),
  )
}

export interface SoundCaptures {
  /** by import, in the order asked for */
  captures: Map<string, Capture[]>
  /** imports that are set aside, and what is wrong with them */
  spoilt: Map<string, string>
}

/** Several imports, those left out that are not as they were kept. @param known what was read before, by import */
export async function loadSound(
  db: Database,
  entries: readonly ImportEntry[],
  known: ReadonlyMap<string, Capture[]> = new Map(),
): Promise<SoundCaptures> {
  const [captures, spoilt] = [new Map<string, Capture[]>(), new Map<string, string>()]
  for (const entry of entries) {
    try {
      captures.set(entry.id, known.get(entry.id) ?? (await loadCaptures(db, entry)))
    } catch (thrown) {
      if (!(thrown instanceof Problem && thrown.code === 'import-spoilt')) throw thrown
      spoilt.set(entry.id, String(thrown.details.what))
    }
  }
  return { captures, spoilt }
}

const spoiltImport = ({ file, id }: ImportEntry, what: string) => new Problem('import-spoilt', { file, id, what })

/** What is wrong with a column at rest, in words; null where it is as it was kept. */
function columnFault({ id, segments }: ImportEntry, segment: number, name: string, column: unknown): string | null {
  const which = `the column “${name}”${segments.length > 1 ? ` of part ${segment + 1}` : ''}`
  if (typeof column !== 'object' || column === null) return `${which} is gone`
  if ((column as RestingColumn).rows !== segments[segment]) return `${which} has another length`
  return isSound(['columns', id, segment, name], column) ? null : `${which} was changed`
}

/** Looks through all that rests of an import, a column at a time. @returns what is wrong with it; null where nothing is */
export async function auditImport(db: Database, entry: ImportEntry): Promise<string | null> {
  if (entry.spoilt !== undefined) return entry.spoilt
  for (const [segment, names] of (entry.columns ?? []).entries())
    for (const name of names) {
      const fault = columnFault(entry, segment, name, await db.get('columns', [entry.id, segment, name]))
      if (fault !== null) return fault
    }
  return null
}

/** What could not be taken of an import; null where nothing is kept of it. @throws Problem 'rejects-spoilt' */
export async function readRejects(db: Database, { id, file }: ImportEntry): Promise<Rejects | null> {
  const kept = await db.get('rejects', id)
  if (kept && !isSound(['rejects', id], kept)) throw new Problem('rejects-spoilt', { file })
  return kept ?? null
}

/** Whether anything is known in a column of an import. */
export async function hasColumn(db: Database, { id }: ImportEntry, name: string): Promise<boolean> {
  return (await db.count('columns', IDBKeyRange.only([id, 0, name]))) > 0
}

/** The ledger, oldest first. An entry that is not as it was kept is marked, and of it only what can be shown is told. */
export async function listImports(db: Database): Promise<ImportEntry[]> {
  const tx = db.transaction('imports')
  const [keys, entries] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()])
  return entries
    .map((entry, i) => (isSound(['imports', keys[i]], entry) ? bareEntry(entry) : spoiltEntry(keys[i] ?? '', entry)))
    .sort((a, b) => a.importedAt - b.importedAt)
}

export async function findImport(db: Database, id: string): Promise<ImportEntry | null> {
  return (await listImports(db)).find((e) => e.id === id) ?? null
}

const bareEntry = ({ seal: _, ...entry }: Sealed<ImportEntry>): ImportEntry => entry

function spoiltEntry(id: string, entry: Partial<ImportEntry>): ImportEntry {
  const { file } = entry
  return {
    id,
    file: typeof file === 'string' && file !== '' ? file.slice(0, 200) : 'An import whose name is lost',
    kind: recordKinds.find((k) => k.name === entry.kind)?.name ?? 'listings',
    from: null,
    rows: 0,
    taken: 0,
    rejected: 0,
    doubts: 0,
    capturedOn: 0,
    windowDays: 0,
    importedAt: 0,
    fileBytes: 0,
    segments: [],
    demo: false,
    spoilt: 'its entry in the ledger was changed',
  }
}
