import { noCorrections, plainRules } from '@sickle/core/catalog'
import { openDatabase } from '@/storage/database'
import { listImports } from '@/storage/imports'
import type { RestingColumn } from '@/storage/schema'
import { bringAll, byHandE4, listingsCsv, testBench } from '@/testing/workbench'
import type { CallContext } from './channel'
import { EngineState } from './engine-state'

const bench = testBench()
const rules = plainRules('EUR')
const dear = { ...rules, costs: { ...rules.costs, packingE4: 5000 } }
const context = (stop = new AbortController()): CallContext => ({ signal: stop.signal, progress: () => undefined })
const hooks = 'Marrowgate/A1'
const profitOf = async (state: EngineState) => (await state.engine?.itemOf(hooks))?.best?.profitE4

let state: EngineState
let news = 0
const load = (corrections = noCorrections, by = rules) =>
  state.load(context(), { rules: by, corrections }, () => void news++)

beforeAll(() => bringAll(bench))
beforeEach(async () => {
  state = new EngineState()
  await load()
  news = 0
})

test('what is read of other records is out of date where items change places, and only there', async () => {
  await load({ ...noCorrections, packs: { [hooks]: 2 } })
  expect([news, await profitOf(state)]).toEqual([0, byHandE4.hooks + 16_000])
  const before = (await load({ ...noCorrections, apart: { 'Marrowgate/A2': hooks } })).items
  expect([news, before]).toEqual([1, 4])
  await bench.bring('more.csv', listingsCsv, { market: 'Gavelhop', kind: 'listings' })
  expect([(await load()).listings, news]).toEqual([10, 2])
})

test('of two that are begun at once the later counts, and one that is stopped leaves what was there', async () => {
  const order: string[] = []
  await Promise.all([
    load(noCorrections, dear).then(() => order.push('first')),
    load().then(() => order.push('second')),
  ])
  expect([order, await profitOf(state)]).toEqual([['first', 'second'], byHandE4.hooks])
  const stop = new AbortController()
  stop.abort()
  const stopped = state.load(context(stop), { rules: dear, corrections: noCorrections }, () => undefined)
  await expect(stopped).rejects.toMatchObject({ code: 'cancelled' })
  expect(await profitOf(state)).toBe(byHandE4.hooks)
  await load(noCorrections, dear)
  expect(await profitOf(state)).toBe(byHandE4.hooks - 5000)
})

test('an import that is set aside is not taken for news again and again', async () => {
  await bench.bring('spoilt.csv', listingsCsv, { market: 'Openstall', kind: 'listings' })
  const db = await openDatabase()
  const last = (await listImports(db)).at(-1)
  const key: [string, number, string] = [last?.id ?? '', 0, 'units']
  await db.put('columns', { ...((await db.get('columns', key)) as RestingColumn), rows: 2 }, key)
  db.close()
  const { spoilt, listings } = await load()
  expect([Object.keys(spoilt), listings]).toEqual([[last?.id], 10])
  news = 0
  await load(noCorrections, dear)
  expect(news).toBe(0)
})

test('what is said and what comes in at once is followed as if it had been there from the beginning', async () => {
  await bench.bring('late.csv', listingsCsv, { market: 'Fernhand', kind: 'listings' })
  const said = { ...noCorrections, together: { 'Marrowgate/A2': hooks } }
  const followed = await load(said, dear)
  const fresh = new EngineState()
  const whole = await fresh.load(context(), { rules: dear, corrections: said }, () => undefined)
  expect([followed.items, followed.listings]).toEqual([whole.items, whole.listings])
  const listingsOf = async (of: EngineState) => (await of.engine?.itemOf(hooks))?.listings.map((l) => l.key)
  expect(await listingsOf(state)).toContain('Marrowgate/A2')
  expect(await listingsOf(state)).toEqual(await listingsOf(fresh))
  expect(await profitOf(state)).toBe(await profitOf(fresh))
})
