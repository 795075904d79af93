import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Span } from '@sickle/core/engine'
import { allCreators, type CreatorFigure, type CreatorQuery } from '@sickle/core/social'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'

/** Something that is to be shown. */
export interface Goods {
  key: string
  title: string
}

/** rows that are shown, and how many more at a time */
const step = 60

/** The creators that are looked through, the one that is chosen, and the goods that they are to fit. */
export const useCreators = defineStore('creators', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const lens = useLens()
  const sheaf = useSheaf()
  const query = shallowRef<CreatorQuery>(allCreators)
  /** one thing that the address names; else what is kept in the open sheaf counts */
  const named = shallowRef<Goods | null>(null)
  const goods = computed((): Goods[] =>
    named.value ? [named.value] : sheaf.kept.map(({ key, snapshot }) => ({ key, title: snapshot.title })),
  )
  const keys = computed(() => goods.value.map((g) => g.key).join('\n'))
  const most = ref(step)
  watch([query, keys], () => (most.value = step), { flush: 'sync' })
  const found = useLatest([query, keys, most, () => lens.markets, () => workspace.version], async () =>
    workspace.version === 0
      ? null
      : services.engine.call('creators', [
          plain(query.value),
          goods.value.map((g) => g.key),
          plain(lens.markets),
          most.value,
        ]),
  )
  const chosen = shallowRef<{ market: string; name: string } | null>(null)
  const look = useLatest([chosen, () => lens.markets, () => workspace.version], async () =>
    chosen.value === null || workspace.version === 0
      ? null
      : services.engine.call('creator', [chosen.value.market, chosen.value.name, plain(lens.markets)]),
  )
  const change = (some: Partial<CreatorQuery>) => void (query.value = { ...query.value, ...some })
  function setLimit(name: CreatorFigure, span: Span | null): void {
    const { [name]: _, ...limits } = query.value.limits
    change({ limits: span?.some((end) => end !== null) ? { ...limits, [name]: span } : limits })
  }
  function sortBy(by: CreatorFigure): void {
    change({ by, descending: query.value.by === by ? !query.value.descending : by !== 'nothing' && by !== 'last' })
  }
  /** Asks for those that fit something; without it for any, where that was asked before. */
  function fitTo(next: Goods | null): void {
    named.value = next
    if (next) change({ fit: 'free', by: 'fit', descending: true })
  }
  return {
    query,
    goods,
    named,
    found,
    chosen,
    look,
    change,
    setLimit,
    sortBy,
    fitTo,
    more: () => void (most.value += step),
  }
})
