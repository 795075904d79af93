import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useServices } from '@/services/services'
import { toProblem } from '@/shared/problem'
import { useQuery } from './query'
import { useWorkspace } from './workspace'

/** Which markets count in Finds, Demand and Rivals: said once for all three, and kept with the question. */
export const useLens = defineStore('lens', () => {
  const services = useServices()
  const query = useQuery()
  const workspace = useWorkspace()
  const markets = computed(() => query.query.lens)
  /** share done of working out what is seen, 0–1; null while nothing is */
  const progress = ref<number | null>(null)
  let controller = new AbortController()

  /** Looks through another lens once what is seen through it is worked out; the one before stays until then. */
  async function choose(wanted: readonly string[]): Promise<void> {
    controller.abort()
    const mine = (controller = new AbortController())
    // in the order of the markets, so that the same choice is the same lens
    const lens = workspace.summary.markets.filter((m) => wanted.includes(m))
    const all = lens.length === workspace.summary.markets.length ? [] : lens
    progress.value = 0
    try {
      await services.engine.call('lookThrough', [all], {
        signal: mine.signal,
        onProgress: (done) => mine === controller && (progress.value = done as number),
      })
      if (mine === controller) query.change({ lens: all })
    } catch (thrown) {
      if (toProblem(thrown).code !== 'cancelled') throw thrown
    } finally {
      if (mine === controller) progress.value = null
    }
  }
  /** in words: 'Loopreel alone', '2 of 5 markets'; null where all count */
  const told = computed(() => {
    const [first, ...others] = markets.value
    if (first === undefined) return null
    return others.length === 0
      ? `${first} alone`
      : `${others.length + 1} of ${workspace.summary.markets.length} markets`
  })
  return { markets, told, progress, choose, cancel: () => controller.abort() }
})
