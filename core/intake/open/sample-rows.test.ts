import { openFile } from './open-file'
import { limits } from './opened-file'
import type { Cell } from '../../notation'

const many = limits.sampleRows + 300
const of = <T>(one: (i: number) => T): T[] => Array.from({ length: many }, (_, i) => one(i))
const texts: [string, string, number][] = [
  ['rows.csv', `Id,Price\n${of((i) => `A${i},${i}.50`).join('\n')}\n`, 2],
  ['rows.json', JSON.stringify(of((i) => ({ Id: `A${i}`, Price: i + 0.5 }))), 1],
  ['grid.json', JSON.stringify([['Id', 'Price'], ...of((i) => [`A${i}`, i + 0.5])]), 2],
  ['rows.ndjson', of((i) => JSON.stringify({ Id: `A${i}`, Price: i + 0.5 })).join('\n'), 1],
]

test.each(texts)('%s: two thousand rows are looked at, and all are read', async (name, text, first) => {
  const file = await openFile(new File([text], name))
  expect(file.headings).toEqual(['Id', 'Price'])
  const sampled = file.sample.length
  // of a grid the heading is one of the rows that are looked at
  expect(sampled).toBe(name === 'grid.json' ? limits.sampleRows - 1 : limits.sampleRows)
  expect(file.sample.map(({ row }) => row)).toEqual(Array.from({ length: sampled }, (_, i) => first + i))
  expect(file.sample[0]?.cells[0]).toBe('A0')
  expect(file.sample.at(-1)?.cells[0]).toBe(`A${sampled - 1}`)
  const cells: Cell[] = []
  for await (const { batch } of file.rows()) cells.push(...batch.map((r) => r.cells[0] ?? null))
  const ids = cells.filter((c) => c !== 'Id' && c !== null && c !== '')
  expect([ids.length, ids[0], ids.at(-1)]).toEqual([many, 'A0', `A${many - 1}`])
})
