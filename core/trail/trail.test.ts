import { emptyTrail, returnTo, stepTo, trailLines, type Place, type Trail } from '.'

const place = (key: string, kind: Place['kind'] = 'item'): Place => ({ kind, key, label: key })
const walk = (keys: string[], from: Trail = emptyTrail) => keys.reduce((t, k) => stepTo(t, place(k)), from)

test('a walk is a line; back and on again adds nothing, another way from a stop is a branch', () => {
  const three = walk(['a', 'b', 'c'])
  expect(three.stops.map((s) => [s.place.key, s.parent])).toEqual([
    ['a', null],
    ['b', 1],
    ['c', 2],
  ])
  const back = walk(['b'], three)
  expect([back.here, back.stops.length]).toEqual([2, 3])
  expect(walk(['c'], back)).toMatchObject({ here: 3 })
  const side = walk(['d', 'e'], returnTo(three, 1))
  expect(side.stops.map((s) => [s.place.key, s.parent]).slice(3)).toEqual([
    ['d', 1],
    ['e', 4],
  ])
  expect(trailLines(side).map((l) => [l.place.key, l.lane, l.from])).toEqual([
    ['a', 0, null],
    ['d', 1, 0],
    ['e', 1, 1],
    ['b', 0, 0],
    ['c', 0, 0],
  ])
})

test('the same item met again elsewhere is another stop; an unknown stop is not gone to; nothing is changed in place', () => {
  const before = walk(['a', 'b', 'c'])
  const copy = structuredClone(before)
  expect(walk(['a'], before).stops.at(-1)).toMatchObject({ parent: 3, place: { key: 'a' } })
  expect(returnTo(before, 99)).toEqual(before)
  expect(stepTo(before, place('c', 'store')).stops).toHaveLength(4)
  expect(before).toEqual(copy)
})

test('a very long Trail forgets its oldest ends, never the stop one stands at, and every line is still drawn', () => {
  let trail: Trail = emptyTrail
  for (let i = 0; i < 450; i++) trail = stepTo(trail, place(`p${i}`))
  expect(trail.stops).toHaveLength(400)
  expect(trail.stops.at(-1)?.id).toBe(trail.here)
  expect(trailLines(trail)).toHaveLength(400)
})
