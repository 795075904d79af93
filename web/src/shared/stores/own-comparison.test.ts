import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { comparing } from '@/testing/comparing'
import { until } from '@/testing/until'
import OwnComparing from '@/shared/widgets/OwnComparing.vue'
import { useWorkspace } from './workspace'

const longEnough = () => new Promise((done) => setTimeout(done, 550))

test('a long comparison stands among the jobs with how far it is, and is done there', async () => {
  const { own, jobs, go } = await comparing()
  const shown = mount(OwnComparing)
  expect(own.compared).toBe(0.24)
  expect(shown.text()).toMatch(/Comparing what I sell with all items … 24.?%/)
  expect(jobs.jobs).toEqual([])
  await longEnough()
  expect(jobs.active.map((j) => j.label)).toEqual(['Comparing what I sell'])
  go()
  await until(() => own.counts !== null, 'the counts')
  expect(own.counts).toEqual({ goods: 2, met: 1 })
  expect(jobs.jobs.map((j) => [j.state, j.done])).toEqual([['done', 1]])
})

test('a short one is not told among the jobs', async () => {
  const { own, jobs, go } = await comparing()
  go()
  await until(() => own.counts !== null, 'the counts')
  await longEnough()
  expect(jobs.jobs).toEqual([])
})

test('stopped, nothing is told of what is mine, no limit asks for it, and it stays so until it is asked for', async () => {
  const { own, query, jobs, go, timesAsked } = await comparing()
  const shown = mount(OwnComparing)
  query.change({ own: 'mine' })
  await longEnough()
  jobs.active[0]?.cancel()
  await nextTick()
  expect([own.isStopped, own.counts, query.query.own]).toEqual([true, null, 'any'])
  expect(shown.text()).toMatch(/Not compared with all items/)
  expect(jobs.jobs.map((j) => j.state)).toEqual(['cancelled'])
  await useWorkspace().reload()
  await nextTick()
  expect(timesAsked('mine')).toBe(1)
  await shown.get('button').trigger('click')
  await until(() => timesAsked('mine') === 2, 'the second comparison')
  go()
  await until(() => own.counts !== null, 'the counts')
  expect([own.isStopped, own.isMine('Marrowgate/A1')]).toEqual([false, true])
})

test('stopped at once, it never stands among the jobs', async () => {
  const { own, jobs } = await comparing()
  own.stop()
  await longEnough()
  expect([own.isStopped, jobs.jobs]).toEqual([true, []])
})

test('once there is no catalogue any more nothing is stopped, and nothing is told of it', async () => {
  const { own } = await comparing()
  own.stop()
  const workspace = useWorkspace()
  for (const { id } of workspace.ledger.filter((e) => e.kind === 'catalogue')) await workspace.remove(id)
  await until(() => !own.hasCatalogue, 'the removal')
  expect([own.isStopped, own.counts]).toEqual([false, null])
})
