import { useElementSize, useScroll } from '@vueuse/core'
import { computed, toValue, type MaybeRefOrGetter, type Ref } from 'vue'
import { offsetOf, pace, placeAt, tallestBox, totalHeight, type TallList } from './tall-list'

const overscan = 3

/**
 * The rows of a list that are on the screen, of up to millions: what it costs does not depend on how many there are.
 *
 * @param box what scrolls @param head height of what sticks to its top
 */
export function useTallList(box: Readonly<Ref<HTMLElement | null>>, list: MaybeRefOrGetter<TallList>, head: number) {
  const { y } = useScroll(box)
  const { height } = useElementSize(box)
  const view = computed(() => Math.max(0, height.value - head))
  const rate = computed(() => pace(toValue(list), view.value))
  const total = computed(() => Math.min(tallestBox, totalHeight(toValue(list))))
  const rows = computed(() => {
    const now = toValue(list)
    if (now.count === 0) return []
    const scrolled = Math.min(y.value, Math.max(0, total.value - view.value))
    const top = scrolled * rate.value
    const first = Math.max(0, placeAt(now, top) - overscan)
    const last = Math.min(now.count - 1, placeAt(now, top + view.value) + overscan)
    return Array.from({ length: last - first + 1 }, (_, i) => ({
      index: first + i,
      start: offsetOf(now, first + i) - top + scrolled,
    }))
  })
  /** Scrolls no further than needed to have a row whole on the screen. */
  function show(place: number): void {
    const now = toValue(list)
    const [top, bottom] = [offsetOf(now, place), offsetOf(now, place + 1)]
    const from = (box.value?.scrollTop ?? 0) * rate.value
    const to = top < from ? top : bottom > from + view.value ? bottom - view.value : from
    if (box.value && to !== from) box.value.scrollTop = to / rate.value
  }
  return { rows, total, show }
}
