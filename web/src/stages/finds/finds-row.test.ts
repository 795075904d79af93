import { mount } from '@vue/test-utils'
import type { FindRow } from '@sickle/core/engine'
import { testBench } from '@/testing/workbench'
import { chosenColumns } from './columns'
import FindsRow from './FindsRow.vue'

const row = { key: 'a', title: 'Fern trellis', markets: ['Marrowgate'], listings: 2, picture: null } as FindRow
let box: ReturnType<typeof mountRow>

function mountRow() {
  const props = { row, home: 'EUR', columns: [], selected: false, decision: null, unfolded: null }
  return mount(FindsRow, { props: { ...props, columns: chosenColumns(['price', 'units'], '€') } })
}
beforeEach(() => {
  testBench()
  box = mountRow()
})

test('a row opens at the second press of a double click, though the cell pressed goes before it is let go', async () => {
  const cell = box.findAll('[role="gridcell"]').at(-1)
  await cell?.trigger('mousedown', { detail: 1 })
  await cell?.trigger('click', { detail: 1 })
  expect(box.emitted('choose')).toHaveLength(1)
  expect(box.emitted('open')).toBeUndefined()

  await cell?.trigger('mousedown', { detail: 2 })
  await box.setProps({ columns: [] })
  expect(box.emitted('open')).toHaveLength(1)
  expect(box.emitted('choose')).toHaveLength(2)
})

test('a third press, another button, or the fold pressed twice opens nothing', async () => {
  await box.trigger('mousedown', { detail: 3 })
  await box.trigger('mousedown', { detail: 2, button: 2 })
  const fold = box.get('.unfold')
  for (const detail of [1, 2]) {
    await fold.trigger('mousedown', { detail })
    await fold.trigger('click', { detail })
  }
  expect(box.emitted('unfold')).toEqual([['a'], ['a']])
  expect(box.emitted('open')).toBeUndefined()
  expect(box.emitted('choose')).toBeUndefined()
})
