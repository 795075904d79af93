import { mount } from '@vue/test-utils'
import { nextTick, useTemplateRef, watch } from 'vue'
import { room } from '@/testing/told-room'
import { useRoom } from './use-room'

// with its borders it is wider than its room
Object.defineProperty(HTMLElement.prototype, 'offsetWidth', { get: () => 302 })

test('there is no room before the layout tells of it, and then what it tells, each size once', async () => {
  const sizes: string[] = []
  const page = mount({
    template: '<div ref="box" style="width: 300px"/>',
    setup() {
      const { width, height } = useRoom(useTemplateRef<HTMLElement>('box'))
      watch([width, height], ([w, h]) => sizes.push(`${w} × ${h}`), { immediate: true })
    },
  })
  await nextTick()
  expect([room.isWatched, sizes]).toEqual([true, ['0 × 0']])
  room.tell(300, 199.5)
  await nextTick()
  room.tell(300, 199.5)
  await nextTick()
  room.tell(280, 199.5)
  await nextTick()
  expect(sizes).toEqual(['0 × 0', '300 × 199.5', '280 × 199.5'])
  page.unmount()
  expect(room.isWatched).toBe(false)
})
