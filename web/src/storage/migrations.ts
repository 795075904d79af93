import { packWords } from '@sickle/core/tables'
import type { Database, ImportEntry, Upgrade } from './database'

/** One step from each version of the workspace's form to the next, all in the one transaction that opens it: it happens whole or not at all. */
const steps: ((db: Database, tx: Upgrade) => Promise<void>)[] = [createStores, segmentColumns, addScans]

/** Brings a workspace from version `from` (0: there is none yet) to the newest. */
export async function migrate(db: Database, from: number, tx: Upgrade): Promise<void> {
  for (const step of steps.slice(from)) await step(db, tx)
}

async function createStores(db: Database): Promise<void> {
  db.createObjectStore('imports', { keyPath: 'id' })
  for (const name of ['columns', 'rejects', 'documents', 'snapshots'] as const) db.createObjectStore(name)
}

async function addScans(db: Database): Promise<void> {
  db.createObjectStore('scans', { keyPath: 'id' })
  db.createObjectStore('scanPages')
}

/** Version 1 kept an import in one piece, its words as a list of texts. */
async function segmentColumns(_db: Database, tx: Upgrade): Promise<void> {
  const [imports, columns] = [tx.objectStore('imports'), tx.objectStore('columns')]
  for (const entry of (await imports.getAll()) as (ImportEntry & { columns?: string[] })[]) {
    for (const name of entry.columns ?? []) {
      const old = (await columns.get([entry.id, name] as never)) as unknown as OldColumn | undefined
      if (!old) continue
      await columns.delete([entry.id, name] as never)
      await columns.put(old.type === 'text' ? { ...old, words: packWords(old.words) } : old, [entry.id, 0, name])
    }
    const { columns: _, ...kept } = entry
    await imports.put({ ...kept, segments: [entry.rows] })
  }
  await tx.objectStore('snapshots').clear()
}

type OldColumn = { type: 'number'; values: Float64Array } | { type: 'text'; codes: Int32Array; words: string[] }
