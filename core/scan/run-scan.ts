import { dayOfIso } from '../identity'
import { Problem, toProblemMessage } from '../problem'
import { fetchPages } from './fetch-pages'
import { mergePages } from './merge-pages'
import { pageReader, type SourcePage } from './read-page'
import type { ScanEntry } from './scan-entry'
import { idsOf, kindOfPlan, pageSize } from './scan-plan'
import type { ScanSource, ScanStore } from './scan-ports'

export interface RunScanOptions {
  store: ScanStore
  source: ScanSource
  /** when it is run, ms since 1970 */
  now: number
  /** evenly in [0, 1) */
  random: () => number
  /** resolves after so many ms, or as soon as the scan is cancelled */
  sleep: (ms: number) => Promise<void>
  /** cancelled is how a scan is paused */
  signal?: AbortSignal
  onProgress?: (scan: ScanEntry) => void
  /** rows after which a part of the import is closed (default 50,000) */
  segmentRows?: number
}

/**
 * Brings what a scan still lacks, from where it stands, and makes an import of it. Pages that were kept are not asked for again.
 *
 * @returns the scan when it is done
 * @throws Problem 'cancelled' (it rests, paused), 'source-refused', 'source-failing', 'scan-spoilt' (it rests, failed)
 */
export async function runScan(id: string, options: RunScanOptions): Promise<ScanEntry> {
  const { store, onProgress = () => undefined } = options
  try {
    await store.dropSpoiltPages(id)
    const scan = await begin(id, options)
    onProgress(scan)
    await bringPages(scan, options)
    const done = await mergePages(id, options)
    onProgress(done)
    return done
  } catch (thrown) {
    const { code } = toProblemMessage(thrown)
    const note = code === 'cancelled' ? '' : thrown instanceof Error ? thrown.message : 'it stopped'
    const rests = await store.change(id, { state: code === 'cancelled' ? 'paused' : 'failed', note })
    if (rests) onProgress(rests)
    throw thrown
  }
}

/** The first answer says how many there are. A scan that has begun before goes on as it was. */
async function begin(id: string, options: RunScanOptions): Promise<ScanEntry> {
  const { store, source } = options
  const scan = present(await store.change(id, { state: 'running', note: '' }))
  if (scan.pages !== null) return scan
  const { plan } = scan
  const about = await source.about(plan.source)
  if (!('page' in about))
    throw new Problem('source-refused', { reason: 'again' in about ? about.again : about.refused })
  let first: SourcePage | null = null
  await fetchPages<SourcePage>({
    ...patience(options),
    pages: [0],
    fetchPage: (page) => source.page(plan, page, ''),
    keepPage: (_, page) => Promise.resolve(void (first = page)),
  })
  const { total, asOf, capturedOn, windowDays } = first as unknown as SourcePage
  const all = plan.by === 'ids' ? idsOf(plan.value).length : total
  return present(
    await store.change(id, {
      market: about.page.name,
      total: all,
      pages: Math.max(1, Math.ceil(all / pageSize)),
      asOf,
      capturedOn: dayOfIso(capturedOn) ?? scan.capturedOn,
      windowDays,
    }),
  )
}

async function bringPages(scan: ScanEntry, options: RunScanOptions): Promise<void> {
  const { store, source, onProgress } = options
  const { id, plan, market, capturedOn, windowDays, asOf, pages } = scan
  const read = pageReader(kindOfPlan(plan), { from: market ?? plan.source, capturedOn, windowDays }, plan.limits)
  const done = await store.pagesDone(id)
  const missing = Array.from({ length: pages ?? 0 }, (_, page) => page).filter((page) => !done.has(page))
  let retries = scan.retries
  await fetchPages<SourcePage>({
    ...patience(options),
    pages: missing,
    fetchPage: (page) => source.page(plan, page, asOf),
    async keepPage(page, { records }) {
      const now = present(await store.keepPage(id, page, read(records, page * pageSize + 1)))
      onProgress?.({ ...now, retries })
    },
    onRetry: () => void retries++,
  })
  await store.change(id, { retries })
}

const patience = ({ signal, random, sleep }: RunScanOptions) => ({ signal, random, sleep, attempts: 10 })

/** A scan that is gone was given up. @throws Problem 'cancelled' */
function present(scan: ScanEntry | null): ScanEntry {
  if (!scan) throw new Problem('cancelled')
  return scan
}
