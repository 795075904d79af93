import { ref, watch } from 'vue'
import { toProblem } from '@/shared/problem'
import type { CallOptions } from '@/workers/channel'
import { useJobs, type Job } from './jobs'
import { useQuery } from './query'

/** ms from which on a comparison is told among the jobs: one of few things is through before */
const tellFrom = 500

/** A comparison of mine with all items: how far it is, and a way to stop it. Stopped it stays until it is asked for. */
export function useOwnComparison() {
  const jobs = useJobs()
  const query = useQuery()
  /** share that is done, 0–1 */
  const compared = ref(0)
  const isStopped = ref(false)
  // who asks for what is mine, by a limit or a Cut, asks for the comparison too
  watch(
    () => query.query.own,
    (asked) => asked !== 'any' && (isStopped.value = false),
  )
  let running = new AbortController()
  let tell: (some: Partial<Job>) => void = () => undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  function stop(): void {
    isStopped.value = true
    running.abort()
    clearTimeout(timer)
    // at once: the worker may be in the midst of something
    tell({ state: 'cancelled' })
    // nothing can be told of what is mine: a limit by it would wait for the comparison again
    if (query.query.own !== 'any') query.change({ own: 'any' })
  }
  async function run<T>(compare: (options: CallOptions) => Promise<T>): Promise<T | null> {
    compared.value = 0
    running = new AbortController()
    let tellOfThis: typeof tell = () => undefined
    clearTimeout(timer)
    const mine = (timer = setTimeout(() => {
      tell = tellOfThis = jobs.track('Comparing what I sell', { cancel: stop })
    }, tellFrom))
    const onProgress = (done: unknown) => {
      compared.value = done as number
      tellOfThis({ done: compared.value })
    }
    try {
      const found = await compare({ signal: running.signal, onProgress })
      tellOfThis({ state: 'done', done: 1 })
      return found
    } catch (thrown) {
      const { code, message } = toProblem(thrown)
      tellOfThis(code === 'cancelled' ? { state: 'cancelled' } : { state: 'failed', note: message })
      if (code !== 'cancelled') throw thrown
      return null
    } finally {
      clearTimeout(mine)
    }
  }
  return { compared, isStopped, stop, run }
}
