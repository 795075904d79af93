import type { Cell } from '../../notation/cell'
import { recordKind } from '../../records/record-kinds'
import type { KindName } from '../../records/field'
import { profileOf } from './column-profile'
import { valueFit } from './value-fit'
import { placeWords } from './value-words'

const styles = { number: { decimal: '.' as const, group: ',' as const }, order: 'dmy' as const, places: placeWords() }
const fit = (cells: Cell[], kind: KindName, field: string) =>
  valueFit(
    profileOf(cells, styles),
    recordKind(kind).fields.find((f) => f.name === field)!,
  )

const titles = [
  'Paring knife, oak handle',
  'Dog lead reflective 2 m',
  'Bike bell made of brass',
  'Weekly planner A5 dotted',
]
const cases: [string, Cell[], KindName, string, 'for' | 'never' | 'against'][] = [
  ['amounts', ['12.50', '3.99', '€ 7.10'], 'listings', 'price', 'for'],
  ['words as a price', titles, 'listings', 'price', 'never'],
  ['percent as a price', ['12 %', '3 %', '8 %'], 'listings', 'price', 'never'],
  ['titles', titles, 'listings', 'title', 'for'],
  ['titles as a number', titles, 'listings', 'id', 'against'],
  ['codes', ['HP-107', 'HP-983', 'HP-441'], 'listings', 'id', 'for'],
  ['barcodes', ['4006381333931', '0036000291452', '9501101530003'], 'listings', 'gtin', 'for'],
  [
    'long numbers that are no barcodes',
    ['4006381333930', '0036000291451', '9501101530001'],
    'listings',
    'gtin',
    'never',
  ],
  ['days', ['2026-05-01', '2026-05-02', '2026-04-11'], 'sales', 'day', 'for'],
  ['counts as days', [3, 4, 5], 'sales', 'day', 'never'],
  ['stars', [4.5, 3.9, 4.8], 'listings', 'rating', 'for'],
  ['reviews as stars', [120, 33, 4], 'listings', 'rating', 'never'],
  ['halves as counts', [1.5, 2.5, 3.5], 'listings', 'units', 'never'],
  ['countries in three languages', ['Irlande', 'Niemcy', 'Österreich'], 'stores', 'country', 'for'],
  ['names as countries', ['Wool Barn', 'Mint Alley', 'Old Mill'], 'stores', 'country', 'against'],
  ['verdicts', ['allowed', 'NEEDS_APPROVAL', 'gesperrt'], 'restricted', 'status', 'for'],
  ['verdicts as names', ['allowed', 'restricted', 'allowed', 'restricted'], 'restricted', 'what', 'against'],
  ['delivery times', ['3-5 Tage', '7 jours', '10–14 days'], 'offers', 'leadDays', 'for'],
  ['pictures', ['https://img.example/a.jpg', 'https://img.example/b.png'], 'listings', 'picture', 'for'],
  ['pictures as addresses', ['https://img.example/a.jpg', 'https://img.example/b.png'], 'listings', 'url', 'against'],
  ['handles', ['@mossandmug', '@craftykit', '@el_taller'], 'clips', 'creator', 'for'],
  ['sentences', ['Arrived quickly and well packed.', 'Handle came loose after a week.'], 'feedback', 'words', 'for'],
  ['currencies', ['EUR', 'GBP', 'EUR'], 'listings', 'currency', 'for'],
  ['words of three letters', ['new', 'old', 'red'], 'listings', 'currency', 'never'],
]
test.each(cases)('%s', (_, cells, kind, field, wanted) => {
  const value = fit(cells, kind, field)
  if (wanted === 'never') expect(value).toBe(-Infinity)
  else if (wanted === 'for') expect(value).toBeGreaterThan(0.7)
  else expect(value).toBeLessThan(-0.5)
})

test('a lone figure far away decides nothing', () => {
  const prices = [...Array.from({ length: 60 }, (_, i) => `${i + 1}.50`), '1000000000000000']
  expect(fit(prices, 'listings', 'price')).toBeGreaterThan(0.7)
})

test('a blank column is held against nothing', () => {
  for (const { name } of recordKind('listings').fields) expect(fit([null, '', ' '], 'listings', name)).toBe(-0.2)
})
