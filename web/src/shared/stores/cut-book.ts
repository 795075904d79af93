import { computed } from 'vue'
import {
  checkCut,
  cutChanges,
  readCut,
  runAgain,
  shippedCuts,
  type Cut,
  type CutRun,
  type Query,
} from '@sickle/core/engine'
import type { Services } from '@/services/services'
import { plain } from '@/storage/plain'
import { keptDocument } from './document'

/** The Cuts, those that ship and those of the seller, and what each found when it was last run. */
export function cutBook(services: Services) {
  const own = keptDocument<Cut[]>(services, 'cuts', () => [])
  const runs = keptDocument<Record<string, CutRun>>(services, 'cutRuns', () => ({}))
  const put = (cut: Cut) => own.set([...own.value.value.filter((c) => c.name !== cut.name), cut])
  return {
    load: () => Promise.all([own.load(), runs.load()]),
    cuts: computed(() => [...shippedCuts, ...own.value.value]),
    /** @throws Problem 'cut-invalid' */
    keepCut: async (name: string, query: Query) =>
      put(checkCut({ name: name.trim(), query: plain(query), ships: false })),
    dropCut: (name: string) => own.set(own.value.value.filter((c) => c.name !== name)),
    /** Takes a Cut from a file. @throws Problem 'cut-invalid' */
    takeCut: (json: unknown) => put(readCut(json)),
    /** Keeps what a Cut found, beside what it found on the data before. */
    noteRun: (cut: Cut, found: { data: string; at: number; keys: string[] }) =>
      runs.set({ ...runs.value.value, [cut.name]: runAgain(runs.value.value[cut.name] ?? null, found) }),
    changesOf(cut: Cut) {
      const run = runs.value.value[cut.name]
      return run ? cutChanges(run) : null
    },
  }
}
