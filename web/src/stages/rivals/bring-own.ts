import { pastedFile, type PastedGoods } from '@sickle/core/own'
import { useServices } from '@/services/services'
import { useJobs } from '@/shared/stores/jobs'
import { useWorkspace } from '@/shared/stores/workspace'
import { useWriteLock } from '@/shared/stores/write-lock'
import { removeImport } from '@/storage/imports'

/** what the import is called in the ledger */
export const pastedName = 'my goods, pasted.csv'

/** Brings a pasted list of own goods in, as a file of the kind `catalogue` would come; the list that was pasted before goes. */
export function useBringOwn() {
  const services = useServices()
  const jobs = useJobs()
  const workspace = useWorkspace()
  const writeLock = useWriteLock()
  return async (goods: readonly PastedGoods[]): Promise<void> => {
    writeLock.assertWriter()
    const before = workspace.ledger.filter((e) => e.file === pastedName)
    await jobs.run('Take my goods', async ({ signal, report }) => {
      const file = new File([pastedFile(goods)], pastedName, { type: 'text/csv' })
      const { proposal, file: summary } = await services.intake.call('plan', [file, null, services.now()])
      const columns = ['sku', 'title', 'gtin'].map((field) => ({ as: 'field' as const, field }))
      const mapping = { ...proposal.mapping, kind: 'catalogue' as const, columns }
      const about = { id: services.newId(), now: services.now(), demo: false }
      const { entry } = await services.intake.call('run', [file, summary.sheet, mapping, about], { signal })
      report(1, `${entry.taken} things taken`)
    })
    for (const { id } of before) await removeImport(await services.database(), id)
    await workspace.renew()
  }
}
