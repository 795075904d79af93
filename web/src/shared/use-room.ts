import { useResizeObserver } from '@vueuse/core'
import { shallowRef, type Ref } from 'vue'

/**
 * Inner width and height of an element, px, 0 until it is laid out. They are told by the layout alone and before it is painted: the outer
 * size, asked for once the element is there, is another by its borders, and everything would be drawn twice.
 */
export function useRoom(element: Readonly<Ref<HTMLElement | null | undefined>>) {
  const [width, height] = [shallowRef(0), shallowRef(0)]
  useResizeObserver(element, ([entry]) => {
    if (!entry) return
    width.value = entry.contentRect.width
    height.value = entry.contentRect.height
  })
  return { width, height }
}
