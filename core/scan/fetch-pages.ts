import { Problem, stopIfCancelled } from '../problem'

/** What a source answered: a page, or that it is to be asked again. */
export type Fetched<T> = { page: T } | { again: string; afterMs: number | null } | { refused: string }

export interface FetchPagesOptions<T> {
  /** pages still to be fetched, by number from 0 */
  pages: Iterable<number>
  fetchPage: (page: number, signal?: AbortSignal) => Promise<Fetched<T>>
  /** keeps a page; what is kept once is never fetched again */
  keepPage: (page: number, value: T) => Promise<void>
  /** how many requests are under way at once (default 4) */
  concurrency?: number
  /** how often a page is asked for before the scan stops (default 8) */
  attempts?: number
  /** longest wait of the first retry, doubled by each further one up to `mostDelayMs` (defaults 500 and 15,000 ms) */
  baseDelayMs?: number
  mostDelayMs?: number
  /** evenly in [0, 1) */
  random: () => number
  sleep: (ms: number, signal?: AbortSignal) => Promise<void>
  onRetry?: (page: number, why: string) => void
  signal?: AbortSignal
}

/**
 * Fetches pages, several at once. What fails in passing is tried again after a random wait under a bound that doubles ("full
 * jitter", Brooker 2015, Exponential Backoff And Jitter), and never before the source's own Retry-After (RFC 9110, 10.2.3).
 *
 * @throws Problem 'cancelled', 'source-refused', 'source-failing'; pages kept so far stay kept
 */
export async function fetchPages<T>(options: FetchPagesOptions<T>): Promise<void> {
  const { pages, concurrency = 4, signal } = options
  const queue = pages[Symbol.iterator]()
  let failed: unknown = null
  const lane = async () => {
    for (let next = queue.next(); !next.done && failed === null; next = queue.next()) {
      stopIfCancelled(signal)
      await fetchOne(next.value, options)
    }
  }
  const lanes = Array.from({ length: concurrency }, () =>
    lane().catch((thrown: unknown) => {
      failed ??= thrown
    }),
  )
  await Promise.all(lanes)
  if (failed !== null) throw failed as Error
}

async function fetchOne<T>(page: number, options: FetchPagesOptions<T>): Promise<void> {
  const { fetchPage, keepPage, attempts = 8, random, sleep, onRetry, signal } = options
  const { baseDelayMs = 500, mostDelayMs = 15_000 } = options
  let why = ''
  for (let attempt = 0; attempt < attempts; attempt++) {
    const got = await fetchPage(page, signal)
    stopIfCancelled(signal)
    if ('page' in got) return keepPage(page, got.page)
    if ('refused' in got) throw new Problem('source-refused', { reason: got.refused })
    why = got.again
    onRetry?.(page, why)
    const bound = Math.min(mostDelayMs, baseDelayMs * 2 ** attempt)
    await sleep(Math.max(got.afterMs ?? 0, random() * bound), signal)
    stopIfCancelled(signal)
  }
  throw new Problem('source-failing', { attempts, reason: why })
}
