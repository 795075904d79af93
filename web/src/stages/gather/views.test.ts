import { jest } from '@jest/globals'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { nextTick } from 'vue'
import { openFile, previewRows, proposeMapping, Recogniser } from '@sickle/core/intake'
import { servicesKey, type Services } from '@/services/services'
import { openDatabase } from '@/storage/database'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import { until } from '@/testing/until'
import ColumnTable from './ColumnTable.vue'
import DropField from './DropField.vue'
import FileOpening from './FileOpening.vue'
import FileQuestions from './FileQuestions.vue'
import ImportHints from './ImportHints.vue'
import { useGather } from './gather-store'

const recogniser = new Recogniser()

/** The store with a file open, over an opener that answers in place. */
async function withFile(csv: string) {
  const bytes = new TextEncoder().encode(csv)
  const part = (from: number, to: number) => ({ arrayBuffer: () => Promise.resolve(bytes.slice(from, to).buffer) })
  const file = { name: 'a.csv', size: bytes.length, slice: part } as unknown as File
  const opened = await openFile(file)
  const summary = { ...opened, holds: [], firstRows: opened.sample.slice(0, 6) }
  const opener = {
    call: (method: string, args: unknown[]) =>
      Promise.resolve(
        method === 'preview'
          ? previewRows(opened, args[2] as never, 8)
          : { file: summary, proposal: proposeMapping(opened, Date.UTC(2026, 11, 1), { recogniser }) },
      ),
  }
  const services = { opener, now: () => 0, database: () => openDatabase('views') } as unknown as Services
  const pinia = createPinia()
  setActivePinia(pinia)
  const global = { plugins: [pinia], provide: { [servicesKey as symbol]: services } }
  const host = mount({ template: '<i/>', setup: () => ({ gather: useGather() }) }, { global })
  const gather = (host.vm as unknown as { gather: ReturnType<typeof useGather> }).gather
  await gather.offer([file])
  return { gather, global, file }
}
const csv =
  'Item ID,Title,Seller,Price (EUR),Gizmo\nA1,Cow bell brass,Wren,3.50,4\nA2,Dog lead red,Tern,9.00,17\nA3,Yoga mat blue,Wren,12.00,0\n'

test('each column says what it is taken for and how surely; a correction is the seller\u2019s own word', async () => {
  const { global } = await withFile(csv)
  const table = mount(ColumnTable, { global })
  const rows = () => table.findAll('tbody tr').map((r) => r.find('.sure').text())
  expect(rows()).toEqual(['sure', 'sure', 'sure', 'sure', 'not used'])
  const selects = table.findAllComponents(HouseSelect)
  const chosen = () => selects.map((each) => (each.props() as { modelValue: string }).modelValue)
  expect(chosen()).toEqual(['field:id', 'field:title', 'field:store', 'field:price', 'unused'])
  await selects[4]!.setValue('field:price')
  await nextTick()
  // a field is one column's alone
  expect(chosen().slice(3)).toEqual(['unused', 'field:price'])
  expect(rows().slice(3)).toEqual(['as you said', 'as you said'])
})

test('hints are answered by one press', async () => {
  const { gather, global } = await withFile(csv)
  const hints = mount(ImportHints, { global })
  expect(hints.text()).toContain("Is 'Gizmo' the units in window?")
  await hints
    .findAll('button')
    .find((b) => b.text() === 'No')!
    .trigger('click')
  await nextTick()
  expect(hints.text()).toContain('Without units in window, Sickle will not know how much it sells')
  expect(hints.findAll('button')).toEqual([])
  expect(gather.current?.mapping.columns[4]).toEqual({ as: 'unused' })
})

test('a question with a few answers is asked once, answered, and stays to be changed', async () => {
  const { gather, global } = await withFile('Search term,Searches,Change\nmug,10,1.5\nbell,20,0.2\nmat,4,2.5\n')
  const asked = mount(FileQuestions, { global, props: { about: 'cells' } })
  expect(asked.find('[role=radiogroup]').attributes('aria-label')).toBe("Under 'Change', does 1.5 mean 1.5 % or 150 %?")
  expect(asked.find('.group').classes()).toContain('open')
  await asked.findAll('input[type=radio]')[1]!.setValue(true)
  await nextTick()
  expect(gather.current?.mapping.styles[2]?.ratio).toBe('share')
  expect(asked.find('.group').classes()).not.toContain('open')
})

test('while a file is being opened its name stands there, with a way out', async () => {
  const { gather, global } = await withFile(csv)
  const bar = mount(FileOpening, { global })
  expect(bar.find('section').exists()).toBe(false)
  gather.opening = { file: 'large.json', done: 0.4 }
  await nextTick()
  expect(bar.text()).toContain('Reading large.json')
  expect(bar.get('button').text()).toBe('Cancel')
})

test('a file that is chosen once the field is gone from the screen opens all the same', async () => {
  const { gather, global, file } = await withFile(csv)
  await gather.skip()
  expect(gather.current).toBeNull()
  const inputs: HTMLInputElement[] = []
  const click = jest.spyOn(HTMLInputElement.prototype, 'click').mockImplementation(function (this: HTMLInputElement) {
    inputs.push(this)
  })
  const field = mount(DropField, { global })
  await field.find('button').trigger('click')
  field.unmount()
  Object.defineProperty(inputs[0]!, 'files', { value: [file] })
  inputs[0]!.dispatchEvent(new Event('change'))
  await until(() => gather.current !== null)
  expect(gather.current?.file.name).toBe('a.csv')
  click.mockRestore()
})
