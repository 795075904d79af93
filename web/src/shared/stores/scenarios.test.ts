import { firstScenarios, noChanges } from '@sickle/core/margin'
import { bringAll, byHandE4, testBench } from '@/testing/workbench'
import { useRules } from './rules'
import { useScenarios } from './scenarios'
import { useWorkspace } from './workspace'

test('what-ifs are kept, changed and removed; a name that is there already is refused and nothing changes', async () => {
  testBench()
  const scenarios = useScenarios()
  await scenarios.load()
  expect(scenarios.list).toEqual(firstScenarios)
  await scenarios.add('  Dear boxes ')
  await scenarios.change(4, { changes: { ...noChanges, delivery: 0.5 } })
  await scenarios.remove(0)
  expect(scenarios.list.map((s) => s.name)).toEqual(['Price war', 'Fees two points up', 'More returns', 'Dear boxes'])
  await expect(scenarios.add('price WAR')).rejects.toMatchObject({ code: 'document-invalid' })
  await expect(scenarios.change(0, { changes: { ...noChanges, price: -2 } })).rejects.toMatchObject({
    code: 'document-invalid',
  })
  testBench()
  const again = useScenarios()
  await again.load()
  expect(again.list).toHaveLength(4)
  expect(again.list[3]).toEqual({ name: 'Dear boxes', changes: { ...noChanges, delivery: 0.5 } })
})

test('items under what-ifs are those of the engine: as it is, it is the profit that every list shows', async () => {
  const bench = testBench()
  await bringAll(bench)
  const [rules, workspace] = [useRules(), useWorkspace()]
  await rules.load()
  await workspace.reload()
  const doubled = { name: 'Goods at twice', changes: { ...noChanges, goods: 1 } }
  const got = await bench.services.engine.call('scenarios', [['Marrowgate/A1', 'gone', 'Marrowgate/A5'], [doubled]])
  // of the kneeling pad no offer is known, so no profit
  expect(got.map((r) => r.key)).toEqual(['Marrowgate/A1'])
  expect(got[0]?.now.profitE4).toBe(byHandE4.hooks)
  // four pieces of 0.80 more
  expect(got[0]?.under[0]?.profitE4).toBe(byHandE4.hooks - 32_000)
  expect(got[0]?.turns.rate).toBeNull() // paid in the home currency
  expect(got[0]?.turns.goods).toBeGreaterThan(2)
})
