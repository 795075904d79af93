import { jest } from '@jest/globals'
import { mount } from '@vue/test-utils'
import { defineComponent, h, ref } from 'vue'
import { activeKeys, useKeys, type KeyBinding } from './use-keys'

const run = jest.fn()
const binding = (key: string, some: Partial<KeyBinding> = {}): KeyBinding => ({ key, label: key, run, ...some })
const screen = (bindings: KeyBinding[], isOfList: boolean) =>
  defineComponent(() => {
    const list = ref<HTMLElement | null>(null)
    useKeys('Screen', bindings, isOfList ? () => [list.value] : undefined)
    return () =>
      h('main', { id: 'stage' }, [
        h('div', { ref: list, tabindex: 0, class: 'list' }, [h('button', 'in the list')]),
        h('button', { class: 'beside' }, 'beside'),
        h('input'),
      ])
  })
function press(target: Element, key: string, some: KeyboardEventInit = {}): boolean {
  run.mockClear()
  target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...some }))
  return run.mock.calls.length === 1
}
let view: ReturnType<typeof mount>
const show = (bindings: KeyBinding[], isOfList = false) => {
  view = mount(screen(bindings, isOfList), { attachTo: document.body })
  return {
    list: view.find('.list').element,
    inList: view.find('.list button').element,
    beside: view.find('.beside').element,
    field: view.find('input').element,
  }
}
afterEach(() => {
  view.unmount()
  document.body.replaceChildren()
})

test('letters of a list act in the list alone, other keys from the whole page', () => {
  const { list, inList, beside, field } = show([binding('k'), binding('arrowdown')], true)
  expect([list, inList, beside, field, document.body].map((e) => press(e, 'k'))).toEqual([
    true,
    true,
    false,
    false,
    false,
  ])
  expect([list, beside, document.body, field].map((e) => press(e, 'ArrowDown'))).toEqual([true, true, true, false])
})

test('letters of a stage act in it and where nothing has the focus, but not under what lies over it', () => {
  const { list, beside } = show([binding('e')])
  const strip = document.body.appendChild(document.createElement('footer'))
  expect([list, beside, document.body, strip].map((e) => press(e, 'e'))).toEqual([true, true, true, false])
  const popover = document.body.appendChild(document.createElement('div'))
  popover.className = 'n-popover'
  popover.getClientRects = () => [{}] as unknown as DOMRectList
  expect([list, document.body].map((e) => press(e, 'e'))).toEqual([false, false])
  popover.getClientRects = () => [] as unknown as DOMRectList
  expect(press(list, 'e')).toBe(true)
})

test('a letter acts once however long it is held; capitals count, other modifiers do not', () => {
  const { list } = show([binding('d'), binding('ctrl+z')], true)
  expect(press(list, 'd', { repeat: true })).toBe(false)
  expect(press(list, 'D', { shiftKey: true })).toBe(true)
  expect(press(list, 'd', { ctrlKey: true })).toBe(false)
  expect(press(list, 'd', { altKey: true })).toBe(false)
  expect(press(list, 'z', { ctrlKey: true })).toBe(true)
  expect(press(list, 'z', { metaKey: true })).toBe(true)
  expect(press(list, 'z')).toBe(false)
})

test('in a field and under a dialog only what always acts; once gone, nothing does', () => {
  const { field, list } = show([binding('escape'), binding('ctrl+k', { always: true })])
  expect([press(field, 'Escape'), press(field, 'k', { ctrlKey: true })]).toEqual([false, true])
  const wrapper = document.body.appendChild(document.createElement('div'))
  wrapper.className = 'n-modal-body-wrapper'
  const modal = wrapper.appendChild(document.createElement('div'))
  modal.className = 'n-modal'
  modal.getClientRects = () => [{}] as unknown as DOMRectList
  expect([press(list, 'Escape'), press(list, 'k', { ctrlKey: true })]).toEqual([false, true])
  modal.className = 'n-modal fade-in-scale-up-transition-leave-active'
  expect(press(list, 'Escape')).toBe(true)
  wrapper.remove()
  expect(activeKeys.map((k) => k.group)).toEqual(['Screen'])
  view.unmount()
  expect([activeKeys.length, press(document.body, 'Escape')]).toEqual([0, false])
})

test('what another has dealt with is left alone', () => {
  const { list } = show([binding('k')], true)
  list.addEventListener('keydown', (event) => event.preventDefault())
  expect(press(list, 'k')).toBe(false)
})
