import { effectScope } from 'vue'
import type { Query } from '@sickle/core/engine'
import { comparing } from '@/testing/comparing'
import { until } from '@/testing/until'
import { useCutCounts } from './cut-counts'

async function withCuts() {
  const bench = await comparing()
  const { query, asked, app } = bench
  await query.keepCut('All of it')
  query.change({ own: 'mine' })
  await query.keepCut('Mine')
  query.change({ own: 'any' })
  const counts = app.runWithContext(() => effectScope().run(useCutCounts)) as ReturnType<typeof useCutCounts>
  const countOf = (name: string) => counts.value[query.cuts.findIndex((cut) => cut.name === name)]
  /** what was limited by what I sell, of all that was counted */
  const ofMine = () =>
    asked.filter(({ name, args }) => name === 'counts' && (args[0] as Query[]).some((q) => q.own !== 'any')).length
  return { ...bench, countOf, ofMine }
}

test('a Cut by what I sell waits for the comparison, and no other Cut waits with it', async () => {
  const { countOf, ofMine, go } = await withCuts()
  await until(() => countOf('All of it') !== null, 'the count of all')
  expect(countOf('All of it')).toBeGreaterThan(1)
  expect([countOf('Mine'), ofMine()]).toEqual([null, 0])
  go()
  await until(() => countOf('Mine') !== null, 'the count of mine')
  expect([countOf('Mine'), ofMine()]).toEqual([1, 1])
})

test('stopped, the comparison is not begun by a count; the limit itself begins it', async () => {
  const { countOf, ofMine, own, query, timesAsked, go } = await withCuts()
  own.stop()
  await until(() => countOf('All of it') !== null, 'the count of all')
  expect([countOf('Mine'), ofMine(), timesAsked('mine'), own.isStopped]).toEqual([null, 0, 1, true])
  query.change({ own: 'others' })
  await until(() => timesAsked('mine') === 2, 'the second comparison')
  expect(own.isStopped).toBe(false)
  go()
  await until(() => countOf('Mine') !== null, 'the count of mine')
  expect(countOf('Mine')).toBe(1)
})
