import type { Holding } from './holding'
import { applyLearned, forgetColumn, learnFrom, learnedUse, nothingLearned } from './learned'
import type { Mapping } from '../mapping'
import type { OpenedFile } from '../open/opened-file'
import type { ColumnUse, KindGuess } from './guess'

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

test('every answer that differs from what was proposed is kept, and none that does not, nor one that was taken away', () => {
  const files = (final: Partial<Mapping>) => Object.values(learn(final).files)[0]
  expect(files({ kind: 'orders' })).toMatchObject({ kind: 'orders' })
  expect(files({ windowDays: 7 })).toEqual({ windowDays: 7, file: 'a.csv' })
  expect(files({ kind: 'offers', supplier: 'Sill Mill' })).toEqual({
    kind: 'offers',
    supplier: 'Sill Mill',
    file: 'a.csv',
  })
  const number = { decimal: ',', group: '.' } as const
  expect(files({ said: ['number'], number })).toEqual({ said: ['number'], number, file: 'a.csv' })
  // styles that nobody was asked about are no answers
  expect(files({ number, order: 'mdy' })).toBeUndefined()
  const known = { ...proposed, market: 'Marrowgate', currency: 'EUR' }
  expect(
    learnFrom(nothingLearned, about, {
      proposed: known,
      guess: known.columns,
      final: { ...known, market: null, currency: null },
    }),
  ).toEqual(nothingLearned)
})

test('what is answered anew stands beside what was answered before; days of a wide file teach nothing', () => {
  const first = learn({ market: 'Marrowgate' })
  expect(Object.values(learn({ currency: 'EUR' }, first).files)).toEqual([
    { market: 'Marrowgate', currency: 'EUR', file: 'a.csv' },
  ])
  expect(learn({ columns: [field('id'), { as: 'day', day: 1 }, field('price')] }).columns).toEqual([])
  const long = learnFrom(
    nothingLearned,
    { ...about, headings: ['x'.repeat(200), 'b', 'c'] },
    {
      proposed,
      guess: proposed.columns,
      final: { ...proposed, columns: [field('title'), field('units'), field('price')] },
    },
  )
  expect(long.columns[0]?.shown).toHaveLength(120)
  // one that is forgotten leaves those of other headings, kinds and holdings
  const both = learn({ columns: [field('id'), field('stock'), field('cost')] })
  const [qty] = both.columns
  expect(forgetColumn(both, qty!).columns.map((c) => c.heading)).toEqual(['price'])
  expect(forgetColumn(both, { ...qty!, holds: 'words' }).columns).toHaveLength(2)
  expect(forgetColumn(both, { ...qty!, kind: 'orders' }).columns).toHaveLength(2)
})

test('a file of the same shape is of the kind that was said, with what was answered', () => {
  const guess = (kind: KindGuess['kind'], surety: 'said' | 'sure') =>
    ({
      kind,
      columns: [
        { use: field('id'), surety: 'sure' },
        { use: field('stock'), surety },
      ],
    }) as unknown as KindGuess
  const kinds = [guess('listings', 'sure'), guess('sales', 'sure'), guess('orders', 'said')]
  const learned = learn({ kind: 'orders', currency: 'EUR' })
  const file = (headings: string[]) => ({ headings }) as unknown as OpenedFile
  const told = applyLearned(learned, file(about.headings), kinds)
  expect(told.kinds.map((k) => k.kind)).toEqual(['orders', 'listings', 'sales'])
  expect(told).toMatchObject({ answers: { kind: 'orders', currency: 'EUR' }, places: [1], answered: true })
  expect(told.answers).not.toHaveProperty('file')
  const other = applyLearned(learned, file(['a', 'b']), kinds)
  expect(other).toMatchObject({ kinds, answers: {}, places: [], answered: false })
  expect(applyLearned(null, file(about.headings), kinds).answered).toBe(false)
})
