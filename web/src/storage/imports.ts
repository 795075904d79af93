import type { Capture } from '@sickle/core/intake'
import type { Column, Table } from '@sickle/core/tables'
import { guardWrite, type Database, type ImportEntry, type Rejects } from './database'

/** Keeps a whole import, or nothing of it: one transaction. */
export async function saveImport(db: Database, entry: ImportEntry, table: Table, rejects: Rejects): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction(['imports', 'columns', 'rejects'], 'readwrite')
    for (const [name, column] of Object.entries(table.columns))
      void tx.objectStore('columns').put(column, [entry.id, name])
    void tx.objectStore('rejects').put(rejects, entry.id)
    void tx.objectStore('imports').put(entry)
    await tx.done
  })
}

export async function removeImport(db: Database, id: string): Promise<void> {
  const tx = db.transaction(['imports', 'columns', 'rejects'], 'readwrite')
  void tx.objectStore('columns').delete(IDBKeyRange.bound([id], [id, []]))
  void tx.objectStore('rejects').delete(id)
  void tx.objectStore('imports').delete(id)
  await tx.done
}

/** The columns a catalogue is built from. */
export async function loadCapture(db: Database, entry: ImportEntry): Promise<Capture> {
  const tx = db.transaction('columns')
  const loaded = await Promise.all(
    entry.columns.map(async (name) => [name, await tx.store.get([entry.id, name])] as const),
  )
  const columns = Object.fromEntries(loaded.filter((c): c is [string, Column] => c[1] !== undefined))
  const { id, kind, capturedOn, windowDays, rows } = entry
  return { id, kind, capturedOn, windowDays, table: { rows, columns } }
}

export async function listImports(db: Database): Promise<ImportEntry[]> {
  return (await db.getAll('imports')).sort((a, b) => a.importedAt - b.importedAt)
}
