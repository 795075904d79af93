import { ref, watch, type Ref } from 'vue'

/** True once something is there and was painted: what is less wanted is built after it, and does not hold it up. */
export function useAfterPaint(isThere: () => boolean): Ref<boolean> {
  const isPainted = ref(false)
  const stop = watch(
    isThere,
    (there) => {
      if (!there) return
      requestAnimationFrame(() => setTimeout(() => (isPainted.value = true)))
      void Promise.resolve().then(() => stop())
    },
    { immediate: true, flush: 'post' },
  )
  return isPainted
}
