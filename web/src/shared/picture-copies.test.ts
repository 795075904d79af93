import { mayBeShown, pictureHosts, shownFrom, wantPictures } from './picture-copies'

const asked: string[] = []
let answer: () => Response = () => new Response('[]')
beforeAll(() => {
  globalThis.fetch = ((address: string) => {
    asked.push(address)
    return Promise.resolve(answer())
  }) as typeof fetch
})

const there = 'https://pictures.farholt.example/7.png'

test('off, nothing is asked for and nothing from elsewhere may be shown', async () => {
  expect(await wantPictures(false)).toEqual([])
  expect(mayBeShown(there)).toBe(false)
  expect(mayBeShown('/demo/pictures/mug-white.svg')).toBe(true)
  expect(asked).toEqual([])
})

test('on, pictures of the hosts that the server lists may be shown, by their whole name', async () => {
  answer = () => new Response(JSON.stringify(['pictures.farholt.example', 'a.example:8443']))
  expect(await wantPictures(true)).toHaveLength(2)
  expect(asked).toEqual(['/api/pictures/hosts'])
  expect(mayBeShown(there)).toBe(true)
  for (const other of [
    'https://pictures.farholt.example.org/7.png',
    'https://pictures.farholt.example:8080/7.png',
    'https://a.example/7.png',
    'ftp://pictures.farholt.example/7.png',
    '//pictures.farholt.example/7.png',
    'javascript:alert(1)',
    null,
  ])
    expect([other, mayBeShown(other)]).toEqual([other, false])
  expect(mayBeShown('http://a.example:8443/x')).toBe(true)
})

test('a server that lists none, or cannot be asked, lets none in', async () => {
  answer = () => new Response('no', { status: 500 })
  expect(await wantPictures(true)).toEqual([])
  expect(mayBeShown(there)).toBe(false)
})

test('one that cannot be had is not asked for again and again', async () => {
  pictureHosts.value = ['pictures.farholt.example']
  const caches = { open: () => Promise.resolve({ match: () => Promise.resolve(undefined) }) }
  Object.assign(globalThis, { caches })
  answer = () => new Response('{"reason":"it is too large"}', { status: 422 })
  asked.length = 0
  expect(await Promise.all([shownFrom(there), shownFrom(there)])).toEqual([null, null])
  expect(await shownFrom(there)).toBeNull()
  expect(asked).toEqual([`/api/pictures?address=${encodeURIComponent(there)}`])
  expect(await shownFrom('/demo/pictures/mug-white.svg')).toBe('/demo/pictures/mug-white.svg')
})
