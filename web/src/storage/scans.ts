import type { ReadPage } from '@sickle/core/scan'
import { fromStored, toStored, type Table } from '@sickle/core/tables'
import type { RejectedRow } from '@sickle/core/intake'
import { guardWrite, type Database, type ImportEntry } from './database'
import { assertWhole } from './imports'
import type { ScanEntry } from './scan-entry'

const ofScan = (id: string) => IDBKeyRange.bound([id, 0], [id, Infinity])

export async function listScans(db: Database): Promise<ScanEntry[]> {
  return (await db.getAll('scans')).sort((a, b) => b.startedAt - a.startedAt)
}

/** Changes some facts of a scan, in one step with reading it. @returns the scan as it is now; null where it is gone */
export async function changeScan(db: Database, id: string, some: Partial<ScanEntry>): Promise<ScanEntry | null> {
  return guardWrite(async () => {
    const tx = db.transaction('scans', 'readwrite')
    const before = await tx.store.get(id)
    const after = before && { ...before, ...some }
    if (after) await tx.store.put(after)
    await tx.done
    return after ?? null
  })
}

/** Keeps a page and counts it, in one transaction: it is there whole or not at all, and never twice. */
export async function keepPage(db: Database, id: string, page: number, read: ReadPage): Promise<ScanEntry | null> {
  return guardWrite(async () => {
    const tx = db.transaction(['scans', 'scanPages'], 'readwrite')
    const [scans, pages] = [tx.objectStore('scans'), tx.objectStore('scanPages')]
    const scan = await scans.get(id)
    const there = await pages.getKey([id, page])
    if (!scan || there !== undefined) {
      await tx.done
      return scan ?? null
    }
    const { table, rejected, discarded } = read
    const columns = Object.fromEntries(Object.entries(table.columns).map(([name, c]) => [name, toStored(c)]))
    const counts = { ...scan.discarded }
    for (const [limit, n] of Object.entries(discarded))
      counts[limit as keyof typeof counts] = (counts[limit as keyof typeof counts] ?? 0) + n
    const after: ScanEntry = {
      ...scan,
      pagesDone: scan.pagesDone + 1,
      taken: scan.taken + table.rows,
      rejected: scan.rejected + rejected.length,
      discarded: counts,
    }
    void pages.put({ rows: table.rows, columns, rejected }, [id, page])
    void scans.put(after)
    await tx.done
    return after
  })
}

export async function pagesDone(db: Database, id: string): Promise<Set<number>> {
  return new Set((await db.getAllKeys('scanPages', ofScan(id))).map(([, page]) => page))
}

/** Pages in their order, read one at a time. */
export async function* keptPages(db: Database, id: string): AsyncGenerator<{ table: Table; rejected: RejectedRow[] }> {
  for (const key of await db.getAllKeys('scanPages', ofScan(id))) {
    const page = await db.get('scanPages', key)
    if (!page) continue
    const columns = Object.fromEntries(Object.entries(page.columns).map(([name, c]) => [name, fromStored(c)]))
    yield { table: { rows: page.rows, columns }, rejected: page.rejected }
  }
}

/** The scan's records become an import, and its pages go, all in one transaction. */
export async function finishScan(
  db: Database,
  scan: ScanEntry,
  entry: ImportEntry,
  rejected: RejectedRow[],
  headings: string[],
): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction(['imports', 'columns', 'rejects', 'scans', 'scanPages'], 'readwrite')
    await assertWhole(tx.objectStore('columns'), entry)
    void tx.objectStore('rejects').put({ headings, rejected, more: 0, doubts: [] }, entry.id)
    void tx.objectStore('imports').put(entry)
    void tx.objectStore('scans').put(scan)
    void tx.objectStore('scanPages').delete(ofScan(scan.id))
    await tx.done
  })
}

/** Forgets a scan and what has come in of it; an import that it became stays. */
export async function dropScan(db: Database, id: string): Promise<void> {
  const tx = db.transaction(['scans', 'scanPages'], 'readwrite')
  void tx.objectStore('scanPages').delete(ofScan(id))
  void tx.objectStore('scans').delete(id)
  await tx.done
}
