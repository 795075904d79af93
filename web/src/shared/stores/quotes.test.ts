import { bringAll, testBench, type TestBench } from '@/testing/workbench'
import { plain } from '@/storage/plain'
import { sampleAdvice } from '../sample-words'
import { quoteTold } from '../quote-words'
import { answerTimeTold, onTimeTold } from '../record-words'
import { spanTold } from '../supply-words'
import { useQuotes } from './quotes'
import { useRules } from './rules'
import { useSteps } from './steps'
import { useWorkspace } from './workspace'

const dayMs = 86_400_000
const hooks = {
  item: 'Marrowgate/A1',
  title: 'Balcony hook 4-pack, black',
  supplier: 'Sill Mill',
  offer: 'offer:Sill Mill/S1',
  place: 1,
  of: 1,
}
const answer = {
  on: 20_606,
  tiers: [
    { from: 1, priceE4: 10_000 },
    { from: 50, priceE4: 5_000 },
  ],
  currency: 'EUR',
  minOrder: 5,
  deliveryE4: 100_000,
  leadDays: 4,
  sampleE4: 20_000,
  pack: null,
  note: 'in blue too',
}

async function opened(): Promise<{ bench: TestBench; quotes: ReturnType<typeof useQuotes> }> {
  const bench = testBench()
  const quotes = useQuotes()
  await quotes.load()
  return { bench, quotes }
}

test('a quote from question to judged sample, each step with its day, told, kept and taken back', async () => {
  const { bench, quotes } = await opened()
  const today = quotes.today()
  expect(today).toBe(Math.floor(bench.clock.now / dayMs))
  await quotes.setLetter({ answerDays: 3, quantities: [5, 50] })
  await quotes.ask([hooks, { ...hooks, supplier: 'Tern Mill', offer: null }])
  expect(quotes.list).toMatchObject([
    { ...hooks, quantities: [5, 50], askedOn: today, dueOn: today + 3, answer: null, sample: null },
    { supplier: 'Tern Mill' },
  ])
  const id = quotes.list[0]!.id
  const told = () => quoteTold(quotes.list[0]!, quotes.today())
  expect(told()).toBe('asked 2026-06-01')
  bench.clock.now += 5 * dayMs
  expect(quotes.late).toHaveLength(2)
  expect(told()).toBe('asked 2026-06-01, answer 2 days late')
  // what is open is asked anew, not twice
  await quotes.ask([hooks])
  expect(quotes.list.map((q) => [q.supplier, q.askedOn - today])).toEqual([
    ['Tern Mill', 0],
    ['Sill Mill', 5],
  ])
  const again = quotes.list[1]!.id
  expect(again).not.toBe(id)
  await quotes.answer(again, answer)
  await quotes.orderSample(again)
  expect(quotes.list[1]?.sample).toEqual({
    orderedOn: today + 5,
    dueOn: today + 9,
    arrivedOn: null,
    passed: null,
    judgedOn: null,
  })
  bench.clock.now += 6 * dayMs
  expect(quoteTold(quotes.list[1]!, quotes.today())).toBe('sample ordered 2026-06-06, sample 2 days late')
  await quotes.arrived(again)
  expect(quoteTold(quotes.list[1]!, quotes.today())).toBe('sample here, to be judged 2026-06-12')
  await quotes.judge(again, false)
  expect(quotes.passedOf(hooks.item)).toEqual([])
  await useSteps().undo()
  await quotes.judge(again, true)
  expect(quotes.passedOf(hooks.item)).toHaveLength(1)
  expect(quotes.list[1]?.sample).toMatchObject({ passed: true, judgedOn: today + 11, arrivedOn: today + 11 })
  await expect(quotes.answer(again, { ...answer, currency: 'EURO' })).rejects.toMatchObject({
    code: 'document-invalid',
  })
  testBench()
  const kept = useQuotes()
  await kept.load()
  expect(kept.list[1]?.answer).toEqual(answer)
  await kept.remove([again])
  expect(kept.list).toHaveLength(1)
})

test('what was ordered is noted, arrives, and goes', async () => {
  const { quotes } = await opened()
  await quotes.note({ supplier: 'Sill Mill', what: 'hooks', orderedOn: 10, promisedOn: 20, arrivedOn: null })
  const id = quotes.purchases[0]!.id
  await quotes.changePurchase(id, { arrivedOn: 22 })
  expect(quotes.purchases).toEqual([
    { id, supplier: 'Sill Mill', what: 'hooks', orderedOn: 10, promisedOn: 20, arrivedOn: 22 },
  ])
  await expect(quotes.changePurchase(id, { arrivedOn: 9 })).rejects.toMatchObject({ code: 'document-invalid' })
  await quotes.removePurchase(id)
  expect(quotes.purchases).toEqual([])
})

test('suppliers of items, answers compared by landed cost, a supplier’s page and samples by the engine', async () => {
  const { bench, quotes } = await opened()
  await bringAll(bench)
  await useRules().load()
  await useWorkspace().reload()
  const { engine } = bench.services
  const toAsk = await engine.call('suppliersFor', [['Marrowgate/A1', 'gone']])
  expect(toAsk).toEqual([
    {
      key: 'Marrowgate/A1',
      title: expect.stringContaining('Balcony hook') as string,
      suppliers: [{ supplier: 'Sill Mill', offer: 'offer:Sill Mill/S1', number: 'S1', verdict: 'same' }],
    },
  ])
  await quotes.setLetter({ quantities: [2, 50] })
  await quotes.ask([
    hooks,
    { ...hooks, supplier: 'Tern Mill', offer: null },
    { ...hooks, supplier: 'Mute', offer: null },
  ])
  await quotes.answer(quotes.list[0]!.id, answer)
  await quotes.answer(quotes.list[1]!.id, {
    ...answer,
    tiers: [{ from: 1, priceE4: 3_000 }],
    minOrder: null,
    deliveryE4: 0,
  })
  const compared = await engine.call('compareQuotes', [hooks.item, plain(quotes.list)])
  // Tern Mill's has no pack in its title but four, as the item's: 0.30 a sale at any quantity. Sill Mill's packs are of one: four of them,
  // 0.50 each, and 10.00 of delivery on 50 of them is 0.20 each; two packs are fewer than it sells
  expect(compared?.answers.map((a) => [a.candidate.match.offer.supplier, a.landed])).toEqual([
    [
      'Tern Mill',
      [
        { quantity: 2, landedE4: 3_000 },
        { quantity: 50, landedE4: 3_000 },
      ],
    ],
    [
      'Sill Mill',
      [
        { quantity: 2, landedE4: null },
        { quantity: 50, landedE4: 28_000 },
      ],
    ],
  ])
  expect(await engine.call('compareQuotes', ['gone', []])).toBeNull()
  const page = await engine.call('supplierPage', ['Sill Mill'])
  expect(page).toMatchObject({
    supplier: 'Sill Mill',
    offers: 2,
    standing: null,
    looked: 3,
    moves: { compared: 0, gone: 0 },
  })
  expect(page?.items.map((i) => [i.title, i.units, i.landedE4, i.isUsed])).toEqual([
    [expect.stringContaining('ook'), 62, 32_000, true],
    [expect.stringContaining('ath'), 24, 110_000, true],
  ])
  const days = page?.checks.find((c) => c.name === 'days')
  expect(days).toEqual({ name: 'days', holds: 2, breaks: 0, unknown: 0, from: 5, to: 7, wanted: 10 })
  expect(spanTold(days!, 'EUR')).toBe('5 to 7')
  expect(page?.checks.find((c) => c.name === 'rating')).toMatchObject({ holds: 0, breaks: 0, unknown: 2, from: null })
  expect(await engine.call('supplierPage', ['Nobody'])).toBeNull()
  expect(await engine.call('bought', [])).toEqual([])
  const dear = await engine.call('sampleNeeds', [[hooks.item, 'Marrowgate/A3', 'gone'], 50_000])
  // the first order is one pack of the least order: of hooks 0.80, of baths 8.00 and 3.00
  expect([...dear]).toEqual([['Marrowgate/A3', { need: 'dear', supplier: 'Sill Mill' }]])
})

describe('words', () => {
  test('no share is told of fewer than five orders; it is told with its span of more', () => {
    const record = {
      known: 4,
      onTime: 3,
      share: { ratio: 0.75, low: 0.3, high: 0.95 },
      middleDaysLate: 0,
      unpromised: 0,
      underway: 1,
    }
    expect(onTimeTold(record)).toBe(
      '3 of 4 orders on time: too few to say how it will be. At the middle on the day. 1 order on the way.',
    )
    expect(onTimeTold({ ...record, known: 5, middleDaysLate: 1.5, underway: 0, unpromised: 2 })).toBe(
      '3 of 5 orders on time; of many, 30\u00a0% to 95\u00a0% would be. At the middle 1.5 days late. 2 orders without a promised day.',
    )
    expect(onTimeTold({ ...record, middleDaysLate: -1, underway: 0 })).toMatch(/At the middle 1 day early\.$/)
    expect(onTimeTold({ ...record, known: 0, share: null, underway: 0 })).toMatch(/^Not known/)
  })
  test('how soon it answers', () => {
    expect(answerTimeTold({ asked: 0, answered: 0, middleDays: null, late: 0 })).toMatch(/^Not known/)
    expect(answerTimeTold({ asked: 3, answered: 1, middleDays: 2, late: 1 })).toBe(
      'It answered 1 of 3 questions. At the middle after 2 days. 1 answer is late.',
    )
  })
  test('a sample that passed is of the supplier that is reckoned with, or it is said that it is not', () => {
    const need = { need: 'electric' as const, supplier: 'Sill Mill' }
    expect(sampleAdvice(null, [])).toBeNull()
    expect(sampleAdvice(need, [{ supplier: 'Sill Mill' }])).toBeNull()
    expect(sampleAdvice({ ...need, supplier: null }, [{ supplier: 'Other' }])).toBeNull()
    expect(sampleAdvice(need, [])).toMatch(/no sample has passed yet$/)
    expect(sampleAdvice(need, [{ supplier: 'Other' }])).toMatch(/is of Other, and it is reckoned with Sill Mill$/)
  })
})

test('a supplier of a hundred thousand offers is read whole', async () => {
  const bench = testBench()
  await bringAll(bench)
  const rows = Array.from({ length: 100_000 }, (_, i) => `B${i},"Ware ${i} of many",1.00,1,0.00,5 days`)
  await bench.bring('many.csv', `Ref,Description,Unit price (EUR),Min. qty,Delivery,Lead time\n${rows.join('\n')}\n`, {
    supplier: 'Big Mill',
  })
  await useRules().load()
  await useWorkspace().reload()
  const page = await bench.services.engine.call('supplierPage', ['Big Mill'])
  expect(page).toMatchObject({ offers: 100_000, items: [] })
  expect(page?.checks.find((c) => c.name === 'days')?.holds).toBe(100_000)
})
