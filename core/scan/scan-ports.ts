import type { RejectedRow } from '../intake'
import type { Table } from '../tables'
import type { Fetched } from './fetch-pages'
import type { ReadPage, SourcePage } from './read-page'
import type { ScanEntry } from './scan-entry'
import type { ScanPlan } from './scan-plan'

/** What a source says of itself. */
export interface SourceAbout {
  name: string
  currency: string
  lists?: string[]
  stores?: string[]
  terms?: string[]
  categories?: string[]
}

/** Where a scan's answers come from. */
export interface ScanSource {
  about: (source: string) => Promise<Fetched<SourceAbout>>
  /** @param asOf the state of the list that the first page was of, '' where it is not known yet */
  page: (plan: ScanPlan, page: number, asOf: string) => Promise<Fetched<SourcePage>>
}

/** Where a scan rests between its pages, and what it becomes. Each step is done whole or not at all. */
export interface ScanStore {
  /** null where it is gone */
  read: (id: string) => Promise<ScanEntry | null>
  /** @returns the scan as it is now; null where it is gone */
  change: (id: string, some: Partial<ScanEntry>) => Promise<ScanEntry | null>
  /** Lets pages go that are not as they were kept, so that they are asked for again; the scan counts those that are left. */
  dropSpoiltPages: (id: string) => Promise<void>
  /** numbers of the pages that rest */
  pagesDone: (id: string) => Promise<ReadonlySet<number>>
  /** Keeps a page and counts it, once. @returns the scan as it is now; null where it is gone */
  keepPage: (id: string, page: number, read: ReadPage) => Promise<ScanEntry | null>
  /** pages that rest, in their order */
  pages: (id: string) => AsyncIterable<Pick<ReadPage, 'table' | 'rejected'>>
  /** Keeps one part of the records that the scan becomes. */
  keepSegment: (id: string, at: number, table: Table) => Promise<void>
  /** The segments become an import, and the pages go. @param segments rows of each */
  finish: (scan: ScanEntry, segments: readonly number[], rejected: readonly RejectedRow[]) => Promise<void>
  /** Lets segments go that became no import. */
  dropSegments: (id: string) => Promise<void>
}
