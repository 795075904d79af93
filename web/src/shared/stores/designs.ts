import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Design, DesignBlank } from '@sickle/core/supply'
import { useServices } from '@/services/services'
import { keptDocument } from './document'

/** Designs that are printed to order, each on several blanks. */
export const useDesigns = defineStore('designs', () => {
  const services = useServices()
  const kept = keptDocument<readonly Design[]>(services, 'designs', () => [])
  const list = computed(() => kept.value.value)
  /** @throws Problem 'document-invalid' */
  const change = (id: string, some: Partial<Omit<Design, 'id'>>) =>
    kept.set(list.value.map((d) => (d.id === id ? { ...d, ...some } : d)))
  const blanksOf = (id: string) => list.value.find((d) => d.id === id)?.blanks ?? []
  return {
    list,
    load: kept.load,
    change,
    add: (name: string, market: string) =>
      kept.set([...list.value, { id: services.newId(), name: name.trim(), market, blanks: [] }]),
    remove: (id: string) => kept.set(list.value.filter((d) => d.id !== id)),
    /** Puts a design on a blank, or takes it off. */
    toggle(id: string, offer: string): Promise<void> {
      const its = blanksOf(id)
      const without = its.filter((b) => b.offer !== offer)
      const blanks = without.length < its.length ? without : [...its, { offer, prints: 1, priceE4: null }]
      return change(id, { blanks })
    },
    setBlank: (id: string, offer: string, some: Partial<DesignBlank>) =>
      change(id, { blanks: blanksOf(id).map((b) => (b.offer === offer ? { ...b, ...some } : b)) }),
  }
})
