import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { describePlan, newScan, planKey, type ScanChange, type ScanEntry, type ScanPlan } from '@sickle/core/scan'
import { useServices } from '@/services/services'
import { count } from '@/shared/format'
import { plain } from '@/storage/plain'
import { toProblem } from '@/shared/problem'
import { addScan, dropScan, listScans } from '@/storage/scans'
import { useJobs } from './jobs'
import { useWriteLock } from './write-lock'
import { useWorkspace } from './workspace'

export interface SourceEntry {
  id: string
  name: string
  standin: boolean
}

/** Scans of sources: they run in a worker, rest and go on, and come to be imports. */
export const useScans = defineStore('scans', () => {
  const services = useServices()
  const writeLock = useWriteLock()
  const sources = shallowRef<SourceEntry[]>([])
  const { list, finished, show, run, pause, cancel, resumeAll } = useScanRuns()

  /** Scans that ran when the tab was closed go on by themselves. */
  async function load(): Promise<void> {
    list.value = await listScans(await services.database())
    void fetchSources()
    if (writeLock.role === 'writer') resumeAll()
  }
  async function fetchSources(): Promise<void> {
    const response = await fetch('/api/sources').catch(() => null)
    if (response?.ok) sources.value = (await response.json()) as SourceEntry[]
  }
  const about = (source: string) => services.scan.call('about', [source])

  async function start(plan: ScanPlan): Promise<void> {
    writeLock.assertWriter()
    const before = list.value.find((s) => s.state === 'done' && s.taken > 0 && planKey(s.plan) === planKey(plan))
    const scan = newScan(services.newId(), plain(plan), {
      capturedOn: Math.floor(services.now() / 86_400_000),
      startedAt: services.now(),
      before: before?.id ?? null,
    })
    await addScan(await services.database(), scan)
    show(scan)
    void run(scan)
  }
  const resume = (scan: ScanEntry) => void run(scan)
  /** The same again on what the source says now. */
  const again = (scan: ScanEntry) => start(scan.plan)
  const changes = (scan: ScanEntry): Promise<ScanChange[]> => services.scan.call('changes', [scan.id])

  writeLock.onNews((news) => {
    if (news.about === 'data')
      void services
        .database()
        .then(listScans)
        .then((now) => (list.value = now))
  })
  return { sources, list, finished, load, about, start, pause, resume, cancel, again, changes, resumeAll }
})

/** The scans that there are, those under way, and their places in the tray. */
function useScanRuns() {
  const services = useServices()
  const jobs = useJobs()
  const writeLock = useWriteLock()
  const workspace = useWorkspace()
  const list = shallowRef<ScanEntry[]>([])
  const finished = ref<ScanEntry | null>(null)
  const running = new Map<string, AbortController>()

  function show(scan: ScanEntry): void {
    const others = list.value.filter((s) => s.id !== scan.id)
    list.value = [scan, ...others].sort((a, b) => b.startedAt - a.startedAt)
  }
  async function run(scan: ScanEntry): Promise<void> {
    writeLock.assertWriter()
    const controller = new AbortController()
    running.set(scan.id, controller)
    const tell = jobs.track(`Scan of ${describePlan(scan.plan)}`, {
      pause: () => pause(scan.id),
      cancel: () => void cancel(scan.id),
    })
    const hear = (now: ScanEntry) => {
      show(now)
      tell({ done: now.pages ? now.pagesDone / now.pages : null, note: progressNote(now) })
    }
    try {
      const done = await services.scan.call('run', [scan.id, services.now()], {
        signal: controller.signal,
        onProgress: (now) => hear(now as ScanEntry),
      })
      tell({ state: 'done', done: 1, note: progressNote(done) })
      finished.value = done
      await workspace.renew()
    } catch (thrown) {
      const { code, message } = toProblem(thrown)
      const gone = !list.value.some((s) => s.id === scan.id)
      tell({
        state: code !== 'cancelled' ? 'failed' : gone ? 'cancelled' : 'paused',
        note: code === 'cancelled' ? '' : message,
      })
    } finally {
      running.delete(scan.id)
    }
  }

  const pause = (id: string) => running.get(id)?.abort()
  async function cancel(id: string): Promise<void> {
    writeLock.assertWriter()
    list.value = list.value.filter((s) => s.id !== id)
    running.get(id)?.abort()
    await dropScan(await services.database(), id)
  }
  function resumeAll(): void {
    for (const scan of list.value) if (scan.state === 'running' && !running.has(scan.id)) void run(scan)
  }
  writeLock.onLoss(() => running.forEach((r) => r.abort()))
  return { list, finished, show, run, pause, cancel, resumeAll }
}

/** Where a scan stands, in a line. */
export function progressNote({ total, taken, rejected, discarded, retries }: ScanEntry): string {
  const left = Object.values(discarded).reduce((a, b) => a + b, 0)
  return [
    total === null ? 'asking the source' : `${count(taken)} of ${count(total)} taken`,
    left > 0 && `${count(left)} discarded`,
    rejected > 0 && `${count(rejected)} not readable`,
    retries > 0 && `asked again ${count(retries)} times`,
  ]
    .filter(Boolean)
    .join(' · ')
}
