import type { DBSchema, IDBPDatabase, IDBPTransaction } from 'idb'
import type { RejectedRow } from '@sickle/core/intake'
import type { KindName } from '@sickle/core/records'
import type { StoredColumn } from '@sickle/core/tables'
import type { ScanEntry, ScanPage } from '@sickle/core/scan'
import type { Sealed } from './seal'

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
  /** rows of each segment: a large import rests in several, each with columns of its own */
  segments: number[]
  /** the columns of each segment, noted when the import is entered: one that is gone is missed */
  columns?: string[][]
  demo: boolean
  /** why it is set aside: something of it is not as it was kept; never at rest */
  spoilt?: string
}

/** A column at rest, with its length. */
export type RestingColumn = Sealed<StoredColumn & { rows: number }>

/** What could not be taken from a file, kept until it is mended or the import removed. */
export interface Rejects {
  headings: string[]
  rejected: RejectedRow[]
  more: number
  doubts: { row: number; field: string; reason: string }[]
}

export interface Schema extends DBSchema {
  imports: { key: string; value: Sealed<ImportEntry> }
  /** by import, segment and name of the column, so that a screen reads only what it shows */
  columns: { key: [string, number, string]; value: RestingColumn }
  rejects: { key: string; value: Sealed<Rejects> }
  /** small documents; of one in parts only its head, beside which each part is a record of its own */
  documents: { key: string; value: Sealed<{ value: unknown; inParts?: true }> }
  /** by document and part */
  parts: { key: [document: string, part: string]; value: Sealed<{ value: unknown }> }
  /** scans, and the pages of those that are not done: a page is there whole or not at all */
  scans: { key: string; value: Sealed<ScanEntry> }
  scanPages: { key: [string, number]; value: Sealed<ScanPage> }
  /** worked-out results that can always be made anew, column by column */
  snapshots: { key: string; value: Sealed<{ value: unknown }> }
}

export type Database = IDBPDatabase<Schema>
export type Upgrade = IDBPTransaction<
  Schema,
  ('imports' | 'columns' | 'rejects' | 'documents' | 'parts' | 'snapshots' | 'scans' | 'scanPages')[],
  'versionchange'
>
