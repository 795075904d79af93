import {
  draftSchema,
  draftsFromCsv,
  draftsFromJsonLd,
  draftsNow,
  draftsSchema,
  draftsToCsv,
  draftsToJsonLd,
  type Draft,
} from '.'
import { firstFault } from '../schema'

const draft: Draft = {
  id: 'd1',
  item: 'Marrowgate/A1',
  market: 'Marrowgate',
  title: 'Bird bath',
  description: '',
  tags: ['bird lover'],
  category: 'Garden / Birds',
  gtin: '',
  picture: '',
  priceE4: 239_900,
  priceBy: 'margin',
  currency: 'EUR',
  quantity: 5,
  handlingDays: 2,
  profitE4: -12_300,
  profitCurrency: 'EUR',
  margin: -0.05,
  assumed: [],
}

test('a draft is right by the schema, and so is one that an earlier version kept, its price left alone', () => {
  expect(firstFault(draftSchema, draft)).toBeNull()
  const { priceBy: _, ...earlier } = draft
  expect(firstFault(draftsSchema, [earlier])).toEqual({ where: 'price by of entry 1', what: 'is missing' })
  expect(draftsNow([earlier])).toEqual([{ ...draft, priceBy: 'hand', assumed: [] }])
})

const bad: [Partial<Record<keyof Draft | 'more', unknown>>, string][] = [
  [{ id: '' }, 'id is missing'],
  [{ id: 7 }, 'id must be a text'],
  [{ title: null }, 'title is missing'],
  [{ title: 'x'.repeat(2001) }, 'title is longer than 2000 letters'],
  [{ tags: 'bird lover' }, 'tags must be a list'],
  [{ tags: [' '] }, 'tag 1 is blank'],
  [{ tags: Array.from({ length: 201 }, () => 'a') }, 'tags holds more than 200 entries'],
  [{ gtin: '12' }, 'gtin is no barcode'],
  [{ gtin: 'abcdefgh' }, 'gtin is no barcode'],
  [{ priceE4: -100 }, 'price must be an amount of 0 or more'],
  [{ priceE4: 0.1 }, 'price must be an amount'],
  [{ priceE4: '23.99' }, 'price must be a number'],
  [{ priceBy: 'luck' }, 'price by must be one of margin, hand'],
  [{ currency: 'EURO' }, 'currency is longer than 3 letters'],
  [{ currency: 'XQX' }, 'currency is no currency of ISO 4217'],
  [{ quantity: -1 }, 'quantity must be from 0 to 1000000'],
  [{ quantity: 1.5 }, 'quantity must be a whole number'],
  [{ handlingDays: 400 }, 'handling days must be from 0 to 365'],
  [{ profitE4: undefined }, 'profit is missing'],
  [{ profitE4: 0.5 }, 'profit must be an amount'],
  [{ profitCurrency: '' }, 'profit currency is missing'],
  [{ margin: NaN }, 'margin must be a number'],
  [{ assumed: 'no' }, 'assumed must be a list'],
  [{ more: 1 }, 'it has parts that are not known: more'],
]
test.each(bad)('the draft with %j is refused: %s', (some, reason) => {
  const fault = firstFault(draftSchema, { ...draft, ...some })
  expect(`${fault?.where || 'it'} ${fault?.what}`).toBe(reason)
})

const inFiles: [string, string, string][] = [
  ['price', 'free', "'free' is no price"],
  ['price', '-1.00', 'price must be an amount of 0 or more'],
  ['currency', 'euro', 'currency is longer than 3 letters'],
  ['quantity', 'many', "'many' is no number"],
  ['quantity', '2.5', 'quantity must be a whole number'],
  ['handling days', '', "'' is no number"],
  ['gtin', '123', 'gtin is no barcode'],
  ['id', '', 'id is missing'],
  ['price by', 'me', 'price by must be one of margin, hand'],
  ['profit currency', '', 'profit currency is missing'],
]
test.each(inFiles)('a CSV whose %s is "%s" is refused with its row: %s', (column, cell, reason) => {
  const [heading = '', row = ''] = draftsToCsv([draft]).split('\r\n')
  const columns = heading.slice(1, -1).split('","')
  const values: Record<string, string> = {
    id: 'd1',
    price: '23.99',
    currency: 'EUR',
    quantity: '5',
    'handling days': '2',
    'price by': 'margin',
    'profit currency': 'EUR',
  }
  const text = `${heading}\r\n${columns.map((c) => (c === column ? cell : (values[c] ?? ''))).join(',')}`
  expect(row).not.toBe('')
  expect(() => draftsFromCsv(text, 'x.csv')).toThrow(`${reason} in row 2`)
})

test('the same faults are found in JSON-LD, with the product', () => {
  const text = draftsToJsonLd([draft])
  const spoilt: [string, string, string][] = [
    ['"23.99"', '"free"', "'free' is no price in product 1"],
    ['"priceCurrency": "EUR"', '"priceCurrency": "QQQ"', 'currency is no currency of ISO 4217 in product 1'],
    ['"value": 5', '"value": -5', 'quantity must be from 0 to 1000000 in product 1'],
    ['"d1"', '""', 'id is missing in product 1'],
  ]
  for (const [was, is, reason] of spoilt) {
    expect(text).toContain(was)
    expect(() => draftsFromJsonLd(text.replace(was, is), 'x')).toThrow(reason)
  }
})
