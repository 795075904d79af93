import { isValidGtin } from '@sickle/core/identity'
import { FarMarket } from './far-market'

const market = new FarMarket({ size: 3000, stores: 7 })

test('every listing belongs to one store, and the stores together have them all', () => {
  const all = market.stores.flatMap((s) => market.ofStore(s).map((k) => ({ s, k })))
  expect(new Set(all.map((a) => a.k)).size).toBe(all.length)
  for (const { s, k } of all) expect(market.listing(k).store).toBe(s)
  // one in fifty is away at any time
  expect(all.length).toBeGreaterThan(3000 * 0.96)
  expect(all.length).toBeLessThan(3000)
})

test('a term and a category find what bears them', () => {
  const feeders = market.ofTerm('feeder')
  expect(feeders.length).toBeGreaterThan(20)
  const first = market.listing(feeders[0] as number)
  expect(market.ofCategory(first.category)).toEqual(expect.arrayContaining(feeders.slice(0, 4)))
  expect(market.ofCategory(first.category.split(' / ')[0] as string).length).toBeGreaterThan(feeders.length)
  expect(market.ofTerm('no such word')).toEqual([])
})

test('the same market again, and another look in which some have gone, some come and some cost more or less', () => {
  const again = new FarMarket({ size: 3000, stores: 7 })
  expect(again.listing(17)).toEqual(market.listing(17))
  const later = new FarMarket({ size: 3000, stores: 7, round: 1 })
  const [before, after] = [market, later].map((m) => new Set(m.stores.flatMap((s) => m.ofStore(s))))
  expect([...(before as Set<number>)].filter((k) => !after?.has(k)).length).toBeGreaterThan(10)
  const moved = Array.from({ length: 500 }, (_, k) => later.listing(k).price !== market.listing(k).price)
  expect(moved.filter(Boolean).length).toBeGreaterThan(20)
  expect(moved.filter(Boolean).length).toBeLessThan(100)
})

test('identifiers lead back, barcodes are whole', () => {
  const k = market.ofStore(market.stores[0] as string)[0] as number
  expect(market.numberOf(market.listing(k).id)).toBe(k)
  expect(market.numberOf('F9999999')).toBeNull()
  expect(isValidGtin(market.listing(k).gtin)).toBe(true)
})
