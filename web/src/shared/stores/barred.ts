import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useServices } from '@/services/services'
import { useLatest } from '@/shared/use-latest'
import { useRules } from './rules'
import { useWorkspace } from './workspace'

/** What may not be listed, or needs approval first, marked wherever an item stands. */
export const useBarred = defineStore('barred', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const rules = useRules()
  const isListed = computed(
    () => workspace.ledger.some((e) => e.kind === 'restricted') || rules.corrections.avoid.length > 0,
  )
  const found = useLatest([() => workspace.version, isListed], async () =>
    workspace.version > 0 && isListed.value ? services.engine.call('barred', []) : null,
  )
  return { statusOf: (key: string) => found.value?.get(key) ?? null }
})
