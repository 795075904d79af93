import type { Fetched } from '@sickle/core/scan'

const longestMs = 40_000

/**
 * Asks a source through Sickle's own server. What fails in passing (no answer, half an answer, 429, 5xx) is to be asked again;
 * what the source refuses is refused.
 */
export async function askSource<T>(
  path: string,
  query: Record<string, string>,
  signal?: AbortSignal,
  isRight: (value: unknown) => value is T = (value): value is T => typeof value === 'object' && value !== null,
): Promise<Fetched<T>> {
  const url = `/api/sources/${path}?${new URLSearchParams(query).toString()}`
  try {
    const limit = AbortSignal.timeout(longestMs)
    const response = await fetch(url, { signal: signal ? AbortSignal.any([signal, limit]) : limit })
    if (response.status === 429 || response.status >= 500)
      return { again: `it answered ${response.status}`, afterMs: afterOf(response) }
    const value: unknown = await response.json()
    if (!response.ok) return { refused: reasonOf(value) ?? `it answered ${response.status}` }
    return isRight(value) ? { page: value } : { again: 'its answer does not keep to the contract', afterMs: null }
  } catch (thrown) {
    if (signal?.aborted) throw thrown
    const half = thrown instanceof SyntaxError
    return { again: half ? 'it gave half an answer' : 'it does not answer', afterMs: null }
  }
}

function afterOf(response: Response): number | null {
  const seconds = Number(response.headers.get('retry-after') ?? NaN)
  return Number.isFinite(seconds) && seconds >= 0 ? Math.min(seconds, 300) * 1000 : null
}

function reasonOf(value: unknown): string | null {
  const { reason } = (value ?? {}) as Record<string, unknown>
  return typeof reason === 'string' ? reason.slice(0, 300) : null
}
