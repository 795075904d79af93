import { ageWords } from './age-words'

test('figures are called old once a window and a late source cannot explain it', () => {
  const today = 20_783
  const says = (days: number) => ageWords(today - days, today)
  expect([0, 7, 30, 44].map(says)).toEqual(['', '', '', ''])
  expect([45, 74, 75, 179, 364].map(says)).toEqual([
    '45 days old',
    '74 days old',
    '2 months old',
    '6 months old',
    '12 months old',
  ])
  expect([365, 540, 550, 900].map(says)).toEqual(['a year old', 'a year old', '2 years old', '2 years old'])
  expect([ageWords(null, today), says(-5)]).toEqual(['', ''])
})
