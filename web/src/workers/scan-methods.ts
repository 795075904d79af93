import { dayOfIso } from '@sickle/core/identity'
import { isNumeric } from '@sickle/core/records'
import type { RejectedRow } from '@sickle/core/intake'
import { Problem, toProblemMessage } from '@sickle/core/problem'
import {
  compareScans,
  describePlan,
  fetchPages,
  identities,
  idsOf,
  kindOfPlan,
  pageReader,
  type ScanPlan,
  type SourcePage,
} from '@sickle/core/scan'
import { appendRows, numberAt, numbers, TableBuilder, textAt, textColumn, type Table } from '@sickle/core/tables'
import { openDatabase } from '../storage/database'
import type { Database, ImportEntry } from '../storage/schema'
import { findImport, loadCaptures, removeImport, saveSegment } from '../storage/imports'
import type { ScanEntry } from '../storage/scan-entry'
import { changeScan, dropSpoiltPages, finishScan, keepPage, keptPages, pagesDone, readScan } from '../storage/scans'
import type { CallContext } from './channel'
import { askSource } from './ask-source'

const pageSize = 200
const segmentRows = 50_000

/** What the scan worker is asked for. */
export const scanMethods = {
  /** What a source says of itself. @throws Problem 'source-refused' */
  async about({ signal }: CallContext, source: string) {
    const got = await askSource<About>(`${source}/about`, {}, signal)
    if ('page' in got) return got.page
    throw new Problem('source-refused', { reason: 'again' in got ? got.again : got.refused })
  },

  /** Goes on with a scan from where it stands; cancelling the call is how it is paused. Progress is the scan as it stands. */
  async run({ signal, progress }: CallContext, id: string, now: number): Promise<ScanEntry> {
    const db = await openDatabase()
    try {
      await dropSpoiltPages(db, id)
      const scan = await begin(db, id, signal)
      progress(scan)
      await bringPages(db, scan, signal, progress)
      const done = await finish(db, id, now)
      progress(done)
      return done
    } catch (thrown) {
      const { code } = toProblemMessage(thrown)
      const note = code === 'cancelled' ? '' : thrown instanceof Error ? thrown.message : 'it stopped'
      const rests = await changeScan(db, id, { state: code === 'cancelled' ? 'paused' : 'failed', note })
      if (rests) progress(rests)
      throw thrown
    } finally {
      db.close()
    }
  },

  /** What changed against the look before. */
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

interface About {
  name: string
  currency: string
  lists?: string[]
  stores?: string[]
  terms?: string[]
  categories?: string[]
}

async function tablesOf(db: Database, id: string) {
  const entry = await findImport(db, id)
  return entry ? (await loadCaptures(db, entry)).map((c) => c.table) : []
}

/** The first answer says how many there are. A scan that has begun before goes on as it was. */
async function begin(db: Database, id: string, signal: AbortSignal): Promise<ScanEntry> {
  const scan = await changeScan(db, id, { state: 'running', note: '' })
  if (!scan) throw new Problem('cancelled')
  if (scan.pages !== null) return scan
  const { plan } = scan
  const about = await scanMethods.about({ signal, progress: () => undefined }, plan.source)
  let first: SourcePage | null = null
  await fetchPages<SourcePage>({
    ...patience(signal),
    pages: [0],
    fetchPage: (page) => fetchPage(plan, page, '', signal),
    keepPage: (_, page) => Promise.resolve(void (first = page)),
  })
  const { total, asOf, capturedOn, windowDays } = first as unknown as SourcePage
  const all = plan.by === 'ids' ? idsOf(plan.value).length : total
  const begun = await changeScan(db, id, {
    market: about.name,
    total: all,
    pages: Math.max(1, Math.ceil(all / pageSize)),
    asOf,
    capturedOn: dayOfIso(capturedOn) ?? scan.capturedOn,
    windowDays,
  })
  if (!begun) throw new Problem('cancelled')
  return begun
}

async function bringPages(db: Database, scan: ScanEntry, signal: AbortSignal, progress: (scan: ScanEntry) => void) {
  const { id, plan, market, capturedOn, windowDays, asOf, pages } = scan
  const read = pageReader(kindOfPlan(plan), { from: market ?? plan.source, capturedOn, windowDays }, plan.limits)
  const done = await pagesDone(db, id)
  const missing = Array.from({ length: pages ?? 0 }, (_, page) => page).filter((page) => !done.has(page))
  let retries = scan.retries
  await fetchPages<SourcePage>({
    ...patience(signal),
    pages: missing,
    fetchPage: (page) => fetchPage(plan, page, asOf, signal),
    async keepPage(page, { records }) {
      const now = await keepPage(db, id, page, read(records, page * pageSize + 1))
      if (!now) throw new Problem('cancelled')
      progress({ ...now, retries })
    },
    onRetry: () => void retries++,
  })
  await changeScan(db, id, { retries })
}

function patience(signal: AbortSignal) {
  return {
    signal,
    attempts: 10,
    random: () => Math.random(),
    sleep: (ms: number) =>
      new Promise<void>((resolve) => {
        const end = setTimeout(resolve, ms)
        signal.addEventListener('abort', () => (clearTimeout(end), resolve()), { once: true })
      }),
  }
}

function fetchPage(
  { source, list = 'listings', by, value }: ScanPlan,
  page: number,
  asOf: string,
  signal: AbortSignal,
) {
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

/** Pages become segments of an import; a record that stood on two pages is taken once. */
async function finish(db: Database, id: string, now: number): Promise<ScanEntry> {
  const scan = await readScan(db, id)
  if (!scan) throw new Problem('cancelled')
  const { fields } = kindOfPlan(scan.plan)
  const specs = fields.map((f) => ({ name: f.name, type: isNumeric(f.type) ? ('number' as const) : ('text' as const) }))
  const seen = new Set<string>()
  const rejected: RejectedRow[] = []
  const segments: number[] = []
  let builder = new TableBuilder(specs)
  const close = async () => {
    await saveSegment(db, id, segments.length, builder.finish())
    segments.push(builder.rows)
    builder = new TableBuilder(specs)
  }
  try {
    for await (const page of keptPages(db, id)) {
      const keyOf = keyReader(page.table, identities[scan.plan.list ?? 'listings'])
      appendRows(builder, page.table, (row) => isNew(seen, keyOf(row)))
      if (rejected.length < 20_000) rejected.push(...page.rejected)
      if (builder.rows >= segmentRows) await close()
    }
    if (builder.rows > 0) await close()
    const done: ScanEntry = { ...scan, state: 'done', taken: seen.size, endedAt: now }
    if (seen.size === 0) return (await changeScan(db, id, done)) ?? done
    await finishScan(
      db,
      done,
      importOf(done, segments, now),
      rejected,
      fields.map((f) => f.label),
    )
    return done
  } catch (thrown) {
    await removeImport(db, id)
    throw thrown
  }
}

/** What a row is known by, in one text. */
function keyReader(table: Table, names: readonly string[]): (row: number) => string {
  const columns = names.map((name) => [textColumn(table, name), numbers(table, name)] as const)
  return (row) => JSON.stringify(columns.map(([text, number]) => textAt(text, row) ?? numberAt(number, row)))
}

function isNew(seen: Set<string>, id: string): boolean {
  if (seen.has(id)) return false
  seen.add(id)
  return true
}

function importOf(scan: ScanEntry, segments: number[], now: number): ImportEntry {
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
    segments,
    demo: false,
  }
}

export type ScanMethods = typeof scanMethods
