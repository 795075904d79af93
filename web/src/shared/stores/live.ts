import { defineStore } from 'pinia'
import { shallowRef, watch } from 'vue'
import type { Assumption } from '@sickle/core/catalog'
import type { FindRow } from '@sickle/core/engine'
import type { Decision } from '@sickle/core/verdict'
import { useServices } from '@/services/services'
import { useSheaf } from './sheaf'
import { useWorkspace } from './workspace'

const nothingAssumed: readonly Assumption[] = []

/** What is decided, with the figures of now: what follows from a changed cost follows in every list. */
export const useLive = defineStore('live', () => {
  const services = useServices()
  const sheaf = useSheaf()
  const workspace = useWorkspace()
  const rows = shallowRef(new Map<string, FindRow>())
  /** what was asked for on the data as they are: a further decision asks for one more */
  let known = new Set<string>()
  let knownOf = -1
  watch(
    [() => workspace.version, () => sheaf.decisions],
    async ([version, decisions]) => {
      const isNews = version !== knownOf
      if (isNews) [known, knownOf] = [new Set(), version]
      const keys = [...decisions.keys()].filter((key) => !known.has(key))
      if (version === 0 || keys.length === 0) return
      const mine = known
      for (const key of keys) mine.add(key)
      const got = await services.engine.call('rows', [keys]).catch((thrown: unknown) => {
        // a failed read is no answer: it is asked for again with the next decision
        for (const key of keys) mine.delete(key)
        throw thrown
      })
      if (mine !== known) return
      const found = got.flatMap(({ key, row }) => (row ? [[key, row] as const] : []))
      // those of before are shown until those of now are here
      if (isNews || found.length > 0) rows.value = new Map(isNews ? found : [...rows.value, ...found])
    },
    { immediate: true },
  )
  /** The figures of a decided item: of now where it is still gathered, else as they were when it was decided. */
  function of({ key, snapshot }: Pick<Decision, 'key' | 'snapshot'>) {
    const row = rows.value.get(key)
    if (!row) return { ...snapshot, assumed: nothingAssumed, clearing: null, isOld: true }
    const { profitE4, units, listings, assumed, clearing } = row
    return { ...snapshot, profitE4, units, listings, assumed, clearing, isOld: false }
  }
  /** The same of many: one call, as each through a store costs more than what it does. */
  const ofAll = (list: readonly Pick<Decision, 'key' | 'snapshot'>[]) => list.map(of)
  return { of, ofAll }
})
