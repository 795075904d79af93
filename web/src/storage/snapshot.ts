import type { Catalog, Corrections, SellerRules } from '@sickle/core/catalog'
import type { Database, ImportEntry } from './database'

/** What was worked out last, so that reopening does not work it out again. It is no part of the workspace: it can always be made anew. */
export interface Snapshot {
  print: string
  catalog: Catalog
}

declare const __BUILD__: string

/** Names what a catalogue was worked out from: the build, the imports, rules and corrections. */
export function snapshotPrint(entries: readonly ImportEntry[], rules: SellerRules, corrections: Corrections): string {
  const build = typeof __BUILD__ === 'undefined' ? 'test' : __BUILD__
  return JSON.stringify([build, entries.map((e) => e.id), rules, corrections])
}

/** The catalogue of a former session, if it was worked out from the very same. */
export async function readSnapshot(db: Database, print: string): Promise<Catalog | null> {
  const snapshot = await db.get('snapshots', 'catalog')
  return snapshot?.print === print ? snapshot.catalog : null
}

/** Keeps a catalogue. Where there is no room for it, it is done without. */
export async function writeSnapshot(db: Database, print: string, catalog: Catalog): Promise<void> {
  try {
    await db.put('snapshots', { print, catalog }, 'catalog')
  } catch (error) {
    if ((error as Error).name !== 'QuotaExceededError') throw error
    await db.clear('snapshots')
  }
}
