import { mount } from '@vue/test-utils'
import { computed } from 'vue'
import { decimalMarkKey } from '../use-typed'
import GoodsPicture from './GoodsPicture.vue'
import MoneyField from './MoneyField.vue'
import NumberField from './NumberField.vue'
import PackStepper from './PackStepper.vue'

test('an amount is read with a point or a comma; what is none stays, is marked and changes nothing', async () => {
  const field = mount(MoneyField, { props: { value: 124_800, currency: 'EUR', label: 'Price' } })
  const input = field.get('input')
  expect(input.element.value).toBe('12.48')
  await input.setValue('13,5')
  expect(field.emitted('change')).toEqual([[135_000]])
  for (const bad of ['abc', '-3', '', '1.200']) {
    await input.setValue(bad)
    expect(input.attributes('aria-invalid')).toBe('true')
    expect(input.element.value).toBe(bad)
  }
  expect(field.emitted('change')).toHaveLength(1)
  // a group of three digits where an amount has two decimals: both readings are said
  expect(field.get('[role=alert]').text()).toMatch(/1\.2 or as 1200/)
  await input.setValue('1,200')
  expect(field.emitted('change')?.[1]).toEqual([12_000_000])
})

test('a field that may be empty says so when it is emptied', async () => {
  const field = mount(NumberField, { props: { value: 3, label: 'At least', open: true } })
  await field.get('input').setValue('')
  expect(field.emitted()).toMatchObject({ clear: [[]] })
  await field.get('input').setValue('2.5')
  expect(field.emitted('change')).toEqual([[2.5]])
})

test('numbers are shown and read as the seller writes them', async () => {
  const provide = { [decimalMarkKey as symbol]: computed(() => ',' as const) }
  const field = mount(MoneyField, { props: { value: 124_800, currency: 'EUR', label: 'Price' }, global: { provide } })
  expect(field.get('input').element.value).toBe('12,48')
  await field.get('input').setValue('1.200')
  expect(field.emitted('change')).toEqual([[12_000_000]])
})

test('a ratio is shown in percent and kept within its bounds', async () => {
  const field = mount(NumberField, { props: { value: 0.12, percent: true, max: 1, label: 'Fee' } })
  const input = field.get('input')
  expect(input.element.value).toBe('12')
  await input.setValue('6.5 %')
  await input.setValue('250')
  expect(field.emitted('change')).toEqual([[0.065]])
  expect(input.attributes('aria-invalid')).toBe('true')
})

test('packs step by one, never under one; emptied they go back to what was found', async () => {
  const field = mount(PackStepper, { props: { value: 1, label: 'Pack' } })
  const [less, more] = field.findAll('button')
  expect(less?.attributes('disabled')).toBeDefined()
  await more?.trigger('click')
  await field.get('input').setValue('')
  await field.get('input').setValue('0')
  expect(field.emitted('change')).toEqual([[2], [null]])
})

test('pictures from elsewhere are not fetched: a tile stands in', () => {
  expect(
    mount(GoodsPicture, { props: { src: 'https://example.test/x.png', title: 'nest box' } })
      .find('img')
      .exists(),
  ).toBe(false)
  expect(
    mount(GoodsPicture, { props: { src: '/demo/pictures/mug-white.svg', title: 'mug' } })
      .get('img')
      .attributes('src'),
  ).toBe('/demo/pictures/mug-white.svg')
})
