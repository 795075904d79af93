import type { FindRow } from '@sickle/core/engine'
import { rowsOfPage, shownRows } from './shown-rows'

const row = (key: string) => ({ key }) as FindRow

test('pages are fetched once, those of an older answer are dropped, and a row that stays is the same', async () => {
  const asked: number[] = []
  const open: ((rows: FindRow[]) => void)[] = []
  const shown = shownRows((from) => {
    asked.push(from)
    return new Promise((resolve) => open.push(resolve))
  })
  const first = row('a')
  shown.begin([first])
  const matching = 3 * rowsOfPage
  const fetched = shown.ensure(rowsOfPage, rowsOfPage + 3, matching)
  void shown.ensure(rowsOfPage + 1, rowsOfPage + 2, matching)
  expect(asked).toEqual([rowsOfPage])
  open[0]!([row('x')])
  await fetched
  expect(shown.rows.value.get(rowsOfPage)?.key).toBe('x')

  const old = shown.ensure(2 * rowsOfPage, 2 * rowsOfPage, matching)
  shown.begin([row('a'), row('b')])
  open[1]!([row('late')])
  await old
  expect([...shown.rows.value.values()].map((r) => r.key)).toEqual(['a', 'b'])
  expect(shown.rows.value.get(0)).toBe(first)
  expect(shown.rowOf('b')?.key).toBe('b')
  shown.forget()
  expect(shown.rowOf('b')).toBeNull()
  // beyond what matches there is nothing to fetch
  await shown.ensure(matching, matching + 5, matching)
  expect(asked).toEqual([rowsOfPage, 2 * rowsOfPage])
})
