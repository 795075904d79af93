import type { KindName } from '@sickle/core/records'
import { useServices } from '@/services/services'
import { useJobs } from './jobs'
import { useWorkspace } from './workspace'
import { useWriteLock } from './write-lock'

/** What the seller pasted, as a file would hold it. */
export interface PastedText {
  /** what the import is called in the ledger */
  name: string
  kind: KindName
  /** the fields of its columns, in their order */
  fields: readonly string[]
  csv: string
  /** what the job is called, and what it says once `n` rows are taken */
  job: string
  taken: (n: number) => string
}

/** Brings pasted text in as a file of its own, so that the ledger names it, its age is known and it can be taken out again. */
export function useBringText() {
  const services = useServices()
  const jobs = useJobs()
  const workspace = useWorkspace()
  const writeLock = useWriteLock()
  return async ({ name, kind, fields, csv, job, taken }: PastedText): Promise<void> => {
    writeLock.assertWriter()
    await jobs.run(job, async ({ signal, report }) => {
      const file = new File([csv], name, { type: 'text/csv' })
      const { proposal, file: summary } = await services.intake.call('plan', [file, null, services.now()])
      const columns = fields.map((field) => ({ as: 'field' as const, field }))
      const about = { id: services.newId(), now: services.now(), demo: false }
      const mapping = { ...proposal.mapping, kind, columns }
      const { entry } = await services.intake.call('run', [file, summary.sheet, mapping, about], { signal })
      report(1, taken(entry.taken))
    })
    await workspace.renew()
  }
}
