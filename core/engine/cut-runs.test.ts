import { cutChanges, runAgain } from '.'

test('a Cut run again tells what came and went since the data before, however often it is run on the same', () => {
  const first = runAgain(null, { data: 'a', at: 1, keys: ['x', 'y'] })
  expect(cutChanges(first)).toBeNull()
  expect(cutChanges(runAgain(first, { data: 'a', at: 2, keys: ['x', 'y'] }))).toBeNull()
  const second = runAgain(first, { data: 'b', at: 3, keys: ['y', 'z', 'w'] })
  expect(cutChanges(second)).toEqual({ since: 1, came: ['z', 'w'], went: ['x'] })
  const again = runAgain(second, { data: 'b', at: 4, keys: ['y', 'z'] })
  expect(cutChanges(again)).toEqual({ since: 1, came: ['z'], went: ['x'] })
})
