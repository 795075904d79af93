import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { useWorkspace } from '@/shared/stores/workspace'
import StageState from '@/shared/widgets/StageState.vue'
import { bringAll, testBench } from '@/testing/workbench'
import JobsTray from './JobsTray.vue'

const router = createRouter({
  history: createMemoryHistory(),
  routes: [{ path: '/', component: { render: () => null } }],
})

/** A workspace whose engine answers when it is told to. */
async function held() {
  const bench = testBench()
  await bringAll(bench)
  let go = () => undefined as void
  let tell: (done: unknown) => void = () => undefined
  const { engine } = bench.services
  const call = engine.call.bind(engine) as (name: string, args: unknown[], options?: object) => Promise<unknown>
  engine.call = (async (name: string, args: unknown[], options?: { onProgress?: (done: unknown) => void }) => {
    if (name !== 'load') return call(name, args, options)
    tell = options?.onProgress ?? tell
    await new Promise<void>((done) => (go = done))
    return call(name, args, options)
  }) as never
  const workspace = useWorkspace()
  const loading = workspace.reload()
  await new Promise((done) => setTimeout(done, 30))
  return { workspace, loading, go: () => go(), tell: (done: number) => tell(done) }
}

test('while what came in is first worked out no count is told, and how far it is stands where jobs do', async () => {
  const { workspace, loading, go, tell } = await held()
  expect(workspace.isBeginning).toBe(true)
  const tray = mount(JobsTray)
  const stage = mount(StageState, {
    props: { stage: 'Finds', ready: true, bring: 'Bring it in.' },
    slots: { default: 'No item passes all limits' },
    global: { plugins: [router] },
  })
  expect(tray.text()).toBe('No jobs')
  tell(0.34)
  await new Promise((done) => setTimeout(done, 550))
  expect(tray.text()).toBe('Working')
  expect(tray.get('.bar i').attributes('style')).toContain('34%')
  expect(stage.text()).toMatch(/Working the items out … 34.?%/)
  go()
  await loading
  await nextTick()
  expect(workspace.isBeginning).toBe(false)
  expect(tray.text()).toBe('No jobs')
  expect(stage.text()).toBe('No item passes all limits')
})

test('what was worked out before stays while a change of it is on its way', async () => {
  const { workspace, loading, go } = await held()
  go()
  await loading
  const again = workspace.reload()
  await new Promise((done) => setTimeout(done, 30))
  expect([workspace.state, workspace.isBeginning]).toEqual(['working', false])
  go()
  await again
})
