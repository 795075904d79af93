import { numberIn, textIn, type RowRecord } from '../tables'
import { mergeListings } from './merge-listings'
import { numberListings } from './number-listings'
import { captureOf, listing, today } from './test-maker'
import type { Capture } from '../records'

const merged = (...captures: Capture[]) => {
  const numbered = numberListings(captures)
  return mergeListings(numbered.count, numbered.captures)
}
const day = (on: number, some: RowRecord = {}): RowRecord => ({
  market: 'Marrowgate',
  id: '1',
  day: on,
  units: 1,
  ...some,
})

test('a later list says what it knows, and leaves what it does not say', () => {
  const table = merged(
    captureOf('listings', [listing('1', { rating: 4.1, brand: 'Sill', units: 9 }), listing('2')], today - 10),
    captureOf(
      'listings',
      [listing('1', { title: 'Feeder', rating: null, brand: null, units: null, price: 90_000 })],
      today,
    ),
  )
  expect(table.rows).toBe(2)
  expect([textIn(table, 'title', 0), textIn(table, 'brand', 0), numberIn(table, 'rating', 0)]).toEqual([
    'Feeder',
    'Sill',
    4.1,
  ])
  expect([numberIn(table, 'price', 0), textIn(table, 'currency', 0)]).toEqual([90_000, 'EUR'])
  // units go with the day and the window they were counted in, not with the newest list
  expect(['units', 'unitsDay', 'windowDays', 'capturedOn'].map((name) => numberIn(table, name, 0))).toEqual([
    9,
    today - 10,
    30,
    today,
  ])
  expect(numberIn(table, 'capturedOn', 1)).toBe(today - 10)
  expect(table.columns.stock).toBeUndefined()
})

test('sales name a listing only where no list does, and say its price by their last day', () => {
  const sales = captureOf(
    'sales',
    [
      day(100, { title: 'From sales', price: 50_000, currency: 'GBP' }),
      day(102, { price: 70_000, currency: 'GBP' }),
      day(101, { price: 60_000, currency: 'EUR' }),
      day(103, { price: null }),
      { ...day(90, { title: 'Other', price: 10_000 }), id: '2' },
    ],
    today,
  )
  const alone = merged(sales)
  expect([0, 1].map((l) => textIn(alone, 'title', l))).toEqual(['From sales', 'Other'])
  expect([0, 1].map((l) => numberIn(alone, 'price', l))).toEqual([70_000, 10_000])
  expect(textIn(alone, 'currency', 0)).toBe('GBP')
  const listed = merged(captureOf('listings', [listing('1')], today - 1), sales)
  expect(textIn(listed, 'title', 0)).toBe('Clip-on window feeder, clear')
  expect(numberIn(listed, 'price', 0)).toBe(70_000)
  // a list of the same day knows more than its sales
  const after = merged(sales, captureOf('listings', [listing('1')], today))
  expect([numberIn(after, 'price', 0), textIn(after, 'currency', 0)]).toEqual([120_000, 'EUR'])
})

test('what older captures made of the first listings goes on, and is not changed', () => {
  const first = captureOf('listings', [listing('1', { rating: 4.1 }), listing('2', { brand: 'Sill' })], today - 10)
  const then = captureOf('listings', [listing('3', { brand: 'Reed' }), listing('1', { rating: 3.2, units: 8 })], today)
  const before = numberListings([first])
  const base = mergeListings(2, before.captures)
  const all = numberListings([first, then])
  const grown = mergeListings(all.count, all.captures.slice(1), base)
  const whole = mergeListings(all.count, all.captures)
  const names = Object.keys(whole.columns)
  expect(Object.keys(grown.columns).sort()).toEqual([...names].sort())
  for (const name of names)
    for (let l = 0; l < 3; l++)
      expect([name, l, textIn(grown, name, l), numberIn(grown, name, l)]).toEqual([
        name,
        l,
        textIn(whole, name, l),
        numberIn(whole, name, l),
      ])
  expect([numberIn(base, 'rating', 0), base.rows]).toEqual([4.1, 2])
})
