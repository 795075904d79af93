import { describePlan, kindOfPlan, type ScanEntry, type ScanStore } from '@sickle/core/scan'
import { removeImport, saveSegment } from './imports'
import { changeScan, dropSpoiltPages, finishScan, keepPage, keptPages, pagesDone, readScan } from './scans'
import type { Database, ImportEntry } from './schema'

/** What rests of scans in the browser. @param now when an import that a scan becomes was brought in, ms since 1970 */
export function scanStore(db: Database, now: number): ScanStore {
  return {
    read: (id) => readScan(db, id),
    change: (id, some) => changeScan(db, id, some),
    dropSpoiltPages: (id) => dropSpoiltPages(db, id),
    pagesDone: (id) => pagesDone(db, id),
    keepPage: (id, page, read) => keepPage(db, id, page, read),
    pages: (id) => keptPages(db, id),
    keepSegment: (id, at, table) => saveSegment(db, id, at, table),
    finish: (scan, segments, rejected) =>
      finishScan(
        db,
        scan,
        importOf(scan, segments, now),
        rejected,
        kindOfPlan(scan.plan).fields.map((f) => f.label),
      ),
    dropSegments: (id) => removeImport(db, id),
  }
}

function importOf(scan: ScanEntry, segments: readonly number[], now: number): ImportEntry {
  return {
    id: scan.id,
    file: `Scan: ${describePlan(scan.plan)}`,
    kind: kindOfPlan(scan.plan).name,
    from: scan.market,
    rows: scan.taken,
    taken: scan.taken,
    rejected: scan.rejected,
    doubts: 0,
    capturedOn: scan.capturedOn,
    windowDays: scan.windowDays,
    importedAt: now,
    fileBytes: 0,
    segments: [...segments],
    demo: false,
  }
}
