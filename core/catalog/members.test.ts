import { listingsOf, membersOf } from './members'

test('listings by item, in their own order', () => {
  const { starts, members } = membersOf(Int32Array.of(0, 1, 0, 2, 1))
  expect([[...starts], [...members]]).toEqual([
    [0, 2, 4, 5],
    [0, 2, 1, 4, 3],
  ])
  expect([...membersOf(new Int32Array(0)).starts]).toEqual([0])
})

test('the listings of one item are those from its start up to the next one’s', () => {
  const all = membersOf(Int32Array.of(0, 1, 0, 2, 1))
  expect([0, 1, 2].map((item) => listingsOf(all, item))).toEqual([[0, 2], [1, 4], [3]])
})
