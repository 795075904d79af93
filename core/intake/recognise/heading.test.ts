import { readHeading } from './heading'

test.each([
  ['Price (EUR)', ['price'], null, 'EUR'],
  ['sellingPriceCAD', ['selling', 'price'], null, 'CAD'],
  ['list_price_usd', ['list', 'price'], null, 'USD'],
  ['Unit cost EUR', ['unit', 'cost'], null, 'EUR'],
  ['Qty 30d', ['qty'], 30, null],
  ['Ventes 30 j', ['ventes'], 30, null],
  ['Verk. 30 T.', ['verk'], 30, null],
  ['units_90_days', ['units'], 90, null],
  ['Sold 2 weeks', ['sold'], 14, null],
  ['P.V.P.', ['pvp'], null, null],
  ['Sales\n7 d', ['sales'], 7, null],
  ['Größe', ['grosse'], null, null],
  ['Verkäufer', ['verkaufer'], null, null],
  ['verkaeufer', ['verkaufer'], null, null],
  ['sold.month', ['sold', 'month'], 30, null],
  ['# rtgs', ['nr', 'rtgs'], null, null],
  ['TOTAL', ['total'], null, null],
  // a word in large letters among others is a code, of words that all shout none is (TOP and ALL are currencies, ISO 4217)
  ['Price TOP', ['price'], null, 'TOP'],
  ['SOLD ALL', ['sold', 'all'], null, null],
  ['Cena zł', ['cena', 'zl'], null, 'PLN'],
] as const)('%s', (text, words, window, currency) => {
  expect(readHeading(text)).toMatchObject({ words, window, currency })
})

test('what says nothing is known for that', () => {
  for (const text of ['Column 3', 'Spalte C', 'F7', 'Field12', 'c1', '', 'Unnamed 4', 'X', '12'])
    expect([text, readHeading(text).useless]).toEqual([text, true])
  for (const text of ['CBM', 'Qty', 'Prix', 'id', 'Nr', 'Feld A Preis', 'Date'])
    expect([text, readHeading(text).useless]).toEqual([text, false])
})

test('percent is heard in several languages', () => {
  for (const text of ['Commission (%)', 'positivePct', 'Anteil Prozent', 'comm_pct'])
    expect([text, readHeading(text).percent]).toEqual([text, true])
  expect(readHeading('Percy').percent).toBe(false)
})
