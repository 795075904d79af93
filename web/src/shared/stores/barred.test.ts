import { mount } from '@vue/test-utils'
import { createMemoryHistory, createRouter } from 'vue-router'
import { servicesKey } from '@/services/services'
import { until } from '@/testing/until'
import { bringAll, testBench } from '@/testing/workbench'
import ItemLink from '../widgets/ItemLink.vue'
import { useBarred } from './barred'
import { useRules } from './rules'
import { useWorkspace } from './workspace'

test('what a list bars is marked wherever the item stands; what is only unknown is not', async () => {
  const bench = testBench()
  await bringAll(bench)
  await useRules().load()
  await useWorkspace().reload()
  const barred = useBarred()
  await until(() => barred.statusOf('Marrowgate/A3') !== null)
  expect(barred.statusOf('Marrowgate/A3')).toBe('restricted')
  expect(['Marrowgate/A1', 'Marrowgate/A5', 'gone'].map(barred.statusOf)).toEqual([null, null, null])
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/', component: { render: () => null } }],
  })
  const link = (itemKey: string) =>
    mount(ItemLink, {
      props: { itemKey, title: 'Bird bath' },
      global: { plugins: [router], provide: { [servicesKey as symbol]: bench.services } },
    }).text()
  expect(link('Marrowgate/A3')).toMatch(/✗ may not be listed/)
  expect(link('Marrowgate/A1')).not.toMatch(/listed/)
})
