import { readFileSync } from 'node:fs'
import { buildCatalog, plainRules } from '../catalog'
import { tableOf } from '../records/table-of'
import { openStore } from './open-store'
import { knownStores } from './store-list'

interface Expected {
  rows: [id: string, market: string, store: string, cents: number, units: number | null, total: number | null][]
  stores: {
    market: string
    store: string
    listings: number
    known: number
    sold: number
    units: number
    cents: number
    averageCents: number
    perListing: number
    total: number
    topFifth: number
    makes80: number
  }[]
  /** day of each row, null where it does not say */
  putUp: (number | null)[]
  months: [market: string, store: string, month: string, count: number, sold: number][]
  fresh: [market: string, store: string, count: number, sold: number][]
}
// Source: GROUP BY and window functions of SQLite, by scripts/fixtures/stores.py.
const { rows, stores, putUp, months, fresh } = JSON.parse(
  readFileSync(new URL('fixtures/sqlite-stores.json', import.meta.url), 'utf8'),
) as Expected

test('900 listings of fourteen stores sum to what SQLite says of them', async () => {
  const records = rows.map(([id, market, store, cents, units, unitsTotal], i) => {
    return {
      listedOn: putUp[i] as number | null,
      id,
      market,
      store,
      title: `Bell ${id}`,
      price: cents * 100,
      currency: 'EUR',
      units,
      unitsTotal,
    }
  })
  const table = tableOf('listings', records)
  const rules = plainRules('EUR')
  const catalog = await buildCatalog([{ id: 'a', kind: 'listings', capturedOn: 20_604, windowDays: 30, table }])
  const known = knownStores(catalog, [], rules)
  expect(known.list.count).toBe(stores.length)
  for (const s of stores) {
    const at = known.places.find(s.market, s.store) as number
    const of = (name: string) => known.list.figures[name]?.[at] as number
    expect([of('listings'), of('units'), of('revenue'), of('unitsTotal')]).toEqual([
      s.listings,
      s.units,
      s.cents * 100,
      s.total,
    ])
    expect(of('unitsPerListing')).toBeCloseTo(s.perListing, 12)
    expect(of('sellThrough')).toBeCloseTo(s.sold / s.known, 12)
    expect(of('averagePrice')).toBe(Math.round(s.averageCents * 100))
    const look = openStore(known, catalog, rules, { market: s.market, name: s.store })
    expect([look?.summed.known, look?.summed.sold, look?.makes80]).toEqual([s.known, s.sold, s.makes80])
    expect(look?.topFifth).toBeCloseTo(s.topFifth, 12)
    expect(look?.summed.units).toBe(s.units)
    expect(look?.curve.at(-1)).toMatchObject({ listings: 1, units: 1 })
    const inMonths = look?.putUp.months.filter((m) => m.count > 0).map((m) => [m.month, m.count, m.sold])
    const mineOf = <T extends [string, string, ...unknown[]]>(list: T[]) =>
      list.filter(([market, store]) => market === s.market && store === s.store)
    expect(inMonths).toEqual(mineOf(months).map(([, , ...month]) => month))
    expect([[look?.newListings, look?.newThatSell]]).toEqual(mineOf(fresh).map(([, , ...counts]) => counts))
  }
})
