import { Problem } from '@sickle/core/problem'
import { newScan, noLimits, type ReadPage, type ScanEntry } from '@sickle/core/scan'
import { fromStored, toStored, type Table } from '@sickle/core/tables'
import type { RejectedRow } from '@sickle/core/intake'
import { guardWrite } from './guard-write'
import type { Database, ImportEntry } from './schema'
import { wholeEntry } from './imports'
import { isSound, sealed, type Sealed } from './seal'

const ofScan = (id: string) => IDBKeyRange.bound([id, 0], [id, Infinity])

const place = (id: string) => ['scans', id]
const pagePlace = (id: string, page: number) => ['scanPages', id, page]

/** Scans, newest first. One that is not as it was kept says so, and can only be given up. */
export async function listScans(db: Database): Promise<ScanEntry[]> {
  const scans = (await db.getAll('scans')).map((scan) =>
    isSound(place(scan.id), scan) ? bare(scan) : spoiltScan(scan),
  )
  return scans.sort((a, b) => b.startedAt - a.startedAt)
}

/** A scan; null where it is gone. @throws Problem 'scan-spoilt' */
export async function readScan(db: Database, id: string): Promise<ScanEntry | null> {
  const scan = await db.get('scans', id)
  if (scan && !isSound(place(id), scan)) throw new Problem('scan-spoilt')
  return scan ? bare(scan) : null
}

/** Keeps a new scan. */
export async function addScan(db: Database, scan: ScanEntry): Promise<void> {
  await guardWrite(() => db.put('scans', sealed(place(scan.id), scan)))
}

const bare = ({ seal: _, ...scan }: Sealed<ScanEntry>): ScanEntry => scan

function spoiltScan({ id, plan }: ScanEntry): ScanEntry {
  const known = typeof plan?.source === 'string' && typeof plan.by === 'string' && typeof plan.value === 'string'
  const kept = known
    ? { ...plan, limits: noLimits }
    : { source: '?', by: 'term' as const, value: '?', limits: noLimits }
  return newScan(id, kept, { state: 'failed', note: new Problem('scan-spoilt').message })
}

/** Changes some facts of a scan, in one step with reading it. @returns the scan as it is now; null where it is gone */
export async function changeScan(db: Database, id: string, some: Partial<ScanEntry>): Promise<ScanEntry | null> {
  return guardWrite(async () => {
    const tx = db.transaction('scans', 'readwrite')
    const before = await tx.store.get(id)
    if (before && !isSound(place(id), before)) throw new Problem('scan-spoilt')
    const after = before && { ...bare(before), ...some }
    if (after) await tx.store.put(sealed(place(id), after))
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
    if (scan && !isSound(place(id), scan)) throw new Problem('scan-spoilt')
    const there = await pages.getKey([id, page])
    if (!scan || there !== undefined) {
      await tx.done
      return scan ?? null
    }
    const { table, rejected, discarded } = read
    const columns = Object.fromEntries(Object.entries(table.columns).map(([name, c]) => [name, toStored(c)]))
    const counts = { ...scan.discarded }
    addCounts(counts, discarded)
    const after: ScanEntry = {
      ...bare(scan),
      pagesDone: scan.pagesDone + 1,
      taken: scan.taken + table.rows,
      rejected: scan.rejected + rejected.length,
      discarded: counts,
    }
    void pages.put(sealed(pagePlace(id, page), { rows: table.rows, columns, rejected, discarded }), [id, page])
    void scans.put(sealed(place(id), after))
    await tx.done
    return after
  })
}

export async function pagesDone(db: Database, id: string): Promise<Set<number>> {
  return new Set((await db.getAllKeys('scanPages', ofScan(id))).map(([, page]) => page))
}

/** Pages that are not as they were kept are let go, to be asked for again; the scan counts those that are left. */
export async function dropSpoiltPages(db: Database, id: string): Promise<void> {
  const counted = { pagesDone: 0, taken: 0, rejected: 0, discarded: {} as ScanEntry['discarded'] }
  let spoilt = 0
  for (const key of await db.getAllKeys('scanPages', ofScan(id))) {
    const page = await db.get('scanPages', key)
    if (!page || !isSound(pagePlace(...key), page)) {
      spoilt++
      await db.delete('scanPages', key)
      continue
    }
    counted.pagesDone++
    counted.taken += page.rows
    counted.rejected += page.rejected.length
    addCounts(counted.discarded, page.discarded)
  }
  if (spoilt > 0) await changeScan(db, id, counted)
}

function addCounts(to: ScanEntry['discarded'], from: ScanEntry['discarded']): void {
  for (const [limit, n] of Object.entries(from) as [keyof typeof to, number][]) to[limit] = (to[limit] ?? 0) + n
}

/** Pages in their order, read one at a time. @throws Problem 'scan-page-spoilt' */
export async function* keptPages(db: Database, id: string): AsyncGenerator<{ table: Table; rejected: RejectedRow[] }> {
  for (const key of await db.getAllKeys('scanPages', ofScan(id))) {
    const page = await db.get('scanPages', key)
    if (!page) continue
    if (!isSound(pagePlace(...key), page)) throw new Problem('scan-page-spoilt', { page: key[1] + 1 })
    const columns = Object.fromEntries(Object.entries(page.columns).map(([name, c]) => [name, fromStored(c)]))
    yield { table: { rows: page.rows, columns }, rejected: page.rejected }
  }
}

/** The scan's records become an import, and its pages go, all in one transaction. */
export async function finishScan(
  db: Database,
  scan: ScanEntry,
  entry: ImportEntry,
  rejected: readonly RejectedRow[],
  headings: readonly string[],
): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction(['imports', 'columns', 'rejects', 'scans', 'scanPages'], 'readwrite')
    const whole = await wholeEntry(tx.objectStore('columns'), tx.objectStore('imports'), entry)
    const refused = sealed(['rejects', entry.id], {
      headings: [...headings],
      rejected: [...rejected],
      more: 0,
      doubts: [],
    })
    void tx.objectStore('rejects').put(refused, entry.id)
    void tx.objectStore('imports').put(whole)
    void tx.objectStore('scans').put(sealed(place(scan.id), scan))
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
