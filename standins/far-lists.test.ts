import { FarLists } from './far-lists'
import { FarMarket } from './far-market'

const market = new FarMarket({ size: 3000, stores: 7 })
const lists = new FarLists(market)
const listings = market.ofTerm('feeder')

test.each([
  ['offers', 'id'],
  ['clips', 'clip'],
  ['ads', 'ad'],
] as const)('%s of some listings: each number its own record, the same each time', (list, key) => {
  const numbers = lists.of(list, listings)
  expect(numbers.length).toBeGreaterThan(5)
  const records = numbers.map((n) => lists.record(list, n))
  expect(new Set(records.map((r) => r[key])).size).toBe(numbers.length)
  expect(new FarLists(market).record(list, numbers[3] as number)).toEqual(records[3])
})

test('terms come with twelve months each, warm goods are sought in the warm ones', () => {
  const records = lists.of('terms', market.ofTerm('bird bath')).map((n) => lists.record('terms', n))
  const year = records.filter((r) => r.term === records[0]?.term)
  expect(year.map((r) => r.day)).toEqual(
    [
      '2025-06',
      '2025-07',
      '2025-08',
      '2025-09',
      '2025-10',
      '2025-11',
      '2025-12',
      '2026-01',
      '2026-02',
      '2026-03',
      '2026-04',
      '2026-05',
    ].map((m) => `${m}-01`),
  )
  const searches = (at: number) => year[at]?.searches as number
  expect(searches(0) + searches(1)).toBeGreaterThan(1.3 * (searches(6) + searches(7)))
})

test('the daily sales of the last thirty days come to what the listing tells of', () => {
  for (const k of listings.slice(0, 20)) {
    const days = lists.history(k)
    expect(days).toHaveLength(180)
    const recent = days.slice(150).reduce((sum, d) => sum + (d.units as number), 0)
    expect(recent).toBe(market.listing(k).units30)
  }
})

test('competing offers are the stores that have the same goods', () => {
  const k = listings[0] as number
  const { goods } = market.listing(k)
  const offers = lists.competing(k)
  expect(offers).toHaveLength(4)
  for (const { id } of offers) expect(market.listing(Number(String(id).slice(1))).goods).toBe(goods)
})
