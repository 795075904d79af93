import type { Cell } from '../../notation'
import { findHeading } from './find-heading'

const rows = (...of: Cell[][]) => findHeading(of)
const under = (many: number, ...cells: Cell[]): Cell[][] => Array.from({ length: many }, () => cells)

test('the heading is the first row about as full as those under it; what stands above are notes', () => {
  const found = rows(
    ['Report', null, null],
    [null, null, null],
    ['made', 'May'],
    ['Id', 'Title', 'Price', 'Units'],
    ...under(5, 'a', 'b', 3, 4),
  )
  expect(found).toEqual({ at: 3, headings: ['Id', 'Title', 'Price', 'Units'], notes: ['Report', 'made May'] })
  // six in ten of the usual cells are enough: three of five are, two of five are not
  const five = under(5, 'a', 'b', 3, 4, 5)
  expect(rows(['Id', 'Title', 'Price', null, null], ...five)).toMatchObject({
    at: 0,
    headings: ['Id', 'Title', 'Price', 'Column 4', 'Column 5'],
  })
  expect(rows(['Id', 'Title', null, null, null], ...five)).toMatchObject({ at: 0, notes: ['Id Title'] })
})

test('a grid of single cells, or of none, is no table', () => {
  expect(rows()).toBeNull()
  expect(rows(['a'], ['b'], ['c'])).toBeNull()
  expect(rows([null, null], [null, null])).toBeNull()
  expect(rows(['a', 'b'])).toEqual({ at: 0, headings: ['a', 'b'], notes: [] })
  // rows of one cell count less than fewer rows that are fuller
  expect(rows(['a'], ['b'], ['c'], ['Id', 'Price', 'Units', 'Day'], ['x', 2, 3, 4])?.at).toBe(3)
})

test('words over figures name them, figures over figures do not', () => {
  expect(rows(['Id', 'Price'], ...under(9, 'x', 5))?.at).toBe(0)
  expect(rows(['a1', 7], ...under(9, 'x', 5))).toEqual({ at: -1, headings: ['Column 1', 'Column 2'], notes: [] })
  expect(rows(['Note above', null], ['a1', 7], ...under(9, 'x', 5))).toMatchObject({ at: 0 })
  // figures are more than seven in ten of the cells under it
  const mixed = (figures: number) => [...under(figures, 'x', 5), ...under(10 - figures, 'y', 'n/a')]
  expect(rows(['k', 7], ...mixed(8))?.at).toBe(-1)
  expect(rows(['Name', 'Price'], ...mixed(8))?.at).toBe(0)
})

test('days and quantities over figures name them, as in a wide file of sales or prices; over their like they do not', () => {
  expect(rows(['Id', '2026-05-01', '2026-05-02'], ...under(4, 'x', 3, 0))?.at).toBe(0)
  expect(rows(['No', '10+', '50+'], ...under(4, 'x', 4.5, 4))?.at).toBe(0)
  expect(rows(['x', '2026-05-01'], ...under(4, 'x', '2026-05-02'))?.at).toBe(-1)
  expect(rows(['x', true], ...under(4, 'x', false))?.at).toBe(-1)
})

test('a text that comes again, or a code over codes of its shape, names nothing; else words are names', () => {
  expect(rows(['Moss', 'green'], ...under(4, 'Moss', 'red'))?.at).toBe(-1)
  expect(rows(['HP-107', 'red one'], ['HP-983', 'blue'], ['HP-44', 'white'], ['XY-2', 'grey'])?.at).toBe(-1)
  // two codes are too few to tell, and others are of another shape
  expect(rows(['HP-107', 'red one'], ['HP-983', 'blue'], ['HP-44', 'white'])?.at).toBe(0)
  expect(rows(['HP-107', 'red one'], ['HP-983', 'blue'], ['HP-44', 'white'], ['hp-2', 'grey'])?.at).toBe(0)
  expect(rows(['Name', 'Colour'], ['a', 'red'], ['b', 'blue'])?.at).toBe(0)
  // as many names as data: words decide, and there are some
  expect(rows(['Name', 'Price', 7], ['a', 4, 5], ['b', 5, 6])?.at).toBe(0)
})

test('two hundred rows say how many columns there are, forty what they hold', () => {
  const wide = [...under(199, 'x', 5), ['x', 5, 'more']]
  expect(rows(['Id', 'Price'], ...wide.slice(1))?.headings).toEqual(['Id', 'Price', 'Column 3'])
  expect(rows(['Id', 'Price'], ...wide)?.headings).toEqual(['Id', 'Price'])
  expect(rows(['Moss', 'green'], ...under(39, 'a', 'red'), ['Moss', 'red'])?.at).toBe(-1)
  expect(rows(['Moss', 'green'], ...under(40, 'a', 'red'), ['Moss', 'red'])?.at).toBe(0)
})
