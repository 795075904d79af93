import { movers } from './movers'
import type { Table } from '../tables'

const table = (rows: [units: number, growth: number, stage: number][]): Table => ({
  rows: rows.length,
  columns: {
    units: { type: 'number', values: Float64Array.from(rows, (r) => r[0]) },
    growth: { type: 'number', values: Float64Array.from(rows, (r) => r[1]) },
    stages: { type: 'text', codes: Int32Array.from(rows, (r) => r[2]), words: ['Ripe', 'Ripening', 'Fading'] },
  },
})

test('those that gain or lose most units, worked by hand', () => {
  // 120 at +20 % is 20 more than 100; 30 at +200 % is 20 more than 10, too; 50 at -50 % is 50 fewer than 100
  const { rising, fading } = movers(
    table([
      [120, 0.2, 1],
      [30, 2, 1],
      [900, 0.5, 0],
      [50, -0.5, 2],
      [5, -0.5, 2],
      [10, NaN, 1],
      [NaN, 1, 1],
      [400, 0.25, 1],
    ]),
    2,
  )
  expect(rising.map((m) => [m.place, Math.round(m.moved)])).toEqual([
    [7, 80],
    [0, 20],
  ])
  expect(fading.map((m) => [m.place, Math.round(m.moved)])).toEqual([
    [3, -50],
    [4, -5],
  ])
})
