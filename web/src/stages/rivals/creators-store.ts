import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Span } from '@sickle/core/engine'
import { allCreators, type CreatorFigure, type CreatorQuery } from '@sickle/core/social'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { withLimit } from '@/shared/figure-limits'
import { useGrowing } from '@/shared/use-growing'
import { useLatest } from '@/shared/use-latest'
import { plain } from '@/storage/plain'

/** Something that is to be shown. */
export interface Goods {
  key: string
  title: string
}

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
  const { most, more } = useGrowing([query, keys])
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
  const setLimit = (name: CreatorFigure, span: Span | null) =>
    change({ limits: withLimit(query.value.limits, name, span) })
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
    more,
  }
})
