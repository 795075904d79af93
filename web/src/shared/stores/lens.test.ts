import { emptyQuery } from '@sickle/core/engine'
import { bringAll, listingsCsv, testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import { useLens } from './lens'
import { useQuery } from './query'
import { useRules } from './rules'
import { useWorkspace } from './workspace'

// the same hooks stand on a second market too, dearer, and one thing there alone
const elsewhere = listingsCsv
  .split('\n')
  .filter((line) => /^(Item|A1|A5)/.test(line))
  .join('\n')
  .replace('A1', 'L1')
  .replace('12.90', '19.90')
  .replace(',40,4.6', ',7,4.6')
  .replace('A5,"Kneeling pad 45 x 28 cm, grey"', 'L5,"Copper dibber, oak handle"')

beforeAll(async () => {
  const bench = testBench()
  await bringAll(bench)
  await bench.bring('loopreel.csv', elsewhere, { market: 'Loopreel', kind: 'listings' })
})
async function opened() {
  const bench = testBench()
  const [lens, query] = [useLens(), useQuery()]
  await useRules().load()
  await useWorkspace().reload()
  await until(() => query.answer?.matching === 4, 'the first answer')
  return { bench, lens, query }
}
const hooks = 'Marrowgate/A1'

test('through a lens every figure is of its markets alone, and so are the counts of Cuts, files and the Close look', async () => {
  const { bench, lens, query } = await opened()
  expect(lens.told).toBeNull()
  await lens.choose(['Loopreel'])
  await until(() => query.answer?.matching === 2, 'the lens')
  expect([lens.told, query.answer?.total]).toEqual(['Loopreel alone', 2])
  const row = [...query.rows.values()].find((r) => r.key === hooks)
  expect(row).toMatchObject({ units: 7, listings: 1, priceLowE4: 199_000, markets: ['Loopreel'] })
  const { engine } = bench.services
  expect(await engine.call('seenItem', [hooks, ['Loopreel']])).toMatchObject({ units: 7, sellers: 1 })
  expect(await engine.call('item', [hooks])).toMatchObject({ units: 69, sellers: 3 })
  const units = { ...emptyQuery, limits: { units: [60, null] as [number, null] } }
  expect(await engine.call('counts', [[units, { ...units, lens: ['Loopreel'] }], []])).toEqual([1, 0])
  expect(await engine.call('keys', [{ ...emptyQuery, lens: ['Loopreel'] }, [], 9])).toHaveLength(2)
  expect(await engine.call('page', [0, 9])).toHaveLength(2)
  expect((await engine.call('tree', ['', ['Loopreel']])).branches[0]).toMatchObject({
    items: 2,
    listings: 2,
    units: 10,
  })
  expect((await engine.call('terms', [null, ['Loopreel']])).of).toBe(0)
  const selling = await engine.call('storesSelling', [{ ...emptyQuery, lens: ['Loopreel'] }])
  expect(selling.reduce((a, b) => a + b, 0)).toBe(2)
  const file = await engine.call('exportFinds', [['units'], 'csv'])
  expect(new TextDecoder().decode(file).trim().split('\n')).toHaveLength(3)
  await lens.choose(['Loopreel', 'Marrowgate'])
  expect(lens.markets).toEqual([])
})

test('a Cut keeps its lens; one that ships holds through whatever lens there is; limits that are lifted leave it', async () => {
  const { lens, query } = await opened()
  await lens.choose(['Loopreel'])
  query.setLimit('units', [5, null])
  await query.keepCut('Moving on Loopreel')
  query.clear()
  expect(lens.markets).toEqual(['Loopreel'])
  await lens.choose([])
  await query.use(query.cuts.find((c) => c.name === 'Moving on Loopreel')!)
  expect([lens.told, query.query.limits]).toEqual(['Loopreel alone', { units: [5, null] }])
  const shipped = query.cuts.find((c) => c.ships)!
  await query.use(shipped)
  expect([lens.told, query.isUsed(shipped)]).toEqual(['Loopreel alone', true])
})

test('what the seller changes is followed through a lens too; a lens that is cancelled leaves the one before', async () => {
  const { bench, lens } = await opened()
  const { engine } = bench.services
  const profit = async () => (await engine.call('seenItem', [hooks, ['Loopreel']]))?.best?.profitE4
  const before = await profit()
  await useRules().setPack(hooks, 2)
  await useWorkspace().follow()
  const after = await profit()
  expect([before, after].every((p) => typeof p === 'number')).toBe(true)
  expect(after).not.toBe(before)
  const [row] = await engine
    .call('ask', [
      { ...emptyQuery, lens: ['Loopreel'], words: 'hook' },
      [],
      { strips: ['profit'], columns: [] },
      9,
      null,
    ])
    .then((a) => a.rows)
  expect(row?.profitE4).toBe(after)
  const choosing = lens.choose(['Marrowgate'])
  lens.cancel()
  await choosing
  expect([lens.markets, lens.progress]).toEqual([[], null])
})
