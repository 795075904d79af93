import { mount } from '@vue/test-utils'
import type { Item } from '@sickle/core/catalog'
import { createMemoryHistory, createRouter } from 'vue-router'
import { servicesKey } from '@/services/services'
import { bringAll, testBench } from '@/testing/workbench'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import ItemSource from './ItemSource.vue'

test('a file is never asked for its pack, and costs nothing to buy or to ship; other goods are asked', async () => {
  const bench = testBench()
  await bringAll(bench)
  await bench.bring(
    'files.csv',
    'Item ID,Title,Price (EUR),Kind\nF1,"Sowing calendar, set of 10 pages",6.00,digital\n',
    {
      market: 'Fernhand',
      kind: 'listings',
    },
  )
  await useRules().load()
  await useWorkspace().reload()
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:all(.*)*', component: { render: () => null } }],
  })
  const told = async (key: string) => {
    const item = (await bench.services.engine.call('item', [key])) as Item
    const global = { plugins: [router], provide: { [servicesKey as symbol]: bench.services } }
    return { item, text: mount(ItemSource, { props: { item }, global }).text() }
  }
  const file = await told('Fernhand/F1')
  expect(file.text).toContain('A file: nothing to buy and nothing to ship.')
  expect(file.text).not.toContain('pack')
  expect(file.item.landedE4).toBe(0)
  expect(file.item.best?.assumed).toEqual(['fees'])
  expect((await told('Marrowgate/A1')).text).toContain('The listing is a pack of')
})
