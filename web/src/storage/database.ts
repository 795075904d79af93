import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { Problem } from '@sickle/core/problem'
import type { KindName, RejectedRow } from '@sickle/core/intake'
import type { Column } from '@sickle/core/tables'
import type { Snapshot } from './snapshot'

/** One import in the ledger. */
export interface ImportEntry {
  id: string
  /** name of the file */
  file: string
  kind: KindName
  /** market or supplier, where one for the whole file */
  from: string | null
  /** records kept, and rows of the file taken */
  rows: number
  taken: number
  rejected: number
  doubts: number
  /** last day the figures speak of, days since 1970 */
  capturedOn: number
  windowDays: number
  /** when it was brought in, ms */
  importedAt: number
  fileBytes: number
  columns: string[]
  demo: boolean
}

/** What could not be taken from a file, kept until it is mended or the import removed. */
export interface Rejects {
  headings: string[]
  rejected: RejectedRow[]
  more: number
  doubts: { row: number; field: string; reason: string }[]
}

interface Schema extends DBSchema {
  imports: { key: string; value: ImportEntry }
  /** one record per import and column, so that a screen reads only what it shows */
  columns: { key: [string, string]; value: Column }
  rejects: { key: string; value: Rejects }
  documents: { key: string; value: unknown }
  /** worked-out results that can always be made anew */
  snapshots: { key: string; value: Snapshot }
}

export type Database = IDBPDatabase<Schema>
export const databaseVersion = 1

/** Opens the workspace in this browser. @throws Problem 'storage-closed' */
export async function openDatabase(name = 'sickle'): Promise<Database> {
  try {
    return await openDB<Schema>(name, databaseVersion, {
      upgrade(db) {
        db.createObjectStore('imports', { keyPath: 'id' })
        db.createObjectStore('columns')
        db.createObjectStore('rejects')
        db.createObjectStore('documents')
        db.createObjectStore('snapshots')
      },
    })
  } catch (cause) {
    throw new Problem('storage-closed', {}, { cause })
  }
}

/** Runs a write; a full disk becomes a Problem and, as every write is one transaction, changes nothing. */
export async function guardWrite<T>(write: () => Promise<T>): Promise<T> {
  try {
    return await write()
  } catch (cause) {
    if (cause instanceof DOMException && cause.name === 'QuotaExceededError')
      throw new Problem('storage-full', {}, { cause })
    throw cause
  }
}
