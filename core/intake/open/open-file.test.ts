import { openFile } from './open-file'

const open = (text: string) => openFile(new File([text], 'a.csv'))

test('a file without a byte is told of as empty, one without a table as that', async () => {
  await expect(open('')).rejects.toMatchObject({ code: 'file-empty', details: { file: 'a.csv' } })
  // a text without cells, and a heading without rows
  for (const bare of ['nothing here to see', 'Item,Price\n'])
    await expect(open(bare)).rejects.toMatchObject({ code: 'file-no-table' })
})

test('lines end as most of them do, however few they are', async () => {
  for (const end of ['\n', '\r\n', '\r']) {
    const { headings, sample } = await open(`Item,Price${end}Bell,3`)
    expect(headings).toEqual(['Item', 'Price'])
    expect(sample.map((r) => r.cells)).toEqual([['Bell', '3']])
  }
  // the mark of another kind within a cell ends no line
  const { sample } = await open('Item,Price\n"Bell\r\nof brass",3\nBowl,4\nBox,5\n')
  expect(sample.map((r) => r.cells[1])).toEqual(['3', '4', '5'])
})

test('columns that no row fills are none', async () => {
  const { headings } = await open('Item,Price,,\nBell,3,,\nBowl,4,,\n')
  expect(headings).toEqual(['Item', 'Price'])
})
