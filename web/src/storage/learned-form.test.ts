import { firstFault } from '@sickle/core/schema'
import { learnedNow, learnedSchema } from './learned-form'

test('what was learned comes back as it was', () => {
  const learned = { columns: [], files: { a: { market: 'Marrowgate', file: 'x.csv' } } }
  expect(learnedNow(learned)).toEqual(learned)
  expect(firstFault(learnedSchema, learned)).toBeNull()
  expect(learnedNow(null)).toEqual({ columns: [], files: {} })
})

test('of mappings that an earlier version kept only what nobody can have guessed is taken over', () => {
  const mapping = { kind: 'ads', columns: [{ as: 'unused' }], market: 'Marrowgate', supplier: null, currency: 'USD' }
  const old = {
    'id\u0001title': { headings: ['id', 'title'], mapping },
    'x\u0001y': { headings: [], mapping: { ...mapping, market: null } },
  }
  expect(learnedNow(old)).toEqual({
    columns: [],
    files: { 'id\u0001title': { market: 'Marrowgate', file: 'an earlier file' } },
  })
})
