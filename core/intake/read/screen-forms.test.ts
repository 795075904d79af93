import { bareNumber, parseDay } from '../../notation'
import { isoDay } from '../../identity'
import { openFile } from '../open/open-file'
import { proposeMapping } from '../recognise/propose-mapping'
import { importRows } from './import-rows'
import { numbers } from '../../tables'
import { currencyInCell, readValue } from './read-value'
import type { CellStyle } from './cell-style'

// Figures and days as lists on screens write them (common practice, no source); labelled before they were read.
const point = { number: { decimal: '.', group: ',' }, order: 'dmy' } as CellStyle
const comma = { number: { decimal: ',', group: '.' }, order: 'dmy' } as CellStyle

const counts: [string, CellStyle, number][] = [
  ['45.3K', point, 45_300],
  ['1.2M', point, 1_200_000],
  ['999k', point, 999_000],
  ['1,25 M', comma, 1_250_000],
  ['12 sold', point, 12],
  ['1,234 reviews', point, 1234],
  ['50 units', point, 50],
  ['12 verkauft', comma, 12],
  ['1.234 Stück', comma, 1234],
  ['7 vendus', comma, 7],
  ['30 opiniones', comma, 30],
  ['8 pezzi', comma, 8],
  ['9 stuks', comma, 9],
  ['15 szt.', comma, 15],
  ['4 avaliações', comma, 4],
]
const ratings: [string, CellStyle, number][] = [
  ['4.5/5', point, 4.5],
  ['4.5 out of 5', point, 4.5],
  ['4,5 von 5', comma, 4.5],
  ['4,5 sur 5', comma, 4.5],
  ['5 stars', point, 5],
  ['4.75 out of 5 stars', point, 4.75],
]
const none = {
  count: ['100+', '>100', '~50', '1234K', '1.234K', '12 sold today', 'K', '5 m', '3 days', '2 x 3K'],
  rating: ['4.5/10', '6/5', '4.5 out of 50', '4/5/2026'],
}

describe.each([
  ['count', counts],
  ['rating', ratings],
] as const)('a %s', (type, read) => {
  test.each(read)('is %s', (text, style, value) => expect(readValue(text, type, style)).toEqual({ value }))
  test.each(none[type])('is not %s: it says less, or something else', (text) =>
    expect(readValue(text, type, point).value).toBeNull(),
  )
})

test('a dollar may stand apart from whose it is', () => {
  expect([readValue('US $12.50', 'money', point), currencyInCell('US $12.50')]).toEqual([{ value: 125_000 }, 'USD'])
  expect([readValue('AU $1,250.00', 'money', point), currencyInCell('AU $1,250.00')]).toEqual([
    { value: 12_500_000 },
    'AUD',
  ])
  expect(currencyInCell('$12.50')).toBeNull()
})

test.each([
  ['Sun, 3 May 2026', '2026-05-03'],
  ['Sunday, May 3, 2026', '2026-05-03'],
  ['Sonntag, 3. Mai 2026', '2026-05-03'],
  ['dim. 3 mai 2026', '2026-05-03'],
  ['mar. 3 mars 2026', '2026-03-03'],
  ['segunda-feira, 4 de maio de 2026', '2026-05-04'],
  ['niedziela, 3 maja 2026', '2026-05-03'],
  ['3rd May 2026', '2026-05-03'],
  ['1st of June 2026', '2026-06-01'],
  ["3 May '26", '2026-05-03'],
  ['Mar 3, 2026', '2026-03-03'],
  ['So 03.05.2026', '2026-05-03'],
  ['May 2026', '2026-05-01'],
  ['Mai 2026', '2026-05-01'],
  ['mayo de 2026', '2026-05-01'],
  ['Sept-2026', '2026-09-01'],
  ['2026-05', '2026-05-01'],
  ['05/2026', '2026-05-01'],
])('%s is %s', (text, day) => expect(isoDay(parseDay(text, 'dmy')!)).toBe(day))
test.each([
  'Sun 2026',
  'Marble 2026',
  'Decor 2026',
  '1024-12',
  '2026-13',
  '13/2026',
  'May',
  'May 1026',
  'Box 3 May',
  'Sunday',
  'Size 3.5.26 m',
  "'26",
])('%s is no day', (text) => expect(parseDay(text, 'dmy')).toBeNull())

test.each(['5M cable', 'A 12 sold', 'sold 12', '3 in 1', 'M', '2KK'])('%s stays words', (text) =>
  expect(bareNumber(text)).toBeNull(),
)

test('a list as a screen shows it is read whole: views in thousands, units with their word, stars of five', async () => {
  const rows = Array.from(
    { length: 12 },
    (_, i) =>
      `70${i}41,maker_${i % 4},Nest box clip no ${i},"Sun, ${3 + i} May 2026",${i + 1}.${i % 10}K,${i * 7},${i + 2} sold`,
  )
  const text = ['Clip ID,Creator,Caption,Posted,Views,Likes,Units sold', ...rows].join('\n')
  const file = await openFile(new File([text], 'clips.csv'))
  const { mapping } = proposeMapping(file, Date.UTC(2026, 6, 1))
  expect(mapping.columns.map((c) => (c.as === 'field' ? c.field : c.as))).toEqual([
    ...['clip', 'creator', 'title', 'day', 'views', 'likes', 'units'],
  ])
  const { table, doubts, rejected } = await importRows(file, { ...mapping, market: 'Marrowgate' })
  expect([doubts, rejected]).toEqual([[], []])
  expect([...numbers(table, 'views')].slice(0, 3)).toEqual([1000, 2100, 3200])
  expect([...numbers(table, 'units')].slice(0, 3)).toEqual([2, 3, 4])
})

test('months across a sheet are no days: none is laid on the first of its month', async () => {
  const text = [
    'Listing ID,Title,Jan 2026,Feb 2026,Mar 2026,Apr 2026',
    ...Array.from({ length: 9 }, (_, i) => `70${i}41,Nest box no ${i},${i + 3},${i * 2},${20 - i},${i + 8}`),
  ].join('\n')
  const { mapping, questions } = proposeMapping(await openFile(new File([text], 'months.csv')), Date.UTC(2026, 6, 1))
  expect(mapping.columns.filter((c) => c.as === 'day')).toEqual([])
  expect(questions.map((q) => q.id)).toContain('kind')
})

test('searches of a month are of that month', async () => {
  const text = [
    'Search term,Month,Searches',
    ...Array.from({ length: 9 }, (_, i) => `nest box ${i},${i % 2 ? 'May' : 'April'} 2026,${300 + i}`),
  ].join('\n')
  const file = await openFile(new File([text], 'terms.csv'))
  const { mapping } = proposeMapping(file, Date.UTC(2026, 6, 1))
  const { table, doubts } = await importRows(file, { ...mapping, market: 'Marrowgate' })
  expect([mapping.kind, doubts]).toEqual(['terms', []])
  expect([...numbers(table, 'day')].slice(0, 2).map(isoDay)).toEqual(['2026-04-01', '2026-05-01'])
})
