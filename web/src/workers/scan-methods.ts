import { Problem } from '@sickle/core/problem'
import {
  compareScans,
  idsOf,
  pageSize,
  runScan,
  type Fetched,
  type ScanEntry,
  type ScanPlan,
  type ScanSource,
  type SourceAbout,
  type SourcePage,
} from '@sickle/core/scan'
import { openDatabase } from '../storage/database'
import { findImport, loadCaptures } from '../storage/imports'
import { scanStore } from '../storage/scan-store'
import { readScan } from '../storage/scans'
import type { Database } from '../storage/schema'
import { askSource } from './ask-source'
import type { CallContext } from './channel'

/** What the scan worker is asked for. */
export const scanMethods = {
  /** What a source says of itself. @throws Problem 'source-refused' */
  async about({ signal }: CallContext, source: string) {
    const got = await askAbout(source, signal)
    if ('page' in got) return got.page
    throw new Problem('source-refused', { reason: 'again' in got ? got.again : got.refused })
  },

  /** Goes on with a scan from where it stands; cancelling the call is how it is paused. Progress is the scan as it stands. */
  async run({ signal, progress }: CallContext, id: string, now: number): Promise<ScanEntry> {
    const db = await openDatabase()
    try {
      const ports = { store: scanStore(db, now), source: sourceOf(signal) }
      const sleep = (ms: number) => wait(ms, signal)
      return await runScan(id, { ...ports, now, signal, random: () => Math.random(), sleep, onProgress: progress })
    } finally {
      db.close()
    }
  },

  /** What changed against the capture before. */
  async changes(_: CallContext, id: string) {
    const db = await openDatabase()
    try {
      const scan = await readScan(db, id)
      const [before, after] = await Promise.all([scan?.before ?? '', id].map((at) => tablesOf(db, at)))
      return scan?.before && before && after ? compareScans(before, after) : []
    } finally {
      db.close()
    }
  },
}

const askAbout = (source: string, signal: AbortSignal) => askSource<SourceAbout>(`${source}/about`, {}, signal)

/** Sources as Sickle's own server hands their answers on. */
const sourceOf = (signal: AbortSignal): ScanSource => ({
  about: (source) => askAbout(source, signal),
  page: (plan, page, asOf) => fetchPage(plan, page, asOf, signal),
})

async function tablesOf(db: Database, id: string) {
  const entry = await findImport(db, id)
  return entry ? (await loadCaptures(db, entry)).map((c) => c.table) : []
}

function wait(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const end = setTimeout(resolve, ms)
    signal.addEventListener('abort', () => (clearTimeout(end), resolve()), { once: true })
  })
}

function fetchPage(
  { source, list = 'listings', by, value }: ScanPlan,
  page: number,
  asOf: string,
  signal: AbortSignal,
): Promise<Fetched<SourcePage>> {
  const ids = by === 'ids' ? idsOf(value).slice(page * pageSize, (page + 1) * pageSize) : []
  const what: Record<string, string> =
    by === 'ids' ? { ids: ids.join(','), page: '0' } : { [by]: value, page: String(page) }
  const query = { ...what, limit: String(pageSize), ...(asOf === '' ? {} : { asOf }) }
  return askSource<SourcePage>(`${source}/${list}`, query, signal, isPage)
}

function isPage(value: unknown): value is SourcePage {
  const { total, records, asOf, windowDays, capturedOn } = (value ?? {}) as Record<string, unknown>
  return (
    Number.isInteger(total) &&
    Array.isArray(records) &&
    typeof asOf === 'string' &&
    typeof windowDays === 'number' &&
    typeof capturedOn === 'string'
  )
}

export type ScanMethods = typeof scanMethods
