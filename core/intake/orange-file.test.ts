import { readFileSync } from 'node:fs'
import { importRows, openFile, proposeMapping } from '.'
import { mannKendall, pettitt, theilSenSlope } from '../demand'
import { numberIn, textIn, type Table } from '../tables'

// bayesm's `orangeJuice` as a till would export it (scripts/fixtures/orange-file.R), and what R makes of the same weeks
const file = readFileSync(new URL('./fixtures/orange-sales.csv', import.meta.url))
const { brands } = JSON.parse(readFileSync(new URL('../demand/fixtures/r-orange.json', import.meta.url), 'utf8')) as {
  brands: { brand: number; weeks: (number | null)[]; s: number; sen: number; k: number; p: number }[]
}
const firstDay = Date.UTC(1989, 8, 14) / 86_400_000

/** Units a week of one brand, NaN where no row has any. */
function weeksOf(table: Table, id: string): Float64Array {
  const weeks = new Float64Array(121).fill(NaN)
  for (let row = 0; row < table.rows; row++) {
    if (textIn(table, 'id', row) !== id) continue
    weeks[((numberIn(table, 'day', row) as number) - firstDay) / 7] = numberIn(table, 'units', row) as number
  }
  return weeks
}

test('121 weeks of real sales as a file: understood without a word, and every figure is R’s', async () => {
  const opened = await openFile(new File([file], 'orange-sales.csv'))
  const { mapping } = proposeMapping(opened, Date.UTC(2026, 10, 26))
  expect(mapping.kind).toBe('sales')
  const { table, taken, rejected } = await importRows(opened, { ...mapping, market: 'Openstall' })
  expect([taken, rejected]).toEqual([1331, []])
  for (const ref of brands) {
    const weeks = weeksOf(table, `OJ-${String(ref.brand).padStart(2, '0')}`)
    expect([...weeks].map((v) => (Number.isNaN(v) ? null : v))).toEqual(ref.weeks)
    const logs = weeks.map((units) => Math.log1p(units / 7))
    expect(mannKendall(logs)?.s).toBe(ref.s)
    expect(theilSenSlope(logs)).toBeCloseTo(ref.sen, 8)
    expect(pettitt(logs)?.k).toBe(ref.k)
    expect(pettitt(logs)?.p).toBeCloseTo(ref.p, 10)
  }
  // a carton of the first week cost 3.52, and was promoted in every shop
  expect(numberIn(table, 'price', 0)).toBe(35_200)
  expect(numberIn(table, 'promoted', 0)).toBe(1)
})
