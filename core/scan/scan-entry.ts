import type { RejectedRow } from '../intake'
import type { StoredColumn } from '../tables'
import type { LimitName } from './scan-filter'
import type { ScanPlan } from './scan-plan'

/** A scan as it stands. */
export interface ScanEntry {
  id: string
  plan: ScanPlan
  /** name of what the source tells of, once it has said so */
  market: string | null
  state: 'running' | 'paused' | 'failed' | 'done'
  /** why it rests, where it does */
  note: string
  /** records of the whole list, and pages of it; null until the source has said */
  total: number | null
  pages: number | null
  asOf: string
  capturedOn: number
  windowDays: number
  pagesDone: number
  taken: number
  rejected: number
  discarded: Partial<Record<LimitName, number>>
  /** answers that had to be asked for again */
  retries: number
  startedAt: number
  endedAt: number | null
  /** the import before it of the same things, with which it is compared */
  before: string | null
}

/** A scan that has just begun, before the source has said anything. */
export function newScan(id: string, plan: ScanPlan, some: Partial<ScanEntry> = {}): ScanEntry {
  return {
    id,
    plan,
    market: null,
    state: 'running',
    note: '',
    total: null,
    pages: null,
    asOf: '',
    capturedOn: 0,
    windowDays: 30,
    pagesDone: 0,
    taken: 0,
    rejected: 0,
    discarded: {},
    retries: 0,
    startedAt: 0,
    endedAt: null,
    before: null,
    ...some,
  }
}

/** One page on its way in. */
export interface ScanPage {
  rows: number
  columns: Record<string, StoredColumn>
  rejected: RejectedRow[]
  /** records that the limits left out, by limit */
  discarded: Partial<Record<LimitName, number>>
}
