import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { isSameGoods, type OwnWay } from '@sickle/core/own'
import { useServices } from '@/services/services'
import { useLatest } from '@/shared/use-latest'
import { useWorkspace } from './workspace'

/** What of all that is gathered I sell myself, by the catalogues of mine that are brought in. */
export const useOwn = defineStore('own', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const hasCatalogue = computed(() => workspace.ledger.some((e) => e.kind === 'catalogue' && e.spoilt === undefined))
  /** share of the comparison that is done, 0–1 */
  const compared = ref(0)
  const mine = useLatest([() => workspace.version, hasCatalogue], async () => {
    const { version } = workspace
    if (version === 0 || !hasCatalogue.value) return null
    compared.value = 0
    const onProgress = (done: unknown) => (compared.value = done as number)
    return { ...(await services.engine.call('mine', [], { onProgress })), version }
  })
  const of = (key: string) => mine.value?.items.get(key) ?? null
  return {
    hasCatalogue,
    compared,
    /** how many things I sell, and how many of them are met elsewhere; null until they are compared with all that is gathered now */
    counts: computed(() =>
      mine.value?.version === workspace.version ? { goods: mine.value.goods, met: mine.value.met } : null,
    ),
    of,
    /** Whether an item is among my goods; what is only likely so, or another pack, is not. */
    isMine: (key: string) => isSameGoods(of(key)?.way ?? 'likely'),
  }
})

/** How it is known that something is mine, in words. */
export const ownWayWords: Record<OwnWay, string> = {
  listing: 'my own listing',
  barcode: 'the barcode of mine',
  words: 'the words of my title',
  pack: 'mine in another pack',
  likely: 'likely mine, by its words',
}
