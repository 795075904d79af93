import type { Table } from '../tables'
import { matchQueue } from './match-queue'

const column = (values: number[]) => ({ type: 'number' as const, values: Float64Array.from(values) })
const figures: Table = {
  rows: 5,
  columns: {
    profitMonth: column([40, NaN, -90, NaN, 0]),
    revenue: column([500, 1500, 100, NaN, 5]),
    listings: column([3, 5, 1, 2, 1]),
  },
}
const all = [0, 1, 2, 3, 4]
const queue = (some: Partial<Parameters<typeof matchQueue>[2]> = {}) =>
  matchQueue(figures, all, { skip: () => false, most: 9, ...some }).map((q) => [q.place, q.worth])

test('what a right match is worth: the profit reckoned with, lost or made; else a fifth of the sales, shared', () => {
  // 1,500 × 20 % shared by six is 50
  expect(queue()).toEqual([
    [2, 90],
    [1, 50],
    [0, 40],
    [3, 0],
    [4, 0],
  ])
})
test('what is judged is left out, and no more are told than are wanted', () => {
  expect(queue({ skip: (place) => place === 2, most: 2 })).toEqual([
    [1, 50],
    [0, 40],
  ])
  expect(matchQueue(figures, [4, 0], { skip: () => false, most: 1 })).toEqual([{ place: 0, worth: 40 }])
})
