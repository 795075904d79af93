import { remembered } from './remembered'

test('each text is read once, until there are too many to keep', () => {
  const read: string[] = []
  const lengthOf = remembered((text) => (read.push(text), text.length), 2)
  expect(['a', 'bb', 'a', 'bb'].map(lengthOf)).toEqual([1, 2, 1, 2])
  expect(read).toEqual(['a', 'bb'])
  // there is room for two: the third makes room by forgetting both
  expect(['ccc', 'ccc', 'a'].map(lengthOf)).toEqual([3, 3, 1])
  expect(read).toEqual(['a', 'bb', 'ccc', 'a'])
})

test('what is nothing is remembered as well', () => {
  let asked = 0
  const nothing = remembered(() => (asked++, null))
  expect([nothing('a'), nothing('a')]).toEqual([null, null])
  expect(asked).toBe(1)
})
