import type { Capture } from '@sickle/core/intake'
import { Problem } from '@sickle/core/problem'
import { fromStored, toStored, type Table } from '@sickle/core/tables'
import { guardWrite, type Database, type ImportEntry, type Rejects } from './database'

const ofSegment = (id: string, segment: number) => IDBKeyRange.bound([id, segment], [id, segment, []])
const ofImport = (id: string) => IDBKeyRange.bound([id], [id, []])

/** Keeps one segment of an import that is still running. It counts only once the ledger names the import. */
export async function saveSegment(db: Database, id: string, segment: number, table: Table): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction('columns', 'readwrite')
    for (const [name, column] of Object.entries(table.columns)) void tx.store.put(toStored(column), [id, segment, name])
    await tx.done
  })
}

/**
 * Enters an import in the ledger, with what could not be taken: from now on it is there.
 *
 * @throws Problem 'import-lost' when segments of it are gone: another tab took over and swept them away
 */
export async function enterImport(db: Database, entry: ImportEntry, rejects: Rejects): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction(['imports', 'columns', 'rejects'], 'readwrite')
    await assertWhole(tx.objectStore('columns'), entry)
    void tx.objectStore('rejects').put(rejects, entry.id)
    void tx.objectStore('imports').put(entry)
    await tx.done
  })
}

type ColumnKeys = { count(range: IDBKeyRange): Promise<number> }

/** Every segment of the import rests. @throws Problem 'import-lost' */
export async function assertWhole(columns: ColumnKeys, { id, segments, file }: ImportEntry): Promise<void> {
  for (const segment of segments.keys())
    if ((await columns.count(ofSegment(id, segment))) === 0) throw new Problem('import-lost', { file })
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

/** An import as it rests, each segment a capture of its own. */
export async function loadCaptures(db: Database, entry: ImportEntry): Promise<Capture[]> {
  const { id, kind, capturedOn, windowDays, segments } = entry
  return Promise.all(
    segments.map(async (rows, segment) => {
      const range = ofSegment(id, segment)
      const tx = db.transaction('columns')
      const [keys, columns] = await Promise.all([tx.store.getAllKeys(range), tx.store.getAll(range)])
      const named = keys.map((key, i) => [key[2], columns[i]] as const)
      const table = Object.fromEntries(named.flatMap(([name, column]) => (column ? [[name, fromStored(column)]] : [])))
      return { id, kind, capturedOn, windowDays, table: { rows, columns: table } }
    }),
  )
}

/** Whether anything is known in a column of an import. */
export async function hasColumn(db: Database, { id }: ImportEntry, name: string): Promise<boolean> {
  return (await db.count('columns', IDBKeyRange.only([id, 0, name]))) > 0
}

export async function listImports(db: Database): Promise<ImportEntry[]> {
  return (await db.getAll('imports')).sort((a, b) => a.importedAt - b.importedAt)
}
