import type { Capture, KindName } from '@sickle/core/intake'
import { recordsOf, type RowRecord } from '@sickle/core/tables'
import { openDatabase } from '../storage/database'
import { hasColumn, listImports, loadCaptures } from '../storage/imports'

/** Everything of one kind that rests, oldest import first. @param needed imports without this column are passed over unread */
export async function capturesOf(kind: KindName, needed: string | null = null): Promise<Capture[]> {
  const db = await openDatabase()
  try {
    const entries = (await listImports(db)).filter((e) => e.kind === kind)
    const has = await Promise.all(entries.map(async (e) => needed === null || (await hasColumn(db, e, needed))))
    return (await Promise.all(entries.filter((_, i) => has[i]).map((e) => loadCaptures(db, e)))).flat()
  } finally {
    db.close()
  }
}

/** The same as records: for kinds of which there are few. */
export async function recordsAtRest(kind: KindName): Promise<RowRecord[]> {
  return (await capturesOf(kind)).flatMap((c) => recordsOf(c.table))
}
