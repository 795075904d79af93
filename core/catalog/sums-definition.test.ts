import { chance } from '../../standins/random'
import { wilsonInterval } from '../demand'
import type { Capture } from '../records'
import { textColumn, type RowRecord } from '../tables'
import { buildCatalog, listingThemes, seriesAt, sumListings, unitsInWindow, type Listing } from '.'
import { readingsOf, riseOf } from './capture-readings'
import { labelsOf } from './joinable'
import { numberListings } from './number-listings'
import { salesBlock } from './sales-block'
import { captureOf, listing, testRules, today } from './test-maker'

const random = chance(61)
const upTo = (most: number) => Math.floor(random.next() * most)
const maybe = <T>(value: T) => (random.next() < 0.3 ? null : value)
const markets = ['Marrowgate', 'Gavelhop']

/** Listings of two markets, of which much is not known. */
const someListings = (many: number) =>
  Array.from({ length: many }, (_, i) =>
    listing(`${i}`, {
      market: markets[upTo(2)]!,
      title: `Thing no ${i}`,
      store: maybe(`Store ${upTo(4)}`),
      price: maybe(10_000 * (1 + upTo(40))),
      currency: ['EUR', 'GBP', 'XXX'][upTo(3)]!,
      units: maybe(upTo(12)),
      unitsTotal: maybe(upTo(300)),
      listedOn: maybe(today - upTo(400) + 20),
    }),
  )

/** Days of sales of some of them, by the day or the week, some days left out. */
function someSales(rows: readonly RowRecord[], capturedOn: number): RowRecord[] {
  return rows
    .filter(() => random.next() < 0.4)
    .flatMap(({ market = null, id = null }) => {
      const step = random.next() < 0.3 ? 7 : 1
      const from = capturedOn - step * (10 + upTo(40))
      return Array.from({ length: 45 }, (_, i) => ({ market, id, day: from + i * step, units: upTo(5) })).filter(
        ({ day }) => day <= capturedOn && random.next() < 0.93,
      )
    })
}

/** day → units as the later file says; the step is a week where all days told of lie whole weeks apart */
function seriesBy(captures: readonly Capture[], sales: readonly (readonly RowRecord[])[], key: string) {
  const days = new Map<number, number>()
  captures.forEach((_, c) => {
    for (const { market, id, day, units } of sales[c] ?? [])
      if (`${market}/${id}` === key) days.set(day as number, units as number)
  })
  if (days.size === 0) return null
  const [first, last] = [Math.min(...days.keys()), Math.max(...days.keys())]
  const stepDays = last > first && [...days.keys()].every((d) => (d - first) % 7 === 0) ? 7 : 1
  const values = Array.from({ length: (last - first) / stepDays + 1 }, (_, i) => days.get(first + i * stepDays) ?? NaN)
  return { start: first, stepDays, values: Float64Array.from(values) }
}

test('sales of a listing are what its files say day by day, the later file first, in weeks where all are weeks', () => {
  for (let round = 0; round < 40; round++) {
    const rows = someListings(6)
    const sales = [someSales(rows, today - 7), someSales(rows, today)]
    const captures = sales.map((list, c) => captureOf('sales', list, today - 7 + 7 * c)).filter((c) => c.table.rows > 0)
    const numbered = numberListings(captures)
    const block = salesBlock(numbered.count, numbered.captures)
    const keys = new Set(sales.flat().map(({ market, id }) => `${market}/${id}`))
    expect(numbered.count).toBe(keys.size)
    ;[...keys].forEach((key, at) => {
      // numbered as they come, the older file first
      const wanted = seriesBy(
        sales.map((_, c) => captures[c]!),
        sales,
        key,
      )
      expect(seriesAt(block, at)).toEqual(wanted)
    })
    expect(seriesAt(block, keys.size)).toBeNull()
  }
})

test('what many listings sell together, listing by listing, and of themes the middle age', async () => {
  for (let round = 0; round < 30; round++) {
    const rows = someListings(1 + upTo(14))
    const sales = someSales(rows, today)
    const captures = [captureOf('listings', rows), ...(sales.length > 0 ? [captureOf('sales', sales)] : [])]
    const catalog = await buildCatalog(captures)
    const places = rows.map((_, i) => i).filter(() => random.next() < 0.8)
    const ids = textColumn(catalog.listings, 'id')
    const rowOf = (place: number) => rows.find((r) => r.id === ids.words.at(ids.codes[place] as number))!
    const rate = (currency: unknown) => ({ EUR: 1, GBP: 1.25 })[currency as string] ?? null
    const parts = places.map((place) => {
      const row = rowOf(place)
      const last = catalog.windowEnds[row.market as string]!
      const priceE4 =
        row.price === null || rate(row.currency) === null
          ? null
          : Math.round((row.price as number) * rate(row.currency)!)
      const reader = { units: row.units ?? null, unitsDay: row.units === null ? null : today, windowDays: 30 }
      const units = unitsInWindow(reader as unknown as Listing, seriesAt(catalog.sales, place), last)
      return { row, last, priceE4, units }
    })
    const known = parts.filter((p) => p.units !== null)
    const prices = parts.flatMap(({ priceE4 }) => priceE4 ?? []).sort((a, b) => a - b)
    const order = ['counted', 'reported', 'estimated', 'assumed']
    const wanted = {
      listings: parts.length,
      known: known.length,
      sold: known.filter((p) => p.units!.units > 0).length,
      sellThrough: wilsonInterval(known.filter((p) => p.units!.units > 0).length, known.length),
      units:
        known.length === 0
          ? null
          : (expect.closeTo(
              known.reduce((sum, p) => sum + p.units!.units, 0),
              9,
            ) as number),
      unitsPerListing:
        known.length === 0
          ? null
          : (expect.closeTo(known.reduce((sum, p) => sum + p.units!.units, 0) / known.length, 9) as number),
      revenueE4:
        known.length === 0 ? null : known.reduce((sum, p) => sum + Math.round(p.units!.units * (p.priceE4 ?? 0)), 0),
      medianPriceE4: prices[Math.ceil(prices.length / 2) - 1] ?? null,
      stores: new Set(parts.map(({ row }) => `${row.market}/${row.store ?? `listing ${row.id}`}`)).size,
      grade:
        known.length === 0
          ? null
          : known.map((p) => p.units!.grade).sort((a, b) => order.indexOf(b) - order.indexOf(a))[0],
      windowEnd: parts.length === 0 ? null : Math.max(...parts.map((p) => p.last)),
    }
    expect(sumListings(catalog, places, testRules)).toEqual(wanted)
    const [theme] = listingThemes(catalog, [{ phrases: ['thing'], rows: places }], testRules)
    const numbersOf = (name: string) =>
      parts.flatMap(({ row }) => (row[name] === null ? [] : [row[name] as number])).sort((a, b) => a - b)
    const [totals, listed] = [numbersOf('unitsTotal'), numbersOf('listedOn')]
    const middle =
      listed.length === 0
        ? null
        : (listed[Math.floor((listed.length - 1) / 2)]! + listed[Math.ceil((listed.length - 1) / 2)]!) / 2
    expect(theme).toEqual({
      phrases: ['thing'],
      rows: places,
      sums: wanted,
      unitsTotal: totals.length === 0 ? null : totals.reduce((a, b) => a + b, 0),
      medianAgeDays: middle === null ? null : Math.max(0, wanted.windowEnd! - middle),
    })
  }
})

test('themes that sell through most surely come first, those of which nothing is known last', async () => {
  const rows = [0, 0, 5, 5, 5, 0].map((units, i) => listing(`${i}`, { title: `Thing ${i}`, units }))
  const catalog = await buildCatalog([
    captureOf('listings', [...rows, listing('6', { title: 'Thing 6', units: null })]),
  ])
  const theme = (name: string, ...places: number[]) => ({ phrases: [name], rows: places })
  const found = listingThemes(
    catalog,
    [theme('unknown', 6), theme('none', 0, 1), theme('all', 2, 3, 4), theme('some', 0, 2), theme('nothing')],
    testRules,
  )
  expect(found.map((t) => t.phrases[0])).toEqual(['all', 'some', 'none', 'unknown', 'nothing'])
  expect(found.at(-1)).toMatchObject({
    unitsTotal: null,
    medianAgeDays: null,
    sums: { windowEnd: null, medianPriceE4: null },
  })
})

test('a brand is one however it is written, and its number is nothing where none is said', () => {
  const table = captureOf('listings', [
    listing('1', { brand: ' Tern & Trowel' }),
    listing('2', { brand: 'TERN & TROWEL ' }),
    listing('3'),
    listing('4', { brand: 'Sill Mill' }),
  ]).table
  const { brands, gtins } = labelsOf(table)
  expect([brands[0], brands[2]]).toEqual([brands[1], -1])
  expect(new Set(brands).size).toBe(3)
  expect([...gtins]).toEqual([-1, -1, -1, -1])
})

test('reviews rose from the first to the last look of ninety days, in the order of looks, where they did', () => {
  const looks = [100, 89, 40, 13, 0].map((ago, i) => ({ day: today - ago, value: [1, 10, 12, 14, 20][i]! }))
  // what is ninety days before the last is not looked at any more
  expect(riseOf(looks)).toEqual({ rise: 10, from: today - 89, to: today })
  expect(riseOf([{ day: today - 90, value: 3 }, ...looks.slice(2)])).toEqual({ rise: 8, from: today - 40, to: today })
  expect(riseOf(looks.slice(3))).toBeNull()
  expect(
    riseOf([
      { day: today - 14, value: 5 },
      { day: today, value: 5 },
    ]),
  ).toEqual({ rise: 0, from: today - 14, to: today })
  expect(
    riseOf([
      { day: today - 14, value: 6 },
      { day: today, value: 5 },
    ]),
  ).toBeNull()
  expect([riseOf([]), riseOf(looks.slice(4))]).toEqual([null, null])
  const captures = [3, 1].map((ago) =>
    captureOf(
      'listings',
      [listing('a', { reviews: 10 - ago }), listing('b'), listing('c', { reviews: 2 })],
      today - ago,
    ),
  )
  const numbered = numberListings([
    ...captures,
    captureOf('sales', [{ market: 'Marrowgate', id: 'a', day: today, units: 1 }]),
  ]).captures
  expect(readingsOf('reviews', numbered, new Set([0, 1]))).toEqual(
    new Map([
      [
        0,
        [
          { day: today - 3, value: 7 },
          { day: today - 1, value: 9 },
        ],
      ],
    ]),
  )
  // one look tells of no change
  expect(readingsOf('reviews', numbered.slice(1), new Set([0])).size).toBe(0)
})
