import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { toProblem } from '@/shared/problem'
import { useWriteLock } from './write-lock'

export interface Job {
  id: number
  label: string
  state: 'waiting' | 'running' | 'paused' | 'done' | 'failed' | 'cancelled'
  /** 0–1; null where it cannot be told */
  done: number | null
  note: string
  cancel: () => void
  /** where it can rest and go on later */
  pause?: () => void
}

export interface JobContext {
  signal: AbortSignal
  report: (done: number | null, note?: string) => void
}

/** Long work in the tray: one after another, each with progress and a way to stop it. */
export const useJobs = defineStore('jobs', () => {
  const jobs = ref<Job[]>([])
  let next = 1
  let queue: Promise<unknown> = Promise.resolve()

  /** Queues work; resolves with its result or rejects with its Problem. */
  function run<T>(label: string, work: (context: JobContext) => Promise<T>): Promise<T> {
    const controller = new AbortController()
    const id = next++
    jobs.value.push({ id, label, state: 'waiting', done: null, note: '', cancel: () => controller.abort() })
    const change = (some: Partial<Job>) => {
      jobs.value = jobs.value.map((j) => (j.id === id ? { ...j, ...some } : j))
    }
    const start = async () => {
      if (controller.signal.aborted) {
        change({ state: 'cancelled', note: 'Cancelled before it began.' })
        throw toProblem(new DOMException('cancelled', 'AbortError'))
      }
      change({ state: 'running' })
      try {
        const result = await work({
          signal: controller.signal,
          report: (done, note) => change({ done, ...(note === undefined ? {} : { note }) }),
        })
        change({ state: 'done', done: 1 })
        return result
      } catch (thrown) {
        const problem = toProblem(thrown)
        change({ state: problem.code === 'cancelled' ? 'cancelled' : 'failed', note: problem.message })
        throw problem
      }
    }
    const result = queue.then(start)
    queue = result.then(
      () => undefined,
      () => undefined,
    )
    return result
  }

  /** Shows work that runs elsewhere. @returns how to tell of it */
  function track(label: string, acts: Pick<Job, 'cancel' | 'pause'>): (some: Partial<Job>) => void {
    const id = next++
    jobs.value.push({ id, label, state: 'running', done: null, note: '', ...acts })
    return (some) => {
      jobs.value = jobs.value.map((j) => (j.id === id ? { ...j, ...some } : j))
    }
  }

  const active = computed(() => jobs.value.filter((j) => j.state === 'waiting' || j.state === 'running'))
  useWriteLock().onLoss(() => active.value.forEach((j) => j.cancel()))
  function clearFinished() {
    jobs.value = active.value
  }
  return { jobs, active, run, track, clearFinished }
})
