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
  // without a day that tells, a column goes by its file
  const american = { ...file, order: 'mdy' as const }
  for (const cells of [['Bell', 'Bowl'], ['01/02/2026']])
    expect(columnStyle('Date', cells, styleVotes(cells), american).style).toEqual({})
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

const mostly = (many: number, cell: Cell, other: Cell) => [
  ...Array<Cell>(many).fill(cell),
  ...Array<Cell>(20 - many).fill(other),
]
test('days that are figures are told by more than nine in ten of them, between their bounds', () => {
  const days = (cells: Cell[]) => styleOf('Date', cells).style.days
  expect([days(mostly(19, 46_000, 1)), days(mostly(18, 46_000, 1))]).toEqual(['serial', undefined])
  expect([19_999, 20_000, 80_000, 80_001].map((v) => days([v]))).toEqual([undefined, 'serial', 'serial', undefined])
  expect([2.9e8, 3e8, 4e9, 4.1e9].map((v) => days([v]))).toEqual([undefined, 'seconds', 'seconds', undefined])
  expect([2.9e11, 3e11, 4e12, 4.1e12].map((v) => days([v]))).toEqual([
    undefined,
    'milliseconds',
    'milliseconds',
    undefined,
  ])
  expect(days(mostly(19, 1.78e9, 1))).toBe('seconds')
  expect(days(mostly(18, 1.78e9, 1))).toBeUndefined()
  expect(days(mostly(18, 1.78e12, 1))).toBeUndefined()
  // figures that are too long, without end, or none are not looked at
  expect(days([46_000, Infinity, 'x'.repeat(41), null])).toBe('serial')
})

test('a share by its figures alone: up to 1 with digits behind the mark; from 5 on whole ones, and above 20 all, are percent', () => {
  const told = (...cells: Cell[]) => {
    const { style, ratioDoubt } = styleOf('Change', cells)
    return [style.ratio, ratioDoubt]
  }
  expect(told(0)).toEqual(['share', null])
  expect(told(1)).toEqual(['share', null])
  expect(told(0.5, 1)).toEqual(['share', null])
  expect(told(4, 1)).toEqual(['percent', '4'])
  expect(told(5, 1)).toEqual(['percent', null])
  expect(told(5.5, 1)).toEqual(['share', '5.5'])
  expect(told(20.5)).toEqual(['percent', null])
  expect(told(-20.5)).toEqual(['percent', null])
  expect(told(19.5)).toEqual(['share', '19.5'])
  // nine of ten whole are percent, eight are not told so
  expect(told(2, 2, 2, 2, 2, 2, 2, 2, 2, 1.5)[0]).toBe('percent')
  expect(told(2, 2, 2, 2, 2, 2, 2, 2, 1.5, 1.5)[0]).toBe('share')
  expect(styleOf('Change', [null]).style.ratio).toBeUndefined()
  for (const heading of ['Change (ratio)', 'Change (of 1)', 'Change (0–1)'])
    expect(styleOf(heading, [3, 40]).style.ratio).toBe('share')
})

test('a heading may name the unit of weights and lengths', () => {
  expect(styleOf('Weight (kg)', ['1.2']).style.unit).toBe('kg')
  expect(styleOf('Weight', ['1.2']).style.unit).toBeUndefined()
})
