import type { Capture, KindName } from '@sickle/core/records'
import { recordsOf, type RowRecord } from '@sickle/core/tables'
import { openDatabase } from '../storage/database'
import { hasColumn, listImports, loadSound } from '../storage/imports'

/** Everything of one kind that rests and is as it was kept, oldest import first. @param needed imports without this column are passed over unread */
export async function capturesOf(kind: KindName, needed: string | null = null): Promise<Capture[]> {
  const db = await openDatabase()
  try {
    const entries = (await listImports(db)).filter((e) => e.kind === kind)
    const has = await Promise.all(entries.map(async (e) => needed === null || (await hasColumn(db, e, needed))))
    const { captures } = await loadSound(
      db,
      entries.filter((_, i) => has[i]),
    )
    return [...captures.values()].flat()
  } finally {
    db.close()
  }
}

/** The same as records: for kinds of which there are few. */
export async function recordsAtRest(kind: KindName): Promise<RowRecord[]> {
  return (await capturesOf(kind)).flatMap((c) => recordsOf(c.table))
}
