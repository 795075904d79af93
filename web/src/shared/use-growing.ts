import { ref, watch, type WatchSource } from 'vue'

/** rows that a list shows at first, and how many more at a time */
const step = 60

/** How many rows of a list are shown: as many as were asked for, and the first ones again when what is asked changes. */
export function useGrowing(sources: WatchSource[]) {
  const most = ref(step)
  watch(sources, () => (most.value = step), { flush: 'sync' })
  return { most, more: () => void (most.value += step) }
}
