import { exportFormats } from '@sickle/core/exports'
import { mount } from '@vue/test-utils'
import ExportAs from './ExportAs.vue'

test('every format is offered, and the one that is pressed is said', async () => {
  const stubs = { HousePopover: { template: '<div><slot name="trigger" /><slot /></div>' } }
  const all = mount(ExportAs, { props: { label: 'Export it', note: 'All of it' }, global: { stubs } })
  const [trigger, ...formats] = all.findAll('button')
  expect(trigger?.text()).toBe('Export')
  expect(formats.map((b) => b.text())).toEqual(Object.values(exportFormats).map((f) => f.label))
  expect(all.text()).toContain('All of it, as')
  for (const b of formats) await b.trigger('click')
  expect(all.emitted('take')).toEqual(Object.keys(exportFormats).map((name) => [name]))
  await all.setProps({ disabled: true })
  expect(trigger?.attributes('disabled')).toBeDefined()
})
