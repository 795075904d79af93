import { isOwnPicture } from './own-picture'

test('a picture of Sickle’s own is known by its whole address', () => {
  expect(isOwnPicture('/demo/pictures/feeder-moss.svg')).toBe(true)
  const others = [
    null,
    '',
    '/demo/pictures/../../api/sources/farholt/listings?term=x',
    '/demo/pictures/..%2f..%2fapi/sources/farholt/about',
    '/demo/pictures/feeder-moss.svg?x=1',
    '/demo/pictures/feeder-moss.svg/../../../api/sources',
    '/demo/pictures/feeder-moss.svg\n/api/sources',
    '//evil.test/demo/pictures/feeder-moss.svg',
    'https://evil.test/demo/pictures/feeder-moss.svg',
    ' /demo/pictures/feeder-moss.svg',
    '/demo/pictures/feeder-moss.png',
  ]
  for (const address of others) expect([address, isOwnPicture(address)]).toEqual([address, false])
})
