import { plainLetter } from '@sickle/core/supply'
import { askOf, lettersTo, markedFirst, quantitiesIn, suppliersToAsk } from './ask-quotes'

const has = (supplier: string, number: string, verdict: 'same' | 'variant' = 'same') => ({
  supplier,
  offer: `offer:${supplier}/${number}`,
  number,
  verdict,
})
const items = [
  { key: 'a', title: 'Feeder', suppliers: [has('Mill', 'M1'), has('Depot', 'D1', 'variant')] },
  { key: 'b', title: 'Bath', suppliers: [has('Mill', 'M2')] },
  { key: 'c', title: 'Net', suppliers: [has('Wharf', 'W1', 'variant')] },
]

test('who seems to have most is asked first; the first three are marked, and all who have the same goods', () => {
  const whom = suppliersToAsk(items)
  expect(whom).toEqual([
    { supplier: 'Mill', same: 2, alike: 0 },
    { supplier: 'Depot', same: 0, alike: 1 },
    { supplier: 'Wharf', same: 0, alike: 1 },
  ])
  expect(
    markedFirst([...whom, { supplier: 'Yard', same: 0, alike: 1 }, { supplier: 'Zeal', same: 1, alike: 0 }]),
  ).toEqual(['Mill', 'Depot', 'Wharf', 'Zeal'])
})

test('each is asked about what it may have, in the numbers of its message; what is only alike is no offer of it', () => {
  const { quotes, message } = askOf('Mill', items, plainLetter)
  expect(quotes).toEqual([
    { item: 'a', title: 'Feeder', supplier: 'Mill', offer: 'offer:Mill/M1', place: 1, of: 2 },
    { item: 'b', title: 'Bath', supplier: 'Mill', offer: 'offer:Mill/M2', place: 2, of: 2 },
  ])
  expect(message).toContain('2. Bath (your number M2): 10, 50 and 200 packs')
  expect(askOf('Depot', items, plainLetter)).toMatchObject({ quotes: [{ item: 'a', offer: null }] })
  expect(askOf('Depot', items, plainLetter).message).toContain('Feeder (like your number D1)')
  expect(askOf('Stranger', items, plainLetter).quotes.map((q) => [q.item, q.place, q.of])).toEqual([
    ['a', 1, 3],
    ['b', 2, 3],
    ['c', 3, 3],
  ])
})

test('who has nothing of what is left is not asked about other things; who was added is asked about all that is left', () => {
  const left = items.slice(0, 1)
  const letters = lettersTo(['Mill', 'Wharf', 'Stranger'], { items: left, added: ['Stranger'], letter: plainLetter })
  expect(letters.map((l) => [l.supplier, l.quotes.map((q) => q.item)])).toEqual([
    ['Mill', ['a']],
    ['Stranger', ['a']],
  ])
  expect(lettersTo(['Stranger'], { items: [], added: ['Stranger'], letter: plainLetter })).toEqual([])
})

test.each([
  ['10, 50 and 200', [10, 50, 200]],
  ['50;10 10', [10, 50]],
  ['none', null],
  ['0', null],
  ['1 2 3 4 5 6 7 8 9', null],
  ['99999999', null],
])('quantities of "%s": %j', (text, wanted) => expect(quantitiesIn(text)).toEqual(wanted))
