import { mount } from '@vue/test-utils'
import LineField from './LineField.vue'

test('a line counts once it is left, and then shows what holds', async () => {
  const field = mount(LineField, { props: { value: 'Spring', label: 'Name' } })
  const input = field.get('input')
  const type = (text: string) => {
    input.element.value = text
    return input.trigger('input')
  }
  expect(input.attributes('aria-label')).toBe('Name')
  await type('  Autumn ')
  expect(field.emitted('change')).toBeUndefined()
  await input.trigger('change')
  expect(field.emitted('change')).toEqual([['Autumn']])
  // taken: the new name comes from outside
  await field.setProps({ value: 'Autumn' })
  await input.trigger('blur')
  expect(input.element.value).toBe('Autumn')
  // not taken: an empty name is none
  await type('')
  await input.trigger('change')
  await input.trigger('blur')
  expect(input.element.value).toBe('Autumn')
  // changed elsewhere
  await field.setProps({ value: 'Winter' })
  expect(input.element.value).toBe('Winter')
})
