import { joined } from './joined'

test('two runs of bytes follow each other; either may be empty', () => {
  expect([...joined(Uint8Array.of(1, 2), Uint8Array.of(3))]).toEqual([1, 2, 3])
  expect([...joined(new Uint8Array(), Uint8Array.of(3))]).toEqual([3])
  expect([...joined(Uint8Array.of(1), new Uint8Array())]).toEqual([1])
})
