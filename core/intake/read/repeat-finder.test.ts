import type { OpenedFile } from '../open/opened-file'
import { openFile } from '../open/open-file'
import { proposeMapping } from '../recognise/propose-mapping'
import { previewRows } from './preview-rows'
import { RepeatFinder } from './repeat-finder'

test('a row that says what an earlier one said is found, among more than there is room for at first', () => {
  const finder = new RepeatFinder([0, 2])
  const many = 17_000
  const rows = Array.from({ length: many }, (_, i) => i + 1)
  expect(rows.filter((row) => finder.seen(row, [`id ${row}`, 'any', row % 7]) !== null)).toEqual([])
  expect(rows.filter((row) => finder.seen(99_999, [`id ${row}`, 'another', row % 7]) !== row)).toEqual([])
  expect(finder.seen(99_999, ['id 1', 'any', 5])).toBeNull()
  expect(finder.seen(100_000, ['id 1', 'any', 5])).toBe(99_999)
})

test('cells are told apart, and not run into each other; what is blank is as good as empty', () => {
  const finder = new RepeatFinder([0, 1])
  expect(finder.seen(1, ['ab', 'c'])).toBeNull()
  expect(finder.seen(2, ['a', 'bc'])).toBeNull()
  expect(finder.seen(3, [12, null])).toBeNull()
  expect(finder.seen(4, ['12', ''])).toBe(3)
})

test('rows whose hashes are alike but for one of the two are two rows', () => {
  const finder = new RepeatFinder([])
  expect([finder.seenHash(1, 5, 9), finder.seenHash(2, 5, 10), finder.seenHash(3, 6, 9)]).toEqual([null, null, null])
  expect([finder.seenHash(4, 5, 9), finder.seenHash(4, 5, 10), finder.seenHash(4, 6, 9)]).toEqual([1, 2, 3])
})

test('a preview shows the first rows as they will be read, and counts what will not be taken', async () => {
  const bad = Array.from({ length: 25 }, (_, i) => `${i},,5.00,1`)
  const csv = ['Item ID,Title,Price (EUR),Units sold', 'a,Bird bath,12.50,3', 'b,Nest box,free,2', ...bad].join('\n')
  const file: OpenedFile = await openFile(new File([csv], 'a.csv'))
  const { mapping } = proposeMapping(file, Date.UTC(2026, 5, 1))
  const preview = previewRows(file, { ...mapping, market: 'Marrowgate' }, 2)
  expect(preview.taken).toBe(1)
  expect(preview.rejected).toHaveLength(20)
  expect(preview.rejected[0]).toEqual({ row: 3, reason: "no usable price ('free')" })
  expect(preview.rows.map(({ row, record, rejected, days }) => [row, record?.price, rejected === null, days])).toEqual([
    [2, 125_000, true, 0],
    [3, undefined, false, 0],
  ])
})
