import type { Table } from '../tables'
import { capture, knownOf } from './test-stores'

test('a list of 100,000 stores that says little of each is read in its own time, not in its square', async () => {
  const rows = 100_000
  const table: Table = {
    rows,
    columns: {
      store: { type: 'text', codes: Int32Array.from({ length: rows }, (_, i) => i), words: namesOf(rows) },
      feedback: { type: 'number', values: Float64Array.from({ length: rows }, (_, i) => i) },
    },
  }
  const { known } = await knownOf([capture('stores', [], { table })])
  expect(known.list.count).toBe(rows)
  expect(known.list.figures.feedback?.[77_777]).toBe(77_777)
  expect(known.stated.get(5)).toMatchObject({ feedback: 5, units: null, country: null })
}, 20_000)

const namesOf = (rows: number) => Array.from({ length: rows }, (_, i) => `Shop ${i}`)
