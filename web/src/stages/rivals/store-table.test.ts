import { mount } from '@vue/test-utils'
import { useWorkspace } from '@/shared/stores/workspace'
import { until } from '@/testing/until'
import { bringAll, testBench } from '@/testing/workbench'
import { useRivals } from './rivals-store'
import StoreTable from './StoreTable.vue'

beforeAll(() => bringAll(testBench()))

test('a store opens at the second press on its row; its tick pressed twice opens nothing', async () => {
  testBench()
  await useWorkspace().reload()
  const rivals = useRivals()
  await until(() => rivals.list !== null)
  const table = mount(StoreTable)
  const row = table.findAll('.line.at').find((r) => r.text().includes('Sill Life'))
  const tick = row?.get('input')
  for (const detail of [1, 2]) await tick?.trigger('mousedown', { detail })
  await row?.trigger('mousedown', { detail: 1 })
  expect(table.emitted('open')).toBeUndefined()

  await row?.trigger('mousedown', { detail: 2 })
  expect(table.emitted('open')).toHaveLength(1)
  expect(rivals.list?.names[rivals.chosenAt ?? -1]).toBe('Sill Life')
})
