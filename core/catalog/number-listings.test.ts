import { numberListings } from './number-listings'
import { captureOf, listing, today } from './test-maker'

const numbersOf = (...captures: Parameters<typeof numberListings>[0][number][]) => {
  const { count, captures: numbered } = numberListings(captures)
  return [count, ...numbered.map(({ listings }) => Array.from(listings))]
}
const on = (market: string | null, id: string) => listing(id, { market })
const day = (market: string | null, id: string, on: number) => ({ market, id, day: on, units: 1 })

test('a listing is its number on its market, in the order in which they are first named', () => {
  const rows = [on('Marrowgate', 'b'), on('Gavelhop', 'b'), on('Marrowgate', 'a'), on('Marrowgate', 'b')]
  expect(numbersOf(captureOf('listings', rows))).toEqual([3, [0, 1, 2, 0]])
})

test('tables that name the same in another order mean the same listings', () => {
  const first = captureOf('listings', [on('Marrowgate', 'a'), on('Gavelhop', 'a'), on('Marrowgate', 'b')], today - 2)
  const then = captureOf('listings', [on('Gavelhop', 'c'), on('Marrowgate', 'b'), on('Gavelhop', 'a')], today - 1)
  const last = captureOf('listings', [on('Gavelhop', 'd'), on('Gavelhop', 'c'), on('Sill', 'a')], today)
  // given in any order, they are taken from the oldest on
  expect(numbersOf(last, first, then)).toEqual([6, [0, 1, 2], [3, 2, 1], [4, 3, 5]])
})

test('listings of which no market is said are not those of a market that is', () => {
  const rows = [on(null, 'a'), on('Marrowgate', 'a'), on(null, 'b'), on(null, 'a')]
  expect(numbersOf(captureOf('listings', rows))).toEqual([3, [0, 1, 2, 0]])
  const before = captureOf('listings', [on('Marrowgate', 'a')], today - 1)
  expect(numbersOf(before, captureOf('listings', rows))).toEqual([3, [0], [1, 0, 2, 1]])
})

test('days of sales name a listing once where they follow each other', () => {
  const days = [
    day('Marrowgate', 'a', 1),
    day('Marrowgate', 'a', 2),
    day('Marrowgate', 'b', 1),
    day('Gavelhop', 'b', 1),
    day('Marrowgate', 'a', 3),
  ]
  const sales = captureOf('sales', days)
  expect(numbersOf(sales)).toEqual([3, [0, 1, 2, 0]])
  expect(Array.from(numberListings([sales]).captures[0]?.rows ?? [])).toEqual([0, 2, 3, 4])
  // of one day the sales come first, whichever is given first
  const list = captureOf('listings', [on('Gavelhop', 'b'), on('Gavelhop', 'c')])
  expect(numbersOf(list, sales)).toEqual([4, [0, 1, 2, 0], [2, 3]])
})
