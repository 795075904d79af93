import { defineStore } from 'pinia'
import { computed } from 'vue'
import { cutChanges, runAgain, type CutRun } from '@sickle/core/engine'
import { checkStoreCut, readStoreCut, shippedStoreCuts, type StoreCut, type StoreQuery } from '@sickle/core/stores'
import { useServices } from '@/services/services'
import { plain } from '@/storage/plain'
import { keptDocument } from './document'

/** The Cuts of stores, those that ship and those of the seller, and what each left when it was last run. */
export const useStoreCuts = defineStore('storeCuts', () => {
  const services = useServices()
  const kept = keptDocument<StoreCut[]>(services, 'storeCuts', () => [])
  const runs = keptDocument<Record<string, CutRun>>(services, 'storeCutRuns', () => ({}))
  const own = computed(() => kept.value.value)
  const put = (cut: StoreCut) => kept.set([...own.value.filter((c) => c.name !== cut.name), cut])
  return {
    load: () => Promise.all([kept.load(), runs.load()]),
    all: computed(() => [...shippedStoreCuts, ...own.value]),
    /** @throws Problem 'cut-invalid' */
    keep: async (name: string, query: StoreQuery) =>
      put(checkStoreCut({ name: name.trim(), query: plain(query), ships: false })),
    drop: (name: string) => kept.set(own.value.filter((c) => c.name !== name)),
    /** Takes a Cut from a file. @throws Problem 'cut-invalid' */
    take: (json: unknown) => put(readStoreCut(json)),
    /** Keeps which stores a Cut left, beside those it left on the data before. */
    noteRun: (cut: StoreCut, found: { data: string; keys: string[] }) =>
      runs.set({
        ...runs.value.value,
        [cut.name]: runAgain(runs.value.value[cut.name] ?? null, { ...found, at: services.now() }),
      }),
    changesOf(cut: StoreCut) {
      const run = runs.value.value[cut.name]
      return run ? cutChanges(run) : null
    },
  }
})
