import { defineStore } from 'pinia'
import { computed } from 'vue'
import { isSameGoods, type OwnWay } from '@sickle/core/own'
import { useServices } from '@/services/services'
import { useLatest } from '@/shared/use-latest'
import { useOwnComparison } from './own-comparison'
import { useWorkspace } from './workspace'

/** What of all that is gathered I sell myself, by the catalogues of mine that are brought in. */
export const useOwn = defineStore('own', () => {
  const services = useServices()
  const workspace = useWorkspace()
  const hasCatalogue = computed(() => workspace.ledger.some((e) => e.kind === 'catalogue' && e.spoilt === undefined))
  const comparison = useOwnComparison()
  const { compared } = comparison
  /** without a catalogue there is nothing to compare, nor anything stopped */
  const isStopped = computed(() => hasCatalogue.value && comparison.isStopped.value)
  const mine = useLatest([() => workspace.version, hasCatalogue, isStopped], async () => {
    const { version } = workspace
    if (version === 0 || !hasCatalogue.value || isStopped.value) return null
    const found = await comparison.run((options) => services.engine.call('mine', [], options))
    return found && { ...found, version }
  })
  const of = (key: string) => mine.value?.items.get(key) ?? null
  return {
    hasCatalogue,
    compared,
    isStopped,
    stop: comparison.stop,
    /** Begins a comparison that was stopped. */
    compare: () => void (comparison.isStopped.value = false),
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
