import type { Cell } from '../../notation/cell'
import { readValue } from '../read/read-value'
import { columnStyle, styleVotes } from './column-style'

const file = { number: { decimal: '.' as const, group: ',' as const }, order: 'dmy' as const }
const styleOf = (heading: string, cells: Cell[]) => columnStyle(heading, cells, styleVotes(cells), file)

test('percent or share is decided over the whole column', () => {
  expect(styleOf('Commission (%)', [1, 2, 3, 4, 10]).style.ratio).toBe('percent')
  expect(styleOf('Commission', ['12 %', '8', '0.5']).style.ratio).toBe('percent')
  expect(styleOf('Commission', [0.1, 0.25, 0]).style.ratio).toBe('share')
  expect(styleOf('Reported change (share)', [4.2, -0.3]).style.ratio).toBe('share')
  expect(styleOf('Positive', [98, 100, 87]).style.ratio).toBe('percent')
  expect(styleOf('Growth', ['1', '12', '33']).style.ratio).toBe('percent')
  for (const sure of [styleOf('Commission', [0.1, 0.2]), styleOf('Commission (%)', [1, 2])])
    expect(sure.ratioDoubt).toBeNull()
})

test('what lies between is doubted, with an example', () => {
  expect(styleOf('Change', [0.4, 1.5, 2.2]).ratioDoubt).toBe('1.5')
  expect(styleOf('Change', [1, 2, 3]).ratioDoubt).toBe('2')
  expect(styleOf('Change', [0, 1, 1]).style.ratio).toBe('share')
})

test('a column written in its own way among others', () => {
  expect(styleOf('Preis', ['1.234,50', '3,20']).style.number).toEqual({ decimal: ',', group: '.' })
  expect(styleOf('Price', ['1,234.50', '3.20']).style.number).toBeUndefined()
  expect(styleOf('Date', ['12/25/2026', '01/02/2026']).style.order).toBe('mdy')
})

test('days that are figures: counted by spreadsheets, or since 1970', () => {
  expect(styleOf('Date', [46_000, 46_031, 45_990]).style.days).toBe('serial')
  expect(styleOf('Date', ['46000', '46031']).style.days).toBe('serial')
  expect(styleOf('created', [1_780_000_000, 1_779_000_000]).style.days).toBe('seconds')
  expect(styleOf('created', [1_780_000_000_000, 1_779_000_000_000]).style.days).toBe('milliseconds')
  expect(styleOf('Date', [20_260_501, 20_260_502]).style.days).toBeUndefined()
  expect(styleOf('Price', [12, 13]).style.days).toBeUndefined()
})

test.each([
  ['Restricted', ['yes', 'no'], 'restricted'],
  ['Is it gated?', ['Y', 'n'], 'restricted'],
  ['Gesperrt', ['ja', 'nein'], 'restricted'],
  ['Interdit', ['oui', 'non'], 'restricted'],
  ['Unrestricted', ['yes', 'no'], 'allowed'],
  ['Can list', ['Yes', 'No'], 'allowed'],
  ['Erlaubt', ['ja', 'nein'], 'allowed'],
  ['Restricted', ['yes', 'ask first'], undefined],
  ['Status', ['yes', 'no'], undefined],
  ['Restricted', [], undefined],
])('under the heading %s, %j: a plain yes says %s', (heading, cells, yes) => {
  expect(styleOf(heading, cells).style.yes).toBe(yes)
})

test('a plain answer is read by what its heading asks, other words are the words they are', () => {
  const style = { ...file, yes: 'restricted' as const }
  const said = (cell: string) => readValue(cell, 'text', style).value
  expect(['yes', 'No', 'ja', 'nein', 'oui', 'FALSE', 'ask first'].map(said)).toEqual([
    'restricted',
    'not restricted',
    'restricted',
    'not restricted',
    'restricted',
    'not restricted',
    'ask first',
  ])
  expect(readValue('yes', 'text', { ...style, yes: undefined }).value).toBe('yes')
})
