import type { Cut } from '@sickle/core/engine'
import { computed, type ComputedRef } from 'vue'
import { useServices } from '@/services/services'
import { useOwn } from '@/shared/stores/own'
import { useQuery } from '@/shared/stores/query'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'

/**
 * How many items each Cut leaves; null while that is not known. A Cut by what I sell waits for the comparison with all items, which it does not
 * begin, and no other Cut waits with it.
 */
export function useCutCounts(): ComputedRef<(number | null)[]> {
  const [services, query, own, workspace] = [useServices(), useQuery(), useOwn(), useWorkspace()]
  const byOwn = (isOwn: boolean) => query.cuts.filter((cut) => (query.queryOf(cut).own !== 'any') === isOwn)
  async function countsOf(cuts: readonly Cut[]): Promise<Map<string, number>> {
    if (cuts.length === 0) return new Map()
    const counts = await services.engine.call('counts', [cuts.map((cut) => plain(query.queryOf(cut))), []])
    return new Map(cuts.map(({ name }, i) => [name, counts[i] as number]))
  }
  // not the question as a whole: it changes with every limit that is drawn
  const sources = [() => query.cuts, () => query.query.lens, () => workspace.version]
  const isCompared = computed(() => !own.hasCatalogue || own.counts !== null)
  const others = useLatest(sources, () => countsOf(byOwn(false)))
  const ofOwn = useLatest([...sources, isCompared], async () => (isCompared.value ? countsOf(byOwn(true)) : null))
  return computed(() => query.cuts.map(({ name }) => others.value?.get(name) ?? ofOwn.value?.get(name) ?? null))
}
