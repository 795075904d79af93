import { defineStore } from 'pinia'
import { shallowRef, watch } from 'vue'
import type { FindRow } from '@sickle/core/engine'
import type { Decision } from '@sickle/core/verdict'
import { useServices } from '@/services/services'
import { useSheaf } from './sheaf'
import { useWorkspace } from './workspace'

/** What is decided, with the figures of now: what follows from a changed cost follows in every list. */
export const useLive = defineStore('live', () => {
  const services = useServices()
  const sheaf = useSheaf()
  const workspace = useWorkspace()
  const rows = shallowRef(new Map<string, FindRow>())
  let asked = 0
  watch(
    [() => workspace.version, () => [...sheaf.decisions.keys()].join('\n')],
    async ([version]) => {
      const keys = [...sheaf.decisions.keys()]
      const mine = ++asked
      if (version === 0 || keys.length === 0) return void (rows.value = new Map())
      const got = await services.engine.call('rows', [keys])
      if (mine === asked) rows.value = new Map(got.flatMap(({ key, row }) => (row ? [[key, row] as const] : [])))
    },
    { immediate: true },
  )
  /** The figures of a decided item: of now where it is still gathered, else as they were when it was decided. */
  function of({ key, snapshot }: Pick<Decision, 'key' | 'snapshot'>) {
    const row = rows.value.get(key)
    if (!row) return { ...snapshot, feesAssumed: false, isOld: true }
    const { profitE4, units, listings, feesAssumed } = row
    return { ...snapshot, profitE4, units, listings, feesAssumed, isOld: false }
  }
  return { of }
})
