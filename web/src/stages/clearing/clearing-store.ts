import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answerFields, answersFile, type ListingStatus, type PastedAnswer } from '@sickle/core/clear'
import { isoDay } from '@sickle/core/identity'
import { useServices } from '@/services/services'
import { useJobs } from '@/shared/stores/jobs'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useWriteLock } from '@/shared/stores/write-lock'
import { useLatest } from '@/shared/use-latest'
import type { ItemScope } from '@/workers/item-scope'

/** Which items are cleared. */
export type ClearingOf = 'sheaf' | 'found' | 'all'

/** What may be listed of some items, and what is asked of a market. */
export const useClearing = defineStore('clearing', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const sheaf = useSheaf()
  const of = ref<ClearingOf>('sheaf')
  const wanted = ref<ListingStatus | 'any'>('any')
  const market = ref<string | null>(null)
  const asked = computed(() => market.value ?? workspace.summary.markets[0] ?? '')
  const decided = computed(() => [...sheaf.kept, ...sheaf.held].map((d) => d.key))
  const scope = computed((): ItemScope =>
    of.value === 'sheaf' ? { of: 'keys', keys: decided.value } : { of: of.value },
  )
  const found = useLatest([scope, wanted, () => workspace.version], async () =>
    workspace.version === 0
      ? null
      : services.engine.call('clearingRows', [scope.value, wanted.value === 'any' ? null : wanted.value]),
  )
  /** What a market is to be asked about: every item of the scope that nothing speaks of there. */
  const toAsk = useLatest(
    [scope, asked, () => workspace.version],
    async () => (workspace.version === 0 ? null : services.engine.call('askedOf', [scope.value, asked.value])),
    { isClearedFirst: true },
  )
  return { of, wanted, market, asked, found, toAsk }
})

/** Brings pasted answers in as a list of its own, so that the ledger names it and its age is known. */
export function useBringAnswers() {
  const services = useServices()
  const jobs = useJobs()
  const workspace = useWorkspace()
  const writeLock = useWriteLock()
  return async (answers: readonly PastedAnswer[]): Promise<void> => {
    writeLock.assertWriter()
    const day = isoDay(Math.floor(services.now() / 86_400_000))
    const name = `answers of ${answers[0]?.asked.market ?? 'a market'}, ${day}.csv`
    await jobs.run('Take answers', async ({ signal, report }) => {
      const file = new File([answersFile(answers, day)], name, { type: 'text/csv' })
      const { proposal, file: summary } = await services.intake.call('plan', [file, null, services.now()])
      const columns = answerFields.map((field) => ({ as: 'field' as const, field }))
      const mapping = { ...proposal.mapping, kind: 'restricted' as const, columns }
      const about = { id: services.newId(), now: services.now(), demo: false }
      const { entry } = await services.intake.call('run', [file, summary.sheet, mapping, about], { signal })
      report(1, `${entry.taken} answers taken`)
    })
    await workspace.renew()
  }
}
