import { totalIn } from './total-lines'

test.each([
  'Total',
  'TOTAL:',
  'Summe',
  'Gesamt',
  'Somme',
  'Suma',
  'Totale',
  'Totaal',
  'Razem',
  'Total geral',
  'Grand total',
])('%s begins a line of totals', (word) => {
  expect(totalIn([word, '', 33.6], true)).toBe(word)
  expect(totalIn([null, '', word, 4], false)).toBe(word)
})
test('what only begins like one is one where the row lacks what a record needs', () => {
  expect(totalIn(['Total May', '', 3], false)).toBe('Total May')
  expect(totalIn(['Total May', 'x', 3], true)).toBeNull()
})
test.each(['Totally Wool', 'Sumatra beans', 'A17', 'Tot', 'Razemek'])('%s is a name', (word) => {
  expect(totalIn([word, 'x', 3], false)).toBeNull()
})
