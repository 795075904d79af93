import type { Capture } from '../records'
import { dayNumber } from '../identity'
import { TableBuilder } from '../tables'
import { hasWords, longerPhrases, mergeTerms, risingTerms, type Term } from '.'
import { stemsOf } from '../words'

type Row = Record<string, string | number | null>

function capture(rows: Row[], windowDays = 30, id = 'a'): Capture {
  const numeric = ['searches', 'competing', 'day', 'change']
  const names = ['market', 'term', 'region', 'category', ...numeric]
  const builder = new TableBuilder(
    names.map((name) => ({ name, type: numeric.includes(name) ? ('number' as const) : ('text' as const) })),
  )
  for (const row of rows) builder.add({ market: 'Fernhand', ...row })
  return { id, kind: 'terms', capturedOn: 20_000, windowDays, table: builder.finish() }
}
const month = (i: number) => dayNumber(2024 + Math.floor(i / 12), (i % 12) + 1, 1) as number

test('a month is the sum of its places, a year the mean of twelve months, a balance searches a listing', () => {
  const rows = Array.from({ length: 12 }, (_, i) => [
    { term: 'Bird mug', day: month(i), region: 'Inland', searches: 100 + i, competing: 50 },
    { term: ' bird MUG', day: month(i), region: 'Isles', searches: 20, competing: 50 },
  ]).flat()
  const [term, ...others] = mergeTerms([capture(rows)])
  expect(others).toEqual([])
  // by hand: (100 + … + 111) / 12 + 20 = 105.5 + 20
  expect(term).toMatchObject({ key: 'Fernhand/bird mug', searches: 125.5, ofMonths: 12, competing: 50, balance: 2.51 })
  expect(term?.months).toEqual(Array.from({ length: 12 }, (_, i) => 120 + i))
  expect(term?.places.map((p) => [p.name, Number(p.share.toFixed(4))])).toEqual([
    ['Inland', Number((1266 / 1506).toFixed(4))],
    ['Isles', Number((240 / 1506).toFixed(4))],
  ])
})

test('the same month brought in again replaces; rows without a day are brought to 30 days', () => {
  const again = mergeTerms([
    capture([{ term: 'mug', day: month(3), searches: 10, competing: 5 }]),
    capture([{ term: 'mug', day: month(3), searches: 14, competing: null }], 30, 'b'),
  ])
  expect(again[0]).toMatchObject({ searches: 14, ofMonths: 1, competing: null, balance: null })
  const undated = mergeTerms([capture([{ term: 'mug', searches: 70, competing: 0, change: 0.2 }], 7)])
  expect(undated[0]).toMatchObject({ searches: 300, months: [], lastDay: null, competing: 0, balance: null })
  expect(undated[0]?.change).toEqual({ ratio: 0.2, low: null, high: null, against: 'as reported' })
})

test('change: against the same months a year before where they are known, which takes the season out', () => {
  const season = (i: number) => 1000 + 800 * Math.sin((i / 12) * 2 * Math.PI)
  const grown = Array.from({ length: 24 }, (_, i) => ({
    term: 'mug',
    day: month(i),
    searches: Math.round(season(i) * (i < 12 ? 1 : 1.3)),
  }))
  const [term] = mergeTerms([capture(grown)])
  expect(term?.change?.against).toBe('a year before')
  expect(term?.change?.ratio).toBeCloseTo(0.3, 2)
  const [short] = mergeTerms([capture(grown.slice(0, 8))])
  expect(short?.change?.against).toBe('the three months before')
  expect(mergeTerms([capture(grown.slice(0, 2))])[0]?.change).toBeNull()
})

test('rising is only what surely rises; the surest first', () => {
  const rows = (term: string, before: number, after: number) =>
    Array.from({ length: 6 }, (_, i) => ({ term, day: month(i), searches: i < 3 ? before : after }))
  const terms = mergeTerms([
    capture([
      ...rows('sure', 1000, 1300),
      ...rows('thin', 3, 5),
      ...rows('surer', 1000, 1900),
      ...rows('flat', 900, 905),
    ]),
  ])
  expect(risingTerms(terms).map((t) => t.phrase)).toEqual(['surer', 'sure'])
})

test('longer phrases have every word and more, in whatever form, on the same market', () => {
  const term = (phrase: string, balance: number | null, market = 'Fernhand') =>
    ({ key: `${market}/${phrase}`, market, phrase, balance }) as Term
  const all = [
    term('tea towel', 1),
    term('linen tea towels', 4),
    term('towel for tea, birds', 9),
    term('tea cosy', 8),
    term('towels tea', 7),
    term('tea towel wren', null),
    term('tea towel owl', 20, 'Elsewhere'),
  ]
  expect(longerPhrases(all[0] as Term, all).map((t) => t.phrase)).toEqual([
    'towel for tea, birds',
    'linen tea towels',
    'tea towel wren',
  ])
})

test("stems are Porter's: forms of a word are one word, and nothing has the words of nothing", () => {
  // examples of Porter 1980, steps 1a, 1b, 1c and 2 (from memory)
  expect(stemsOf('caresses ponies cats plastered motoring happy relational')).toEqual([
    'caress',
    'poni',
    'cat',
    'plaster',
    'motor',
    'happi',
    'relat',
  ])
  expect(hasWords('Window bird feeders, 15 cm', stemsOf('bird feeder 15cm'))).toBe(true)
  expect(hasWords('Window feeder', stemsOf('bird feeder'))).toBe(false)
  expect(hasWords('anything', [])).toBe(false)
})
