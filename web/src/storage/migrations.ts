import { firstFault } from '@sickle/core/schema'
import { packWords } from '@sickle/core/tables'
import type { Database, ImportEntry, RestingColumn, Upgrade } from './schema'
import { documentForms, documentNames } from './document-forms'
import { putDocument } from './documents'
import { isSound, sealed, type Sealed } from './seal'

/** One step from each version of the workspace's form to the next, all in the one transaction that opens it: it happens whole or not at all. */
const steps: ((db: Database, tx: Upgrade) => Promise<void>)[] = [
  createStores,
  segmentColumns,
  addScans,
  sealRecords,
  partDocuments,
]

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
  for (const entry of (await imports.getAll()) as unknown as (ImportEntry & { columns?: string[] })[]) {
    for (const name of entry.columns ?? []) {
      const old = (await columns.get([entry.id, name] as never)) as unknown as OldColumn | undefined
      if (!old) continue
      await columns.delete([entry.id, name] as never)
      const now = old.type === 'text' ? { ...old, words: packWords(old.words) } : old
      await columns.put(now as RestingColumn, [entry.id, 0, name])
    }
    const { columns: _, ...kept } = entry
    await imports.put({ ...kept, segments: [entry.rows] } as Sealed<ImportEntry>)
  }
  await tx.objectStore('snapshots').clear()
}

/** Version 3 kept no check sums. What rests is sealed as it stands; what was worked out is made anew. */
async function sealRecords(_db: Database, tx: Upgrade): Promise<void> {
  const [imports, columns, rejects] = [tx.objectStore('imports'), tx.objectStore('columns'), tx.objectStore('rejects')]
  const [documents, scans, pages] = [tx.objectStore('documents'), tx.objectStore('scans'), tx.objectStore('scanPages')]
  for (const entry of await imports.getAll()) {
    const names = await Promise.all(
      entry.segments.map(async (rows, segment) => {
        const keys = await columns.getAllKeys(IDBKeyRange.bound([entry.id, segment], [entry.id, segment, []]))
        for (const key of keys) {
          const column = await columns.get(key)
          if (column) await columns.put(sealed(['columns', ...key], { ...column, rows }), key)
        }
        return keys.map(([, , name]) => name)
      }),
    )
    await imports.put(sealed(['imports', entry.id], { ...entry, columns: names }))
    const refused = await rejects.get(entry.id)
    if (refused) await rejects.put(sealed(['rejects', entry.id], refused), entry.id)
  }
  for (const key of await documents.getAllKeys())
    await documents.put(sealed(['documents', key], { value: await documents.get(key) }), key)
  // the pages of a scan on its way are few, and can be asked for again
  await pages.clear()
  const begunAnew = { pagesDone: 0, taken: 0, rejected: 0, discarded: {} }
  for (const scan of await scans.getAll())
    await scans.put(sealed(['scans', scan.id], { ...scan, ...(scan.state === 'done' ? {} : begunAnew) }))
  await tx.objectStore('snapshots').clear()
}

/** Version 4 kept every document in one piece. What is not sound, or does not fit, is left as it is: reading it will say so. */
async function partDocuments(db: Database, tx: Upgrade): Promise<void> {
  db.createObjectStore('parts')
  for (const name of documentNames) {
    const kept = await tx.objectStore('documents').get(name)
    if (!kept || !isSound(['documents', name], kept)) continue
    const { now, schema } = documentForms[name]
    const value = now(kept.value)
    if (firstFault(schema, value) === null)
      await putDocument({ documents: tx.objectStore('documents'), parts: tx.objectStore('parts') }, name, value)
  }
}

type OldColumn = { type: 'number'; values: Float64Array } | { type: 'text'; codes: Int32Array; words: string[] }
