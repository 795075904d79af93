import { mount } from '@vue/test-utils'
import { nextTick } from 'vue'
import { bringAll, testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import OwnComparing from '@/shared/widgets/OwnComparing.vue'
import { useJobs } from './jobs'
import { useOwn } from './own'
import { useQuery } from './query'
import { useWorkspace } from './workspace'

const catalogue = 'SKU,EAN,Title,My price\n1,4006381333931,Balcony hooks,12.00\n2,,Oak stool,9.00\n'

/** A workspace whose comparison of what I sell stands still until it is let go. */
async function comparing() {
  const bench = testBench()
  await bringAll(bench)
  await bench.bring('mine.csv', catalogue, { kind: 'catalogue', currency: 'EUR' })
  const { engine } = bench.services
  const call = engine.call.bind(engine) as (name: string, args: unknown[], options?: object) => Promise<unknown>
  let asked = 0
  let go = () => undefined as void
  engine.call = (async (
    name: string,
    args: unknown[],
    options?: { signal?: AbortSignal; onProgress?: (done: unknown) => void },
  ) => {
    if (name === 'mine') {
      asked++
      options?.onProgress?.(0.24)
      await new Promise<void>((done, fail) => {
        go = done
        options?.signal?.addEventListener('abort', () => fail(new DOMException('stopped', 'AbortError')))
      })
      options?.onProgress?.(1)
    }
    return call(name, args, options)
  }) as never
  const [own, query, jobs] = [useOwn(), useQuery(), useJobs()]
  await useWorkspace().reload()
  await until(() => asked === 1, 'the comparison')
  return { own, query, jobs, go: () => go(), asked: () => asked, shown: mount(OwnComparing) }
}
const longEnough = () => new Promise((done) => setTimeout(done, 550))

test('a long comparison stands among the jobs with how far it is, and is done there', async () => {
  const { own, jobs, go, shown } = await comparing()
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
  const { own, query, jobs, go, asked, shown } = await comparing()
  query.change({ own: 'mine' })
  await longEnough()
  jobs.active[0]?.cancel()
  await nextTick()
  expect([own.isStopped, own.counts, query.query.own]).toEqual([true, null, 'any'])
  expect(shown.text()).toMatch(/Not compared with all items/)
  expect(jobs.jobs.map((j) => j.state)).toEqual(['cancelled'])
  await useWorkspace().reload()
  await nextTick()
  expect(asked()).toBe(1)
  await shown.get('button').trigger('click')
  await until(() => asked() === 2, 'the second comparison')
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
