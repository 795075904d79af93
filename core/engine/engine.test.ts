import fc from 'fast-check'
import {
  binOf,
  emptyQuery,
  Finder,
  firstInOrder,
  findRow,
  inOrder,
  makeFigures,
  measure,
  measures,
  readCut,
  shippedCuts,
  sortedPlaces,
  valueAt,
  placeOf,
  type Query,
} from '.'
import { buildCatalog, ItemMaker, noCorrections, plainRules, type Item } from '../catalog'
import type { Capture } from '../records'
import { TableBuilder, type Table } from '../tables'

const markets = ['Marrowgate', 'Gavelhop', 'Fernhand']
const countries = ['Ireland', 'Portugal']
const categories = ['Garden / Birds / Feeders', 'Garden / Balcony', 'Paper / Printables']

/** Items with every sort of gap, from a small deterministic list. */
function makeMaker(n: number): Promise<ItemMaker> {
  const builder = new TableBuilder([
    ...['market', 'id', 'title', 'store', 'currency', 'category', 'country'].map((name) => ({
      name,
      type: 'text' as const,
    })),
    ...['price', 'units', 'rating', 'reviews'].map((name) => ({ name, type: 'number' as const })),
  ])
  for (let i = 0; i < n; i++) {
    builder.add({
      market: markets[i % 3] ?? '',
      id: String(i),
      title: `thing${i} word${i % 4}`,
      store: `S${i % 5}`,
      currency: 'EUR',
      category: i % 7 ? (categories[i % 3] ?? null) : null,
      price: i % 11 ? 10_000 + i * 3_700 : 1_000_000,
      country: i % 6 ? (countries[i % 2] ?? null) : null,
      units: i % 5 ? (i * 13) % 200 : null,
      rating: i % 4 ? 2.5 + (i % 26) / 10 : null,
      reviews: i,
    })
  }
  return makerOf([{ id: 'x', kind: 'listings', capturedOn: 20000, windowDays: 30, table: builder.finish() }])
}
const makerOf = async (captures: Capture[]) =>
  new ItemMaker(await buildCatalog(captures), plainRules('EUR'), noCorrections)

let maker: ItemMaker
let figures: Table
let items: Item[]
beforeAll(async () => {
  maker = await makeMaker(200)
  figures = await makeFigures(maker)
  items = Array.from({ length: maker.count }, (_, i) => maker.at(i))
})
const newFinder = () => new Finder(() => maker.catalog, figures)

const span = fc.oneof(fc.constant(null), fc.double({ min: 0, max: 100, noNaN: true }))
const query: fc.Arbitrary<Query> = fc
  .record({
    words: fc.constantFrom('', 'word1', 'thing1 s2', 'nothing'),
    limits: fc.dictionary(fc.constantFrom('price', 'units', 'rating', 'sellThrough', 'sellers'), fc.tuple(span, span), {
      maxKeys: 3,
    }),
    markets: fc.subarray(markets),
    categories: fc.subarray(['Garden', 'Garden / Birds', 'Paper / Printables']),
    stages: fc.subarray(['Unclear']),
    countries: fc.subarray(countries),
    sort: fc.record({ by: fc.constantFrom('price', 'units', 'rating'), descending: fc.boolean() }),
  })
  .map((some) => ({ ...emptyQuery, ...some }))

/** The plainest reading of a query, item by item. */
function passes(item: Item, q: Query, except = ''): boolean {
  const inside = (name: string, [low, high]: [number | null, number | null]) => {
    const v = measure(name).of(item)
    return name === except || (v !== null && v >= (low ?? -Infinity) && v <= (high ?? Infinity))
  }
  const text = `${item.category ?? ''} ${item.listings.map((l) => `${l.title} ${l.store}`).join(' ')}`.toLowerCase()
  return (
    Object.entries(q.limits).every(([name, s]) => inside(name, s)) &&
    q.words
      .toLowerCase()
      .split(' ')
      .every((w) => text.includes(w)) &&
    (except === 'markets' || q.markets.length === 0 || item.markets.some((m) => q.markets.includes(m))) &&
    (q.categories.length === 0 ||
      q.categories.some((c) => item.category === c || item.category?.startsWith(`${c} / `))) &&
    (q.stages.length === 0 || q.stages.includes(item.stage)) &&
    (except === 'countries' || q.countries.length === 0 || item.country.some((c) => q.countries.includes(c)))
  )
}

test('a run of queries on one finder agrees with reading item by item', () => {
  fc.assert(
    fc.property(fc.array(query, { minLength: 1, maxLength: 6 }), fc.boolean(), (queries, prepared) => {
      const finder = newFinder()
      if (prepared) for (const _ of finder.prepare());
      for (const q of queries) {
        const answer = finder.ask(q)
        const naive = items.filter((i) => passes(i, q))
        expect(answer.matching).toBe(naive.length)
        expect(new Set([...finder.places(0, 1000)].map((i) => items[i]?.key))).toEqual(new Set(naive.map((i) => i.key)))
        for (const s of answer.strips) {
          const others = items.filter((i) => passes(i, q, s.measure))
          const known = others.filter((i) => measure(s.measure).of(i) !== null)
          expect(s.passing.reduce((a, b) => a + b, 0)).toBe(known.length)
          expect(s.unknown).toBe(others.length - known.length)
          expect(s.wouldReturn).toBe(others.length - naive.length)
        }
        for (const m of answer.facets.markets)
          expect(m.count).toBe(items.filter((i) => passes(i, q, 'markets') && i.markets.includes(m.value)).length)
        for (const c of answer.facets.countries)
          expect(c.count).toBe(items.filter((i) => passes(i, q, 'countries') && i.country.includes(c.value)).length)
      }
    }),
    { numRuns: 60 },
  )
})

test('the first of an order are those of the whole order, ties and unknown ones too', () => {
  const value = fc.constantFrom(NaN, -0, 0, 1, 2, 2.5, 7)
  fc.assert(
    fc.property(
      fc.array(value, { maxLength: 40 }),
      fc.boolean(),
      fc.integer({ min: 0, max: 45 }),
      (list, down, count) => {
        const values = Float64Array.from(list)
        const mask = Uint32Array.from(list, (_, i) => Number(i % 3 === 0))
        const whole = [...inOrder(mask, sortedPlaces(values), down)]
        expect([...firstInOrder(mask, values, down, count)]).toEqual(whole.slice(0, count))
      },
    ),
  )
})

test('sorted as asked, unknown last both ways', () => {
  for (const descending of [true, false]) {
    const finder = newFinder()
    finder.ask({ ...emptyQuery, sort: { by: 'rating', descending } })
    const values = [...finder.places(0, 100), ...finder.places(100, 1000)].map((i) => items[i]?.rating ?? null)
    const known = values.filter((v) => v !== null)
    expect(values.slice(known.length).every((v) => v === null)).toBe(true)
    expect(known).toEqual([...known].sort((a, b) => (descending ? b - a : a - b)))
  }
})

test('where nothing is known of a facet, nothing has what is chosen of it', () => {
  const finder = newFinder()
  expect(finder.ask({ ...emptyQuery, channels: ['feed'] })).toMatchObject({ matching: 0, facets: { channels: [] } })
  expect(finder.ask(emptyQuery).matching).toBe(items.length)
})

test('what was dropped is left out, and comes back', () => {
  const finder = newFinder()
  expect(finder.ask(emptyQuery, [3]).matching).toBe(items.length - 1)
  expect(finder.ask(emptyQuery).matching).toBe(items.length)
})

test('bins: every known value has one, the ends take what lies beyond', () => {
  for (const m of measures) {
    for (const v of [-1e6, 0, 1, 1e6]) expect(binOf(m, v)).toBeGreaterThanOrEqual(0)
    expect(binOf(m, null)).toBe(-1)
    for (const p of [0, 0.3, 1]) expect(placeOf(m, valueAt(m, p))).toBeCloseTo(p, 9)
  }
})

test('Cuts survive their file; a damaged one is refused with the reason', () => {
  for (const cut of shippedCuts) expect(readCut(JSON.parse(JSON.stringify(cut)))).toEqual({ ...cut, ships: false })
  expect(() => readCut({ name: 'x', query: { limits: { luck: [0, 1] } } })).toThrow(
    'limits of query has no measure luck',
  )
  expect(() => readCut({ name: 'x', query: { limits: { price: ['1', 2] } } })).toThrow(
    'price of limits of query must be two numbers',
  )
  expect(() => readCut(null)).toThrow(expect.objectContaining({ code: 'cut-invalid' }))
})

test('a row says what the item says, and no more', () => {
  const row = findRow(items[1] as Item)
  expect(row).toMatchObject({
    key: items[1]?.key,
    units: items[1]?.units,
    listings: 1,
    trend: [],
    stage: 'Unclear',
    profitE4: null,
  })
  expect(measures.map((m) => m.name)).toHaveLength(new Set(measures.map((m) => m.name)).size)
})

test('whichever measures have a strip, the same items match and each strip counts what the others leave', () => {
  fc.assert(
    fc.property(query, fc.subarray(['price', 'units', 'sellers', 'reviews', 'room'], { minLength: 1 }), (q, strips) => {
      const [usual, other] = [newFinder(), new Finder(() => maker.catalog, figures, { strips })]
      const [a, b] = [usual.ask(q), other.ask(q)]
      expect(b.matching).toBe(a.matching)
      expect([...other.places(0, 20)]).toEqual([...usual.places(0, 20)])
      expect(b.strips.map((s) => s.measure)).toEqual(strips)
      for (const s of b.strips) {
        const known = items.filter((i) => passes(i, q, s.measure) && measure(s.measure).of(i) !== null)
        expect(s.passing.reduce((sum, n) => sum + n, 0)).toBe(known.length)
      }
    }),
    { numRuns: 60 },
  )
})
