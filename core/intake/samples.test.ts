import { readFileSync } from 'node:fs'
import { importRows } from './read/import-rows'
import { openFile } from './open/open-file'
import { openQuestions } from './recognise/questions'
import { proposeMapping } from './recognise/propose-mapping'
import { tiersFromText } from '../notation/tiers'
import { isValidGtin } from '../identity'
import { numbers, textColumn, textAt } from '../tables'

/** Files that no generator of ours made; what they hold is stated in fixtures/expected.md. */
async function load(name: string, answers: object = {}) {
  const bytes = readFileSync(new URL(`./fixtures/${name}`, import.meta.url))
  const file = await openFile(new File([bytes], name))
  const proposal = proposeMapping(file, Date.UTC(2026, 6, 31))
  const mapping = { ...proposal.mapping, market: 'Marrowgate', supplier: 'Quaymaster', ...answers }
  return { file, proposal, mapping, result: await importRows(file, mapping) }
}

function sum(values: Float64Array): number {
  return values.reduce((a, b) => a + (Number.isNaN(b) ? 0 : b), 0)
}

function revenueE4(table: Parameters<typeof numbers>[0]): number {
  const price = numbers(table, 'price')
  return numbers(table, 'units').reduce((a, units, i) => a + (Number.isNaN(units) ? 0 : units * (price[i] ?? 0)), 0)
}

test('market-export.csv: Windows-1252, semicolons, decimal commas, day first', async () => {
  const { file, proposal, result } = await load('market-export.csv')
  expect(file).toMatchObject({ encoding: 'windows-1252', delimiter: ';' })
  expect(proposal.mapping).toMatchObject({ kind: 'listings', order: 'dmy', currency: 'EUR', windowDays: 30 })
  expect(openQuestions(proposal.questions, proposal.mapping).map((q) => q.about)).toEqual(['market'])
  expect(proposal.mapping.columns.map((c) => (c.as === 'field' ? c.field : c.as))).toEqual([
    'id',
    'title',
    'store',
    'price',
    'delivery',
    'units',
    'unitsTotal',
    'rating',
    'reviews',
    'listedOn',
    'category',
  ])
  expect(result.taken).toBe(60)
  expect(sum(numbers(result.table, 'units'))).toBe(594)
  expect(sum(numbers(result.table, 'unitsTotal'))).toBe(7424)
  expect(revenueE4(result.table)).toBe(102238100)
  expect(numbers(result.table, 'reviews')[0]).toBe(4193)
  expect(textAt(textColumn(result.table, 'title'), 3)).toBe('Nest box for tits "Kärnten" 32 mm')
  expect(result.rejected.map((r) => [r.row, r.reason])).toEqual([
    [62, "no usable price ('n/a'); '31.02.2026' is no date"],
    [63, 'no usable price (empty)'],
  ])
})

test('shop-sales.tsv: UTF-16, a preamble, pounds and a total line', async () => {
  const { file, proposal, result } = await load('shop-sales.tsv')
  expect(file).toMatchObject({ encoding: 'utf-16le', delimiter: '\t' })
  expect(file.headings[0]).toBe('Listing')
  expect(proposal.mapping).toMatchObject({ kind: 'listings', currency: 'GBP', windowDays: 30, capturedOn: 20603 })
  expect(result.taken).toBe(45)
  expect(sum(numbers(result.table, 'units'))).toBe(585)
  expect(sum(numbers(result.table, 'revenue'))).toBe(82104900)
  expect(result.rejected).toHaveLength(1)
  expect(result.rejected[0]?.reason).toMatch(/total line/)
})

test('rival-listings.json: nested, one exact repeat, entities, unknowns', async () => {
  const { proposal, result } = await load('rival-listings.json')
  expect(proposal.mapping).toMatchObject({ kind: 'listings', capturedOn: 20605 })
  expect(result.taken).toBe(50)
  expect(sum(numbers(result.table, 'units'))).toBe(978)
  expect(sum(numbers(result.table, 'unitsTotal'))).toBe(12472)
  expect(revenueE4(result.table)).toBe(145643300)
  expect(textColumn(result.table, 'currency').words).toEqual(['USD'])
  expect(Number.isNaN(numbers(result.table, 'rating')[0])).toBe(true)
  expect(textColumn(result.table, 'store').words).toContain('Tern & Trowel')
  expect(result.rejected.map((r) => r.reason)).toEqual(['an exact repeat of row 1'])
})

test('supplier-prices.xlsx: quantity steps, lost zeros put back, ranges of days', async () => {
  const { file, proposal, result } = await load('supplier-prices.xlsx')
  expect(file).toMatchObject({ sheet: 'Prices', format: 'xlsx' })
  expect(proposal.mapping).toMatchObject({ kind: 'offers', currency: 'USD' })
  expect(openQuestions(proposal.questions, proposal.mapping).map((q) => q.about)).toEqual(['supplier'])
  expect(result.taken).toBe(40)
  const tiers = textColumn(result.table, 'tiers')
  const all = Array.from({ length: 40 }, (_, i) => tiersFromText(textAt(tiers, i) ?? ''))
  expect(all.every((t) => t.map((x) => x.from).join() === '1,10,50')).toBe(true)
  expect(all.flat().reduce((a, t) => a + t.priceE4, 0)).toBe(4277100)
  const gtin = textColumn(result.table, 'gtin')
  const gtins = Array.from({ length: 40 }, (_, i) => textAt(gtin, i) ?? '')
  expect(gtins.every((g) => isValidGtin(g) && g.startsWith('00'))).toBe(true)
  expect(numbers(result.table, 'leadDays')[0]).toBe(10)
})

test('daily-units.ndjson: the day is the one that is written', async () => {
  const { proposal, result } = await load('daily-units.ndjson')
  expect(proposal.mapping).toMatchObject({ kind: 'sales' })
  expect(openQuestions(proposal.questions, proposal.mapping)).toEqual([])
  expect(result.table.rows).toBe(1032)
  expect(sum(numbers(result.table, 'units'))).toBe(1461)
  expect(numbers(result.table, 'day')[0]).toBe(20574)
  expect(textColumn(result.table, 'market').words).toEqual(['Fernhand'])
})
