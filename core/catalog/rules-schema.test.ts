import { firstFault } from '../schema'
import { noCorrections, plainRules } from './rules'
import { correctionsNow, correctionsSchema, pricesSchema, rateSchema, rulesNow, rulesSchema } from './rules-schema'

const rules = plainRules('EUR')
const rate = { from: 'GBP', to: 'EUR', rate: 1.25, day: '2026-05-01' }
const schedule = { market: 'Marrowgate', currency: 'EUR', validFrom: '2026-01-01', lines: [] }
const many = <T>(n: number, of: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => of(i))

test('rules of a fresh workspace are right ones; a rate is between two currencies, above nothing', () => {
  expect(firstFault(rulesSchema, rules)).toBeNull()
  expect(firstFault(rulesSchema, { ...rules, rates: [rate], schedules: [schedule] })).toBeNull()
  expect(firstFault(rateSchema, rate)).toBeNull()
  expect(firstFault(rateSchema, { ...rate, to: 'GBP' })?.what).toBe('must be between two currencies')
  expect([1e-6, 1e9].map((r) => firstFault(rateSchema, { ...rate, rate: r }))).toEqual([null, null])
  for (const r of [0.9e-6, 1.1e9, 0, -1]) expect(firstFault(rateSchema, { ...rate, rate: r })).not.toBeNull()
})

test('a market has one schedule; there are a thousand of each at most', () => {
  const schedules = many(1000, (i) => ({ ...schedule, market: `M${i}` }))
  expect(firstFault(rulesSchema, { ...rules, schedules })).toBeNull()
  expect(
    firstFault(rulesSchema, { ...rules, schedules: [...schedules, { ...schedule, market: 'one more' }] }),
  ).not.toBeNull()
  expect(firstFault(rulesSchema, { ...rules, schedules: [schedule, schedule] })?.what).toBe(
    'has two schedules of one market',
  )
  expect(firstFault(rulesSchema, { ...rules, rates: many(1000, () => rate) })).toBeNull()
  expect(firstFault(rulesSchema, { ...rules, rates: many(1001, () => rate) })).not.toBeNull()
})

test.each([
  [{ packs: { a: 5000 } }, { packs: { a: 5001 } }],
  [{ packs: { a: 1 } }, { packs: { a: 0 } }],
  [{ offers: { a: '' } }, { offers: { a: 'x'.repeat(4001) } }],
  [{ offers: { a: 'x'.repeat(4000) } }, { offers: { a: 7 } }],
  [{ judged: { a: { b: 'same' } } }, { judged: { a: { b: 'perhaps' } } }],
  [{ suppliers: { a: 'trusted' } }, { suppliers: { a: 'loved' } }],
  [{ costs: { a: { packingE4: 100 } } }, { costs: { a: { packingE4: -1 } } }],
  [{ apart: { a: 'x'.repeat(4000) } }, { apart: { a: 'x'.repeat(4001) } }],
  [{ together: { a: 'b' } }, { together: { a: '' } }],
  [{ unlearned: { a: true } }, { unlearned: { a: 'yes' } }],
  [
    { avoid: [{ what: 'x'.repeat(200), sort: 'brand', why: '' }] },
    { avoid: [{ what: 'x'.repeat(201), sort: 'brand', why: '' }] },
  ],
  [
    { avoid: [{ what: 'x', sort: 'phrase', why: 'y'.repeat(200) }] },
    { avoid: [{ what: 'x', sort: 'phrase', why: 'y'.repeat(201) }] },
  ],
  [{ cleared: { a: { reason: 'x'.repeat(500), at: 1e15 } } }, { cleared: { a: { reason: 'x'.repeat(501), at: 0 } } }],
  [{ cleared: { a: { reason: 'x', at: 0 } } }, { cleared: { a: { reason: 'x', at: 2e15 } } }],
])('what was said by hand may be %j, but not %j', (right, wrong) => {
  expect(firstFault(correctionsSchema, { ...noCorrections, ...right })).toBeNull()
  expect(firstFault(correctionsSchema, { ...noCorrections, ...wrong })).not.toBeNull()
})

test('ten thousand lines of what is not to be listed, prices that are amounts', () => {
  const avoid = (n: number) => ({
    ...noCorrections,
    avoid: many(n, (i) => ({ what: `w${i}`, sort: 'phrase', why: '' })),
  })
  expect(firstFault(correctionsSchema, avoid(10_000))).toBeNull()
  expect(firstFault(correctionsSchema, avoid(10_001))).not.toBeNull()
  expect(firstFault(pricesSchema, { 'Marrowgate/1 at Marrowgate': 120_000 })).toBeNull()
  expect(firstFault(pricesSchema, { a: -1 })).not.toBeNull()
})

test('rules that rested before parts were added have those of a fresh workspace, and keep their own', () => {
  const { worth: _, supply: __, ...old } = { ...rules, minProfitE4: 55_000 }
  const { storageMonths: ___, ...costs } = { ...rules.costs, packingE4: 700 }
  const now = rulesNow({ ...old, costs }) as typeof rules
  expect(now).toEqual({ ...rules, minProfitE4: 55_000, costs: { ...rules.costs, packingE4: 700 } })
  const own = { ...rules, worth: { ...rules.worth }, supply: { ...rules.supply, maxDays: 3 } }
  expect(rulesNow(own)).toEqual(own)
  expect((rulesNow({ ...own, supply: { maxDays: 5 } }) as typeof rules).supply).toEqual({ ...rules.supply, maxDays: 5 })
  for (const odd of [null, 7, {}, { costs: null, homeCurrency: 'EUR' }, { costs: {} }]) expect(rulesNow(odd)).toBe(odd)
  expect(correctionsNow({ packs: { a: 2 } })).toEqual({ ...noCorrections, packs: { a: 2 } })
  expect([correctionsNow(null), correctionsNow('x')]).toEqual([null, 'x'])
})
