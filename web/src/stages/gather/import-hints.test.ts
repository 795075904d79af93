import type { Mapping, Proposal } from '@sickle/core/intake'
import type { FileSummary } from '@/workers/intake-methods'
import { importHints } from './import-hints'

const summary = {
  headings: ['Item ID', 'Title', 'Price', 'Gizmo'],
  warnings: ['2 filled cells lie beyond column 400 and are not read.'],
} as unknown as FileSummary
const mapping = {
  kind: 'listings',
  columns: [
    { as: 'field', field: 'id' },
    { as: 'field', field: 'title' },
    { as: 'field', field: 'price' },
    { as: 'unused' },
  ],
} as unknown as Mapping
const proposal = {
  leftAside: [],
  kinds: [
    {
      kind: 'listings',
      leftOut: [
        { field: 'units', column: 3 },
        { field: 'store', column: null },
      ],
    },
  ],
} as unknown as Proposal

test('what is not read is said first, then each figure the kind lives on that lacks, with the column that looks like it', () => {
  const hints = importHints(summary, proposal, mapping, [])
  expect(hints.map((h) => [h.key, h.offer])).toEqual([
    [summary.warnings?.[0], null],
    ['units', { column: 3, field: 'units' }],
    ['store', null],
  ])
  expect(hints[1]?.text).toMatch(/^Is 'Gizmo' the units in window\?/)
})

test('said no to, a column is not offered again, but what lacks is still told', () => {
  const [, units] = importHints(summary, proposal, mapping, ['units'])
  expect(units).toMatchObject({
    offer: null,
    text: expect.stringMatching(/^Without units in window, Sickle/) as string,
  })
})

test('days across the file are its days and units; a column that is used meanwhile is not offered', () => {
  const wide = {
    kind: 'sales',
    columns: [
      { as: 'field', field: 'id' },
      { as: 'day', day: 1 },
      { as: 'day', day: 2 },
    ],
  } as unknown as Mapping
  expect(importHints({ ...summary, warnings: [] }, { ...proposal, kinds: [] }, wide, []).map((h) => h.key)).toEqual([
    'price',
  ])
  const taken = { ...mapping, columns: [...mapping.columns.slice(0, 3), { as: 'field' as const, field: 'stock' }] }
  expect(importHints(summary, proposal, taken, []).find((h) => h.key === 'units')?.offer).toBeNull()
})
