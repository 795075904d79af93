import { mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { createMemoryHistory } from 'vue-router'
import { bringAll, testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import App from './App.vue'
import { createAppRouter } from './router'
import { servicesKey } from '@/services/services'

/** The whole application in one piece, over the workers' own methods: each stage shows the figures that are worked out by hand. */

let app: VueWrapper
const router = createAppRouter(createMemoryHistory())
const text = () => app.text().replace(/\s+/g, ' ')
const shows = (...words: string[]) => until(() => words.every((w) => text().includes(w)), words.join(', '))
async function go(path: string): Promise<void> {
  await router.push(path)
}
const press = (words: string | RegExp) => {
  const found = app
    .findAll('button')
    .find((b) => (typeof words === 'string' ? b.text() === words : words.test(b.text())))
  if (!found) throw new Error(`there is no button ${words}`)
  return found.trigger('click')
}

beforeAll(async () => {
  const bench = testBench()
  await bringAll(bench)
  globalThis.fetch = () => Promise.resolve(new Response('[]'))
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  }
  const pinia = createPinia()
  setActivePinia(pinia)
  await go('/today')
  const mounted: unknown = mount(App, {
    attachTo: document.body,
    global: { plugins: [pinia, router], provide: { [servicesKey as symbol]: bench.services } },
  })
  app = mounted as VueWrapper
  await shows('Rising', 'Jobs done')
})
afterAll(() => app.unmount())

test('Today tells what was done', () =>
  shows('market.csv', '5 listings from Marrowgate', '2 supplier offers from Sill Mill', '2 restricted entries'))

test('Gather has the ledger', async () => {
  await go('/gather')
  await shows('market.csv', 'supplier.csv', 'terms.csv', 'restricted.csv', 'Scan a source')
  expect(app.findAll('[aria-label=Ledger] tbody tr')).toHaveLength(4)
})

test('Finds has three items with their profits at assumed fees; one is looked at, kept and costed', async () => {
  await go('/finds')
  await shows('3 of 3 items', 'fees assumed on Marrowgate')
  await until(() => app.findAll('.find').length > 0, 'rows')
  await go('/finds/item/Marrowgate/A1')
  await shows('Is it really selling?', '62 units in 30 days', 'What do I make?', '+7.37 (57 %)')
  await press(/^Keep/)
  await shows('1 kept')
})

test('Margin works the sale out, fees and all', async () => {
  await go('/margin/Marrowgate/A1')
  await shows('Market fee, assumed', 'Payment fee, assumed', 'What goes in')
  await until(() => app.find('[data-test=profit]').exists(), 'the profit')
  expect(app.find('[data-test=profit]').text()).toMatch(/^\+7\.37/)
  expect(app.find('[data-test=margin]').text()).toBe('57.2\u00a0%')
})

test('Sheaves keep it, Launch drafts it', async () => {
  await go('/sheaves')
  await shows('Balcony hook')
  expect(app.find('select.decided').element).toHaveProperty('value', 'keep')
  await go('/launch')
  await until(() => text().includes('Draft 1 kept item'), 'what can be drafted')
  await press(/^Draft 1 kept item/)
  await shows('ready', 'Expected profit')
})

test('Demand has the tree and the terms', async () => {
  await go('/demand')
  await shows('5 of 5 listings sold in 30 days', 'bird bath')
})

test('Settings hold the rules and the backup', async () => {
  await go('/settings')
  await shows('Home currency', 'Rates of exchange', 'Write a backup')
})
