import { chance } from '../../standins/random'
import { SumPlaces } from './sum-places'

test('a sum is where it was put first, and no other is anywhere', () => {
  const places = new SumPlaces(3)
  expect([places.put(7, 0), places.put(2 ** 46, 1), places.put(7, 2)]).toEqual([0, 1, 0])
  expect([7, 2 ** 46, 8, 7 + 2 ** 40, 0, -7].map((sum) => places.find(sum))).toEqual([0, 1, -1, -1, -1, -1])
  expect(new SumPlaces(0).find(1)).toBe(-1)
})

test('as many as there may be, close to each other and far apart, as a map has them', () => {
  const random = chance(17)
  for (const spread of [3, 2 ** 20, 2 ** 48]) {
    const sums = Array.from({ length: 5000 }, () => Math.floor(random.next() * spread))
    const places = new SumPlaces(sums.length)
    const known = new Map<number, number>()
    sums.forEach((sum, at) => {
      if (!known.has(sum)) known.set(sum, at)
      expect(places.put(sum, at)).toBe(known.get(sum))
    })
    for (let i = 0; i < 5000; i++) {
      const asked = i % 2 === 0 ? (sums[i] as number) : Math.floor(random.next() * spread) + spread
      expect(places.find(asked)).toBe(known.get(asked) ?? -1)
    }
  }
})
