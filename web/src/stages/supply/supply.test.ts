import { nextTick } from 'vue'
import { useRules } from '@/shared/stores/rules'
import { useSteps } from '@/shared/stores/steps'
import { useWorkspace } from '@/shared/stores/workspace'
import { listingsCsv, testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import { openDatabase } from '@/storage/database'
import { writeDocument } from '@/storage/documents'
import { noCorrections, plainRules } from '@sickle/core/catalog'
import { useSupply } from './supply-store'

/** Two suppliers of the hooks, one of them slow and cheap; something else of the same name; nothing for the pad. */
const offersCsv = `Ref,Description,Unit price (EUR),Min. qty,Delivery,Lead time,Rating
S1,Balcony hook black,0.80,1,0.00,15 days,4.8
S2,Balcony hook black,0.90,1,0.00,5 days,4.8
S3,Balcony hook green,0.10,1,0.00,5 days,4.8
S4,Copper basin,5.00,1,0.00,5 days,4.8
`
beforeAll(async () => {
  const { bring } = testBench()
  await bring('listings.csv', listingsCsv, { market: 'Marrowgate' })
  await bring('offers.csv', offersCsv, { supplier: 'Sill Mill' })
})
/** Nothing is said or judged yet. */
beforeEach(async () => {
  const db = await openDatabase()
  await writeDocument(db, 'corrections', noCorrections)
  await writeDocument(db, 'rules', plainRules('EUR'))
  db.close()
})

async function opened() {
  const bench = testBench()
  const stores = { rules: useRules(), workspace: useWorkspace(), supply: useSupply(), steps: useSteps() }
  await stores.rules.load()
  await stores.workspace.reload()
  await until(() => stores.supply.desk !== null, 'the first item on the desk')
  return { ...bench, ...stores }
}
const [hooks, bath] = ['Marrowgate/A1', 'Marrowgate/A3']
const offer = (id: string) => `offer:Sill Mill/${id}`

test('items wait in the order of what a match is worth, and the first lies on the desk beside its offers', async () => {
  const { supply } = await opened()
  // 62 hooks at 7.29 shared by three; baths: a fifth of their sales, shared by three; the pad: a fifth of 27.00 by two
  expect(supply.queue?.map((q) => q.row.key)).toEqual([hooks, bath, 'Marrowgate/A5'])
  expect(supply.desk?.item.key).toBe(hooks)
  expect(supply.candidates.map((c) => [c.match.offer.id, c.match.verdict])).toEqual([
    ['S1', 'same'],
    ['S2', 'same'],
    ['S3', 'variant'],
  ])
  // the slow one breaks the ten days: the one that is dearer by 0.10 a piece is reckoned with
  expect(supply.desk?.item.offer?.offer.id).toBe('S2')
  expect(supply.candidates.map((c) => c.landedE4)).toEqual([32_000, 36_000, 4000])
})

test('a judgement goes on to the next offer, is marked at once, followed by figures, and taken back', async () => {
  const { supply, rules, steps, workspace } = await opened()
  await supply.judge('no')
  expect([supply.at, supply.judgedOf(hooks, offer('S1'))]).toEqual([1, 'no'])
  await supply.judge('same')
  await supply.judge('similar')
  expect(supply.at).toBe(2) // there is no other to judge
  expect(rules.corrections.judged[hooks]).toEqual({
    [offer('S1')]: 'no',
    [offer('S2')]: 'same',
    [offer('S3')]: 'similar',
  })
  await until(() => supply.desk?.item.best?.assumed.includes('pack') === false, 'the pack that was confirmed')
  expect(supply.desk?.item.choice.candidates.map((c) => c.key)).toEqual([offer('S2')])
  expect(supply.isJudged(hooks)).toBe(true)
  for (let i = 0; i < 3; i++) await steps.undo()
  expect(supply.isJudged(hooks)).toBe(false)
  await workspace.follow()
  await until(() => supply.desk?.item.choice.candidates.length === 2, 'both offers again')
})

test('the same judgement once more takes it back', async () => {
  const { supply } = await opened()
  await supply.judge('same')
  supply.look(0)
  await supply.judge('same')
  expect(supply.judgedOf(hooks, offer('S1'))).toBeNull()
})

test('own words find what the title does not, and what is said to be the same is reckoned with', async () => {
  const { supply, workspace } = await opened()
  supply.turn(1)
  await until(() => supply.desk?.item.key === bath, 'the bath')
  supply.words = 'copper basin'
  await until(() => supply.candidates[0]?.match.offer.id === 'S4', 'the basin')
  await supply.judge('same')
  await workspace.follow()
  await until(() => supply.desk?.item.offer?.offer.id === 'S4', 'the basin reckoned with')
  expect(supply.desk?.item.landedE4).toBe(50_000)
  supply.turn(-1)
  await nextTick()
  expect([supply.key, supply.words]).toEqual([hooks, ''])
})

test('another pack waits for its count', async () => {
  const { supply, rules, workspace } = await opened()
  supply.turn(1)
  await until(() => supply.desk?.item.key === bath, 'the bath')
  supply.words = 'copper basin'
  await until(() => supply.candidates.length > 0, 'the basin')
  await supply.judge('pack')
  await workspace.follow()
  expect(supply.desk?.item.offer).toBeNull()
  await rules.setPack(offer('S4'), 2)
  await workspace.follow()
  await until(() => supply.desk?.item.landedE4 === 25_000, 'half of 5.00')
})

test('a supplier that is avoided is not chosen, one that is trusted needs no proof', async () => {
  const { supply, rules, workspace } = await opened()
  await rules.setStanding('Sill Mill', 'avoided')
  await workspace.follow()
  await until(() => supply.desk?.item.offer === null, 'nobody')
  await rules.setStanding('Sill Mill', null)
  await rules.set({ ...rules.rules, supply: { ...rules.rules.supply, minRating: 5, maxDays: null } })
  await workspace.follow()
  await until(() => supply.desk?.item.offer?.offer.id === 'S1', 'the cheapest of two that break the rating')
  expect(supply.desk?.item.choice.chosen?.broken).toEqual(['rating'])
  await rules.setStanding('Sill Mill', 'trusted')
  await workspace.follow()
  await until(() => supply.desk?.item.choice.chosen?.broken.length === 0, 'no proof asked for')
})

test('a queue of kept and held items, of those found, and of the judged too', async () => {
  const { supply, workspace } = await opened()
  supply.of = 'sheaf'
  await until(() => supply.queue?.length === 0, 'nothing is kept')
  supply.of = 'found'
  await until(() => supply.queue?.length === 3, 'all are found')
  await supply.judge('no')
  await workspace.follow()
  supply.refill()
  await until(() => supply.queue?.length === 2, 'one is judged')
  supply.isJudgedShown = true
  await until(() => supply.queue?.length === 3, 'the judged too')
})

test('what may not be listed waits too, and is left out when it is not wanted', async () => {
  const { supply, rules, workspace } = await opened()
  await rules.setAvoid([{ what: 'bird bath', sort: 'phrase', why: '' }])
  await workspace.follow()
  const keys = () => supply.queue?.map((q) => q.row.key)
  supply.refill()
  await until(() => keys()?.length === 3, 'all that waits')
  expect(keys()).toContain(bath)
  supply.isBarredShown = false
  await until(() => keys()?.length === 2, 'what may be listed')
  expect(keys()).toEqual([hooks, 'Marrowgate/A5'])
})
