import { defineStore } from 'pinia'
import { computed } from 'vue'
import { adCutsSchema, type AdCut, type AdQuery } from '@sickle/core/social'
import { Problem } from '@sickle/core/problem'
import { firstFault } from '@sickle/core/schema'
import { useServices } from '@/services/services'
import { plain } from '@/storage/plain'
import { keptDocument } from './document'

/** Kept questions about advertisements. */
export const useAdCuts = defineStore('adCuts', () => {
  const services = useServices()
  const kept = keptDocument<AdCut[]>(services, 'adCuts', () => [])
  const all = computed(() => kept.value.value)
  const without = (name: string) => all.value.filter((c) => c.name !== name)
  return {
    all,
    load: kept.load,
    /** One of the same name is replaced. @throws Problem 'cut-invalid' */
    async keep(name: string, query: AdQuery): Promise<void> {
      const cut: AdCut = { name: name.trim(), query: plain(query) }
      const fault = firstFault(adCutsSchema, [cut])
      if (fault) throw new Problem('cut-invalid', { reason: `${fault.where.replace('[0].', '')} ${fault.what}`.trim() })
      await kept.set([...without(cut.name), cut])
    },
    drop: (name: string) => kept.set(without(name)),
  }
})
