import { assumedFees } from '@sickle/core/margin'
import { bringAll, byHandE4, testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import { useUndo } from '../use-undo'
import { useDrafts } from './drafts'
import { useLive } from './live'
import { useRules } from './rules'
import { useSheaf } from './sheaf'
import { useSteps } from './steps'
import { useWorkspace } from './workspace'

const hooks = 'Marrowgate/A1'
const none = { market: 'Marrowgate', currency: 'EUR', validFrom: '2026-01-01', lines: [] }

beforeAll(() => bringAll(testBench()))

async function setup() {
  const { services } = testBench()
  const [rules, sheaf, workspace, drafts, live] = [useRules(), useSheaf(), useWorkspace(), useDrafts(), useLive()]
  await Promise.all([rules.load(), sheaf.load(), drafts.load()])
  await workspace.reload()
  return { services, rules, sheaf, workspace, drafts, live, undo: useUndo(), steps: useSteps() }
}
async function keep({ services, sheaf }: Awaited<ReturnType<typeof setup>>, key: string) {
  const [found] = await services.engine.call('rows', [[key]])
  const { title, picture, profitE4, units, listings } = found!.row!
  await sheaf.record({ key, action: 'keep', text: '', snapshot: { title, picture, profitE4, units, listings } })
}

test('what was kept has the figures of now, not of then', async () => {
  const all = await setup()
  await keep(all, hooks)
  const [decision] = all.sheaf.kept
  await until(() => all.live.of(decision!).assumed.includes('fees'), 'the row of now')
  expect(all.live.of(decision!)).toMatchObject({ profitE4: byHandE4.hooks, isOld: false })
  await all.rules.setSchedule(none)
  await all.workspace.follow()
  await until(() => !all.live.of(decision!).assumed.includes('fees'), 'the fees')
  expect(all.live.of(decision!)).toMatchObject({ profitE4: 97_000 })
  expect(decision!.snapshot.profitE4).toBe(byHandE4.hooks)
  expect(all.live.of({ key: 'gone', snapshot: decision!.snapshot })).toMatchObject({
    profitE4: byHandE4.hooks,
    isOld: true,
  })
  await all.rules.begin({ ...all.rules.rules, schedules: [] })
  await all.sheaf.undo()
})

test('one more decision asks for its own figures, and other figures for those of all', async () => {
  const all = await setup()
  const asked: string[][] = []
  const { engine } = all.services
  const call = engine.call.bind(engine)
  engine.call = ((name: string, args: unknown[], options?: object) => {
    if (name === 'rows') asked.push(args[0] as string[])
    return (call as (...a: unknown[]) => unknown)(name, args, options)
  }) as typeof engine.call
  const record = (key: string) =>
    all.sheaf.record({
      key,
      action: 'hold',
      text: '',
      snapshot: { title: key, picture: null, profitE4: null, units: null, listings: 1 },
    })
  await record('Marrowgate/A1')
  await until(() => asked.length === 1, 'the first')
  await record('Marrowgate/A3')
  await until(() => asked.length === 2, 'the second')
  expect(asked).toEqual([['Marrowgate/A1'], ['Marrowgate/A3']])
  await all.workspace.follow()
  await until(() => asked.length === 3, 'both')
  expect(asked[2]).toEqual(['Marrowgate/A1', 'Marrowgate/A3'])
  await all.sheaf.undo()
  await all.sheaf.undo()
})

test('drafts follow costs, fees and prices of Margin; a typed price stays; what is dropped or barred is not ready', async () => {
  const all = await setup()
  const { drafts, rules, workspace, services } = all
  const items = await services.engine.call('items', [[hooks, 'Marrowgate/A3']])
  expect(await drafts.draftItems(items)).toBe(2)
  expect(await drafts.draftItems(items)).toBe(0)
  await until(() => drafts.items.size === 2, 'the items')
  const draft = () => drafts.all.find((d) => d.item === hooks)!
  // lowest 12.90 less the step of 0.01; 12.89 − 3.20 − 1.93 − 0.39
  expect(draft()).toMatchObject({ priceE4: 128_900, profitE4: 73_700, assumed: ['fees', 'pack'], priceBy: 'margin' })
  expect(drafts.obstaclesOf(draft())).toEqual([])
  await rules.setOwnCost(hooks, { postageOutE4: 20_000 })
  expect(draft().profitE4).toBe(53_700)
  await rules.setSchedule(none)
  expect(draft()).toMatchObject({ profitE4: 76_900, assumed: ['pack'] })
  await rules.setPrice(hooks, 'Marrowgate', 150_000)
  expect(draft()).toMatchObject({ priceE4: 150_000, profitE4: 98_000 })
  await drafts.change(draft().id, { priceE4: 110_000, priceBy: 'hand' })
  expect(draft()).toMatchObject({ priceE4: 110_000, profitE4: 58_000 })
  await rules.setPrice(hooks, 'Marrowgate', null)
  expect(draft().priceE4).toBe(110_000)
  await keep(all, hooks)
  await all.sheaf.record({ key: hooks, action: 'drop', text: '', snapshot: all.sheaf.kept[0]!.snapshot })
  expect(drafts.obstaclesOf(draft())).toEqual(['You dropped this item'])
  const bath = drafts.all.find((d) => d.item === 'Marrowgate/A3')!
  await until(() => drafts.obstaclesOf(bath).length > 0, 'the list of restricted items')
  expect(drafts.obstaclesOf(bath)).toEqual(['It may not be listed on Marrowgate: “bird bath” (ask first)'])
  expect(drafts.obstaclesOf({ ...bath, market: 'Gavelhop' })).toEqual([])
  await drafts.take([{ ...bath, title: 'Other words' }])
  expect(drafts.all.find((d) => d.id === bath.id)?.title).toBe('Other words')
  await drafts.remove(drafts.all.map((d) => d.id))
  expect(drafts.all).toEqual([])
  await workspace.follow()
})

test('each change of money, and each decision, is a step that is taken back and made again, in order', async () => {
  const all = await setup()
  const { rules, undo, steps } = all
  const start = rules.snapshot()
  const acts: [string, () => Promise<void>][] = [
    ['a pack count', () => rules.setPack(hooks, 2)],
    ['the choice of an offer', () => rules.setOffer(hooks, '')],
    ['a cost', () => rules.setOwnCost(hooks, { packingE4: 5000 })],
    ['costs for all items', () => rules.useForAll(hooks, { packingE4: 5000 })],
    ['the fees of Gavelhop', () => rules.setSchedule({ ...none, market: 'Gavelhop', lines: [...assumedFees] })],
    ['a price', () => rules.setPrice(hooks, 'Marrowgate', 99_000)],
    ['what is the same', () => rules.setApart('Marrowgate/A2', hooks)],
    ['what is the same', () => rules.setTogether(['Marrowgate/A5'], hooks)],
    ['a rule of money', () => rules.set({ ...rules.rules, stepE4: 200 })],
    [
      `keep `,
      () =>
        all.sheaf.record({
          key: 'x',
          action: 'keep',
          text: '',
          snapshot: { title: '', picture: null, profitE4: null, units: null, listings: 1 },
        }),
    ],
  ]
  for (const [label, act] of acts) {
    await act()
    expect(undo.label.value).toBe(label)
  }
  const end = rules.snapshot()
  expect(end.corrections.costs[hooks]?.packingE4).toBeUndefined()
  expect(end.rules.costs.packingE4).toBe(5000)
  const moved = rules.moved
  await Promise.all(acts.map(() => undo.undo()))
  expect(rules.snapshot()).toEqual(start)
  expect([rules.priceOf(hooks, 'Marrowgate'), all.sheaf.decisionOf('x')]).toEqual([null, null])
  expect([rules.moved - moved, steps.last, undo.canRedo.value]).toEqual([acts.length - 1, null, true])
  await Promise.all(acts.map(() => undo.redo()))
  expect(rules.snapshot()).toEqual(end)
  expect(rules.priceOf(hooks, 'Marrowgate')).toBe(99_000)
  await undo.undo()
  await rules.setPack(hooks, 3)
  // a new step ends what could be made again
  expect(steps.next).toBeNull()
})

test('what cannot be kept is no step', async () => {
  const { rules, steps } = await setup()
  await expect(rules.setPack(hooks, 0)).rejects.toMatchObject({ code: 'document-invalid' })
  await expect(rules.setSchedule({ ...none, currency: 'EURO' })).rejects.toMatchObject({
    message: 'Your rules of money cannot be kept like that: currency of schedule 2 is longer than 3 letters.',
  })
  expect(steps.last).toBeNull()
})

test('behind this sitting’s steps lie the decisions of earlier ones; all come again in their turn', async () => {
  const first = await setup()
  await first.sheaf.add('Another')
  await keep(first, hooks)
  const { rules, sheaf, undo, steps } = await setup()
  expect([steps.last, undo.label.value]).toEqual([null, `keep ${sheaf.kept[0]!.snapshot.title}`])
  const before = rules.corrections.packs[hooks]
  await rules.setPack(hooks, 2)
  await undo.undo()
  await undo.undo()
  expect([rules.corrections.packs[hooks], sheaf.kept.length]).toEqual([before, 0])
  await undo.redo()
  expect([rules.corrections.packs[hooks], sheaf.kept.length]).toEqual([before, 1])
  await undo.redo()
  expect(rules.corrections.packs[hooks]).toBe(2)
})
