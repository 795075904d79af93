import { recordKind, type Field } from '../../records'
import { hashText, viewOf } from '../../tables'
import { cellState, MetCells } from './met-cells'

const price = recordKind('listings').fields.find((f) => f.name === 'price') as Field
const style = { number: { decimal: '.', group: ',' }, order: 'dmy' } as const
const finder = () => {
  const cells = new MetCells(price, style, () => NaN)
  return {
    cells,
    find: (text: string): number => {
      const bytes = new TextEncoder().encode(text)
      return cells.find(viewOf(bytes), 0, bytes.length, hashText(text))
    },
  }
}

test('a cell is read once, and known by its number from then on', () => {
  const { cells, find } = finder()
  const [first, second] = [find('12.50'), find('€ 3')]
  expect([find('12.50'), find('€ 3')]).toEqual([first, second])
  expect([cells.valueOf(first), cells.valueOf(second)]).toEqual([125_000, 30_000])
  expect([cells.currencyOf(first), cells.currencyOf(second)]).toEqual([null, 'EUR'])
  expect(['12.50', '–', 'ask'].map((t) => cells.stateOf(find(t)))).toEqual([
    cellState.known,
    cellState.unknown,
    cellState.notPlain,
  ])
})

test('what was met is forgotten as a whole: numbers begin anew with what comes then', () => {
  const { cells, find } = finder()
  find('ask')
  find('€ 12.50')
  cells.clear()
  const at = find('4.00')
  expect([at, cells.stateOf(at), cells.valueOf(at), cells.currencyOf(at)]).toEqual([0, cellState.known, 40_000, null])
})

test('of cells without end only so many are kept', () => {
  const { cells, find } = finder()
  for (let i = 0; i < 20_001; i++) find(String(i))
  expect(find('7')).toBe(0)
  expect(cells.valueOf(0)).toBe(70_000)
})
