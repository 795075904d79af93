import { noCorrections } from '@sickle/core/catalog'
import { jest } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { createApp } from 'vue'
import { servicesKey, type Services } from '@/services/services'
import { openDatabase } from '@/storage/database'
import { useJobs } from './jobs'
import { useRules } from './rules'
import { useSheaf } from './sheaf'
import { useTrail } from './trail'

let n = 0
/** Stores over a database of their own; `again` is the same database after a reload. */
function setup(name = `stores-${n++}`) {
  let id = 0
  const services = {
    database: () => openDatabase(name),
    now: () => 1000 + id,
    newId: () => `id${id++}`,
  } as unknown as Services
  const pinia = createPinia()
  createApp({}).provide(servicesKey, services).use(pinia)
  setActivePinia(pinia)
  return name
}
const snapshot = { title: 'Bird bath', picture: null, profitE4: 20_000, units: 30, listings: 2 }

test('decisions: keep, change, undo, redo; all of it survives a reload', async () => {
  const name = setup()
  const sheaf = useSheaf()
  await sheaf.record({ key: 'a', action: 'keep', text: '', snapshot })
  await sheaf.record({ key: 'b', action: 'drop', text: 'fragile', snapshot })
  await sheaf.record({ key: 'a', action: 'hold', text: 'season', snapshot })
  expect([sheaf.kept.length, sheaf.held.length, sheaf.dropped.length]).toEqual([0, 1, 1])
  await sheaf.undo()
  expect(sheaf.decisionOf('a')?.state).toBe('keep')

  setup(name)
  const reloaded = useSheaf()
  await reloaded.load()
  expect(reloaded.decisionOf('a')?.state).toBe('keep')
  expect(reloaded.canRedo).toBe(true)
  await reloaded.redo()
  expect(reloaded.decisionOf('a')).toMatchObject({ state: 'hold', reason: 'season' })
  // A new step after an undo ends what could be redone.
  await reloaded.undo()
  await reloaded.record({ key: 'c', action: 'keep', text: '', snapshot })
  expect(reloaded.canRedo).toBe(false)
})

test('each sheaf has decisions of its own', async () => {
  setup()
  const sheaf = useSheaf()
  await sheaf.record({ key: 'a', action: 'keep', text: '', snapshot })
  await sheaf.add('Spring balcony')
  expect(sheaf.current.name).toBe('Spring balcony')
  expect(sheaf.kept).toEqual([])
  await sheaf.openSheaf('first')
  expect(sheaf.kept).toHaveLength(1)
})

test('corrections and costs of one item can be set and taken back', async () => {
  setup()
  const rules = useRules()
  await rules.setPack('offer:x', 4)
  await rules.setOwnCost('a', { postageOutE4: 100, discountRatio: 0.1 })
  await rules.setOwnCost('a', { discountRatio: undefined })
  expect(rules.corrections).toMatchObject({ packs: { 'offer:x': 4 }, costs: { a: { postageOutE4: 100 } } })
  await rules.setOwnCost('a', { postageOutE4: undefined })
  await rules.setPack('offer:x', null)
  await rules.setApart('m/1', 'm/0')
  await rules.setTogether(['m/1', 'm/2'], 'm/9')
  // what was set apart and is then said to be another's is no longer apart
  expect(rules.corrections).toMatchObject({ apart: {}, together: { 'm/1': 'm/9', 'm/2': 'm/9' } })
  await rules.setApart('m/1', 'm/0')
  expect(rules.corrections).toMatchObject({ apart: { 'm/1': 'm/0' }, together: { 'm/2': 'm/9' } })
  await rules.setTogether(['m/2'], null)
  await rules.setApart('m/1', null)
  await rules.setTaught('same: a / b', false)
  expect(rules.corrections.unlearned).toEqual({ 'same: a / b': true })
  await rules.setTaught('same: a / b', true)
  expect(rules.corrections).toEqual(noCorrections)
})

describe('jobs', () => {
  test('run one after another, report, and one that fails does not stop the next', async () => {
    setup()
    const jobs = useJobs()
    const order: string[] = []
    const first = jobs.run('first', async ({ report }) => {
      report(0.5, 'half')
      expect(jobs.jobs[0]).toMatchObject({ state: 'running', done: 0.5, note: 'half' })
      expect(jobs.jobs[1]?.state).toBe('waiting')
      order.push('first')
      throw new Error('no luck')
    })
    const second = jobs.run('second', async () => order.push('second'))
    await expect(first).rejects.toMatchObject({ code: 'unexpected' })
    await second
    expect(order).toEqual(['first', 'second'])
    expect(jobs.jobs.map((j) => j.state)).toEqual(['failed', 'done'])
    jobs.clearFinished()
    expect(jobs.jobs).toEqual([])
  })
  test('one cancelled before it began never begins', async () => {
    setup()
    const jobs = useJobs()
    const run = jest.fn(async () => 1)
    const job = jobs.run('x', run)
    jobs.jobs[0]?.cancel()
    await expect(job).rejects.toMatchObject({ code: 'cancelled' })
    expect(run).not.toHaveBeenCalled()
    expect(jobs.jobs[0]?.state).toBe('cancelled')
  })
})

test('the Trail is kept: what was walked is there after a start anew, and one can stand at any stop', async () => {
  const name = setup()
  const trail = useTrail()
  await trail.step({ kind: 'branch', key: 'Garden', label: 'Garden', to: '/demand?branch=Garden' })
  await trail.step({ kind: 'item', key: 'm/1', label: 'Feeder', to: '/finds/item/m%2F1' })
  expect(await trail.goTo(1)).toMatchObject({ to: '/demand?branch=Garden' })
  setup(name)
  const again = useTrail()
  await again.load()
  expect(again.lines.map((l) => l.place.label)).toEqual(['Garden', 'Feeder'])
  expect(again.here?.id).toBe(1)
  await again.forget()
  expect(again.lines).toEqual([])
})
