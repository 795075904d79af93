import { defineStore } from 'pinia'
import { ref } from 'vue'
import { learnFrom, type Learned } from '@sickle/core/intake'
import { Problem } from '@sickle/core/problem'
import { useServices } from '@/services/services'
import { count } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { useJobs } from '@/shared/stores/jobs'
import { useSettings } from '@/shared/stores/settings'
import { useWorkspace } from '@/shared/stores/workspace'
import { useWriteLock } from '@/shared/stores/write-lock'
import { plain } from '@/storage/plain'
import { useOpenFiles, type OpenImport } from './open-files'
import { useReview } from './review'

/** Files on their way in: opened, looked at and corrected one by one, then brought in as jobs. */
export const useGather = defineStore('gather', () => {
  const services = useServices()
  const jobs = useJobs()
  const settings = useSettings()
  const workspace = useWorkspace()
  const writeLock = useWriteLock()
  const failures = ref<{ file: string; text: string }[]>([])
  const fail = (file: string, thrown: unknown) =>
    void (failures.value = [...failures.value, { file, text: toProblem(thrown).message }])
  const files = useOpenFiles(fail, () => begin())
  const { current, next } = files
  const { begin, ...review } = useReview(current)
  let brought: OpenImport | null = null

  /** Brings the open file in, in the background, and goes on to the next. */
  async function bring(): Promise<void> {
    const now = current.value
    if (!now || now === brought || review.openQuestions.value.length > 0 || review.missing.value.length > 0) return
    brought = now
    void bringIn(now).catch((thrown: unknown) => {
      if (toProblem(thrown).code !== 'cancelled') fail(now.file.name, thrown)
    })
    await new Promise((resolve) => setTimeout(resolve)) // the click is answered before the screen changes
    await next()
  }

  async function bringIn(now: OpenImport): Promise<void> {
    const { file, summary, mapping } = now
    writeLock.assertWriter()
    await jobs.run(`Bring in ${file.name}`, async ({ signal, report }) => {
      const about = { id: services.newId(), now: services.now(), demo: false }
      const { entry, rejects } = await services.intake.call('run', [file, summary.sheet, mapping, about], {
        signal,
        graceMs: 2000,
        onProgress: (p) => showProgress(p, report),
      })
      const known = `${count(entry.taken)} rows taken${entry.rejected ? `, ${count(entry.rejected)} not: see the ledger` : ''}`
      report(1, entry.taken === 0 ? 'No row could be taken; nothing was kept.' : known)
      if (entry.taken === 0)
        fail(
          file.name,
          new Problem('file-none-taken', {
            file: file.name,
            rows: entry.rejected,
            reason: rejects.rejected[0]?.reason ?? '',
          }),
        )
      else await settings.learn(learnedFrom(plain(settings.learned), now))
    })
    await workspace.renew()
  }

  const dismiss = (at: number) => void (failures.value = failures.value.filter((_, i) => i !== at))
  return { ...files, ...review, failures, skip: next, bring, dismiss }
})

export function showProgress(progress: unknown, report: (done: number, note: string) => void): void {
  const { done, rows } = progress as { done: number; rows: number }
  report(done, `${rows.toLocaleString('en')} rows`)
}

/** What a file taught, by what the seller changed in it. */
function learnedFrom(before: Learned, { file, summary, proposal, mapping }: OpenImport): Learned {
  const guess = proposal.kinds.find((k) => k.kind === mapping.kind)?.columns.map((c) => c.use) ?? []
  const about = { headings: summary.headings, holds: summary.holds, file: file.name }
  return learnFrom(before, about, { proposed: proposal.mapping, guess, final: mapping })
}
