import { changedDrafts, joinDrafts, type Draft } from '.'

const draft = (id: string, title = id) => ({ id, title }) as unknown as Draft

test('only drafts that are others are written, those that went are named, and their order rests', () => {
  const [a, b, c] = ['a', 'b', 'c'].map((id) => draft(id))
  const before = [a!, b!, c!]
  const typed = draft('b', 'B')
  expect(changedDrafts([c!, typed], before)).toEqual({ head: ['c', 'b'], put: [['b', typed]], gone: ['a'] })
  expect(changedDrafts(before, null).put).toHaveLength(3)
  expect(joinDrafts(['c', 'a'], new Map(changedDrafts(before, null).put))).toEqual([c, a])
  expect(joinDrafts(['a', 'gone'], new Map([['a', a]]))).toBeNull()
})
