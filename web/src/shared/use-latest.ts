import { shallowRef, watch, type ShallowRef, type WatchSource } from 'vue'

/** An answer that is asked for anew whenever a source changes; of several on their way the latest alone counts. */
export function useLatest<T>(sources: WatchSource[], ask: () => Promise<T>): ShallowRef<T | null> {
  const answer: ShallowRef<T | null> = shallowRef(null)
  let asked = 0
  watch(
    sources,
    async () => {
      const mine = ++asked
      const got = await ask()
      if (mine === asked) answer.value = got
    },
    { immediate: true },
  )
  return answer
}
