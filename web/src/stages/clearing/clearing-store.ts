import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answerFields, answersFile, type ListingStatus, type PastedAnswer } from '@sickle/core/clear'
import { isoDay } from '@sickle/core/identity'
import { useServices } from '@/services/services'
import { useBringText } from '@/shared/stores/bring-text'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
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

/** Brings pasted answers in as a list of its own. */
export function useBringAnswers() {
  const services = useServices()
  const bring = useBringText()
  return (answers: readonly PastedAnswer[]): Promise<void> => {
    const day = isoDay(Math.floor(services.now() / 86_400_000))
    return bring({
      name: `answers of ${answers[0]?.asked.market ?? 'a market'}, ${day}.csv`,
      kind: 'restricted',
      fields: answerFields,
      csv: answersFile(answers, day),
      job: 'Take answers',
      taken: (n) => `${n} answers taken`,
    })
  }
}
