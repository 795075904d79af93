import { shallowRef, watch, type ShallowRef, type WatchSource } from 'vue'

/**
 * An answer that is asked for anew whenever a source changes; of several on their way the latest alone counts. Where it fails there is no
 * answer: what was answered to another question is not kept in its place.
 *
 * @param isClearedFirst whether there is no answer until the next one is here, rather than the one before
 */
export function useLatest<T>(
  sources: WatchSource[],
  ask: () => Promise<T>,
  { isClearedFirst = false } = {},
): ShallowRef<T | null> {
  const answer: ShallowRef<T | null> = shallowRef(null)
  let asked = 0
  watch(
    sources,
    async () => {
      const mine = ++asked
      const take = (got: T | null) => {
        if (mine === asked) answer.value = got
      }
      if (isClearedFirst) answer.value = null
      try {
        take(await ask())
      } catch (thrown) {
        take(null)
        throw thrown
      }
    },
    { immediate: true },
  )
  return answer
}
