import type { Holding } from './holding'
import { forgetColumn, learnFrom, learnedUse, nothingLearned } from './learned'
import type { Mapping } from '../mapping'
import type { ColumnUse } from './guess'

const field = (name: string): ColumnUse => ({ as: 'field', field: name })
const proposed: Mapping = {
  kind: 'listings',
  columns: [field('id'), field('units'), field('price')],
  styles: [{}, {}, {}],
  number: { decimal: '.', group: ',' },
  order: 'dmy',
  market: null,
  supplier: null,
  currency: null,
  capturedOn: 20_000,
  windowDays: 30,
  latestDay: 20_001,
}
const about = {
  headings: ['Ref', 'Qty 30d', 'Price'],
  holds: ['words', 'figures', 'figures'] as Holding[],
  file: 'a.csv',
}
const learn = (final: Partial<Mapping>, before = nothingLearned) =>
  learnFrom(before, about, { proposed, guess: proposed.columns, final: { ...proposed, ...final } })

test('nothing that was only guessed is learned', () => {
  expect(learn({})).toEqual(nothingLearned)
})

test('only the column that was changed is learned, by heading and what it holds', () => {
  const learned = learn({ columns: [field('id'), field('stock'), field('price')] })
  expect(learned.columns).toEqual([
    { kind: 'listings', heading: 'qty', shown: 'Qty 30d', holds: 'figures', use: field('stock') },
  ])
  expect(learnedUse(learned, 'listings', 'QTY (30 days)', 'figures')).toEqual(field('stock'))
  expect(learnedUse(learned, 'listings', 'Qty', 'words')).toBeNull()
  expect(learnedUse(learned, 'orders', 'Qty', 'figures')).toBeNull()
})

test('the last word counts, and can be taken back', () => {
  const first = learn({ columns: [field('id'), field('stock'), field('price')] })
  const second = learn({ columns: [field('id'), { as: 'unused' }, field('price')] }, first)
  expect(second.columns.map((c) => c.use)).toEqual([{ as: 'unused' }])
  expect(forgetColumn(second, second.columns[0]!).columns).toEqual([])
})

test('answers for the whole file are kept for files of its shape', () => {
  const learned = learn({ market: 'Marrowgate', currency: 'EUR', said: ['order', 'ratio:2'], order: 'mdy' })
  expect(Object.values(learned.files)).toEqual([
    { market: 'Marrowgate', currency: 'EUR', said: ['order'], order: 'mdy', file: 'a.csv' },
  ])
})
