import { defineStore } from 'pinia'
import { computed } from 'vue'
import { firstScenarios, noChanges, type Scenario } from '@sickle/core/margin'
import { useServices } from '@/services/services'
import { keptDocument } from './document'

/** The seller's named what-ifs. They touch no rule. */
export const useScenarios = defineStore('scenarios', () => {
  const kept = keptDocument<readonly Scenario[]>(useServices(), 'scenarios', () => firstScenarios)
  const list = computed(() => kept.value.value)
  /** @throws Problem 'document-invalid' */
  const change = (at: number, some: Partial<Scenario>) =>
    kept.set(list.value.map((s, i) => (i === at ? { ...s, ...some } : s)))
  const remove = (at: number) => kept.set(list.value.filter((_, i) => i !== at))
  const add = (name: string) => kept.set([...list.value, { name: name.trim(), changes: noChanges }])
  return { list, load: kept.load, change, remove, add }
})
