import { rejectedAsTable } from './rejected-rows'

test('what was not taken keeps its cells; those that are blank or missing stand empty', () => {
  const table = rejectedAsTable(['Item', 'Price', 'Units'], [{ row: 7, reason: 'no price', cells: ['Bell', null] }])
  expect(table).toEqual([
    ['Row in file', 'Why it was not taken', 'Item', 'Price', 'Units'],
    [7, 'no price', 'Bell', '', ''],
  ])
})
