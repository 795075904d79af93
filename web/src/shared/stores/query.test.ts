import { emptyQuery } from '@sickle/core/engine'
import { bringAll, testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import { useQuery } from './query'
import { useSheaf } from './sheaf'
import { useWorkspace } from './workspace'
import { watch } from 'vue'

async function setup() {
  const bench = testBench()
  const [query, sheaf, workspace] = [useQuery(), useSheaf(), useWorkspace()]
  return { bench, query, sheaf, workspace }
}
const snapshot = { title: '', picture: null, profitE4: null, units: null, listings: 1 }
const drop = (key: string) => ({ key, action: 'drop' as const, text: '', snapshot })

beforeAll(async () => {
  const bench = testBench()
  await bringAll(bench)
})

test('nothing is asked before anything is loaded; then each change is answered', async () => {
  const { query, workspace } = await setup()
  await query.ask()
  expect(query.answer).toBeNull()
  await workspace.reload()
  await until(() => query.answer?.matching === 3, 'the first answer')
  expect([...query.rows.keys()]).toEqual([0, 1, 2])
  query.setLimit('units', [20, null])
  await until(() => query.answer?.matching === 2, 'the limit')
  query.setLimit('units', [null, null])
  expect(query.query.limits).toEqual({})
  query.change({ words: 'hook' })
  await until(() => query.answer?.matching === 1, 'the words')
  await query.ensure(0, 50)
  expect(query.rows.size).toBe(1)
})

test('what a limit hides is no longer looked at; what was just dropped may still be given a reason', async () => {
  const { query, sheaf, workspace } = await setup()
  await workspace.reload()
  await until(() => query.answer !== null)
  query.selected = 'Marrowgate/A5'
  query.change({ words: 'hook' })
  await until(() => query.selected === null, 'the look to close')
  query.change({ words: '' })
  await until(() => query.answer?.matching === 3)
  query.selected = 'Marrowgate/A5'
  await sheaf.record(drop('Marrowgate/A5'))
  await until(() => query.answer?.matching === 2, 'the dropped to go')
  expect(query.selected).toBe('Marrowgate/A5')
  query.showDropped = true
  await until(() => query.answer?.matching === 3, 'the dropped to come back')
})

test('lifting all limits brings the own order back, whichever Cut was used between', async () => {
  const { query, workspace } = await setup()
  await workspace.reload()
  query.change({ sort: { by: 'price', descending: false } })
  const cut = query.cuts.find((c) => c.name === 'Fresh and rising')!
  await query.use(cut)
  expect([query.query.sort.by, query.isUsed(cut)]).toEqual(['growth', true])
  query.clear()
  expect(query.query).toEqual({ ...emptyQuery, sort: { by: 'price', descending: false } })
  expect(query.isUsed(cut)).toBe(false)
})

test('a Cut is kept by its name, comes from a file, tells what changed, and can be forgotten', async () => {
  const { bench, query, workspace } = await setup()
  await workspace.reload()
  query.setLimit('units', [10, null])
  await query.keepCut('  Brisk ')
  await query.keepCut('Brisk')
  const own = () => query.cuts.filter((c) => !c.ships).map((c) => c.name)
  expect(own()).toEqual(['Brisk'])
  await expect(query.keepCut(' ')).rejects.toMatchObject({ code: 'cut-invalid' })
  await query.takeCut({ name: 'From a file', query: { words: 'bath' } })
  expect(own()).toEqual(['Brisk', 'From a file'])
  expect(() => query.takeCut({ name: 'x', query: { limits: { luck: [1, 2] } } })).toThrow('no measure luck')
  const brisk = query.cuts.find((c) => c.name === 'Brisk')!
  await query.use(brisk)
  expect(query.changesOf(brisk)).toBeNull()
  await bench.bring('more.csv', 'Item ID,Title,Price (EUR),Units sold last 30 days\nA9,Bee hotel 20 cm,19.00,55\n', {
    market: 'Marrowgate',
  })
  await workspace.reload()
  await query.use(brisk)
  expect(query.changesOf(brisk)).toMatchObject({ came: ['Marrowgate/A9'], went: [] })
  await query.dropCut('Brisk')
  expect(own()).toEqual(['From a file'])

  testBench()
  const again = useQuery()
  await again.load()
  expect(again.cuts.filter((c) => !c.ships).map((c) => c.name)).toEqual(['From a file'])
})

test('of other figures what is on the screen is asked for before the list', async () => {
  const { bench, query, workspace } = await setup()
  const asked: string[] = []
  const call = bench.services.engine.call.bind(bench.services.engine)
  bench.services.engine.call = ((name: 'seenItem', args: never) => (asked.push(name), call(name, args))) as never
  watch(
    () => workspace.version,
    () => void bench.services.engine.call('seenItem', ['Marrowgate/A5', []]),
  )
  await workspace.reload()
  await until(() => query.answer !== null)
  expect(asked.filter((name) => name === 'ask' || name === 'seenItem')).toEqual(['seenItem', 'ask'])
})
