import fc from 'fast-check'
import { assumptions } from '../catalog'
import Papa from 'papaparse'
import {
  draftFaults,
  draftsFromCsv,
  draftsFromJsonLd,
  draftsToCsv,
  draftsToJsonLd,
  listingLimits,
  suggestTags,
  suggestTitle,
  type Draft,
} from '.'
import { gtinCheckDigit } from '../identity'

const text = fc.string({ maxLength: 60 }).map((s) => s.replace(/\r\n?/g, '\n').replace(/\0/g, ''))
const draft: fc.Arbitrary<Draft> = fc.record({
  id: fc.uuid(),
  item: text,
  market: text,
  title: text,
  description: text,
  tags: fc.uniqueArray(fc.stringMatching(/^[a-z =-]{0,11}[a-z]$/), { maxLength: 13 }),
  category: text,
  gtin: fc.oneof(
    fc.constant(''),
    fc.stringMatching(/^[0-9]{12}$/).map((d) => `0${d}${gtinCheckDigit(`0${d}`)}`),
  ),
  picture: text,
  priceE4: fc.integer({ min: 1, max: 1e9 }).map((c) => c * 100),
  priceBy: fc.constantFrom('margin', 'hand'),
  assumed: fc.subarray([...assumptions]),
  currency: fc.constantFrom('EUR', 'GBP', 'USD'),
  quantity: fc.integer({ min: 1, max: 999 }),
  handlingDays: fc.integer({ min: 0, max: 30 }),
  profitE4: fc.option(fc.integer({ min: -1e6, max: 1e6 }).map((c) => c * 100)),
  profitCurrency: fc.constant('EUR'),
  margin: fc.option(fc.double({ min: -2, max: 1, noNaN: true }).map((m) => m + 0)),
})

test('CSV there and back gives the same drafts, and holds no formula', () => {
  fc.assert(
    fc.property(fc.array(draft, { minLength: 1, maxLength: 4 }), (drafts) => {
      const csv = draftsToCsv(drafts)
      expect(draftsFromCsv(csv, 'x.csv')).toEqual(drafts)
      const cells = Papa.parse<string[]>(csv).data.flat()
      // A loss is a number, and stays one.
      expect(cells.filter((c) => /^[=+@\t\r]/.test(c) || (c.startsWith('-') && !/^-[\d.e-]+$/.test(c)))).toEqual([])
    }),
  )
})
test('JSON-LD there and back gives the same drafts', () => {
  fc.assert(
    fc.property(fc.array(draft, { maxLength: 4 }), (drafts) =>
      expect(draftsFromJsonLd(draftsToJsonLd(drafts), 'x.jsonld')).toEqual(drafts),
    ),
  )
})
test('JSON-LD holds no raw <, and reads back the same', () => {
  const [d] = fc.sample(draft, 1) as [Draft]
  const title = '</script><script>alert(1)</script><!-- & "'
  const text = draftsToJsonLd([{ ...d, title, tags: ['<b>'] }])
  expect(text).not.toContain('<')
  expect(draftsFromJsonLd(text, 'x.jsonld')[0]).toMatchObject({ title, tags: ['<b>'] })
})
test('JSON-LD is schema.org Product with an Offer', () => {
  const [d] = fc.sample(draft, 1) as [Draft]
  const graph = JSON.parse(draftsToJsonLd([{ ...d, priceE4: 98_900, currency: 'EUR' }])) as {
    '@context': string
    '@graph': Record<string, unknown>[]
  }
  expect(graph['@context']).toBe('https://schema.org')
  expect(graph['@graph'][0]).toMatchObject({
    '@type': 'Product',
    offers: { '@type': 'Offer', price: '9.89', priceCurrency: 'EUR' },
  })
})
test('a file that is not one of drafts is refused with row and reason', () => {
  const csv = draftsToCsv(fc.sample(draft, 2))
  expect(() => draftsFromCsv('a,b\n1,2', 'x.csv')).toThrow(expect.objectContaining({ code: 'drafts-invalid' }))
  const rows = Papa.parse<string[]>(csv).data
  ;(rows[2] as string[])[9] = 'free'
  expect(() => draftsFromCsv(Papa.unparse(rows), 'x.csv')).toThrow("'free' is no price in row 3")
  expect(() => draftsFromJsonLd('{', 'x')).toThrow('it is no JSON')
  expect(() => draftsFromJsonLd('{"@graph":[{"sku":"1","offers":{}}]}', 'x')).toThrow("'' is no price in product 1")
})

const listings = [
  { title: 'NEW Window feeder, clear, great gift', units: 90, tags: 'bird lover|window feeder' },
  { title: 'WINDOW FEEDER CLEAR', units: 200, tags: null },
  { title: 'Clip-on window feeder', units: 5, tags: 'bird lover|a tag that is far too long to be let in' },
]
test('a title from what sells, without shouting and praise, within the limit', () => {
  expect(suggestTitle(listings, 80)).toBe('Window feeder, clear')
  expect(suggestTitle([{ title: 'One two three four', units: 1, tags: null }], 9)).toBe('One two')
  fc.assert(
    fc.property(text, fc.integer({ min: 1, max: 80 }), (title, limit) =>
      expect([...suggestTitle([{ title, units: 1, tags: null }], limit)].length).toBeLessThanOrEqual(limit),
    ),
  )
})
test('tags: the most sold first, within both limits, none twice', () => {
  const tags = suggestTags(listings, 4, 20)
  expect(tags.slice(0, 2)).toEqual(['bird lover', 'window feeder'])
  expect(tags).toHaveLength(4)
  expect(new Set(tags).size).toBe(4)
})
test('what a market would refuse is named', () => {
  const [d] = fc.sample(draft, 1) as [Draft]
  const good = { ...d, title: 'Bird bath', tags: ['a'], quantity: 1 }
  expect(draftFaults(good)).toEqual([])
  expect(draftFaults({ ...good, title: 'x'.repeat(81), priceE4: 0, quantity: 0 })).toHaveLength(3)
  expect(draftFaults({ ...good, tags: Array.from({ length: 14 }, (_, i) => `t${i}`) })[0]).toMatch('14 tags; 13')
  expect(listingLimits).toEqual({ title: 80, tags: 13, tagLength: 20 })
})
