import { chance } from '../../standins/random'
import { placesByNumber } from './places-by-number'

test('places of each number in their order, those without one in none', () => {
  expect(placesByNumber(Int32Array.of(2, 0, -1, 2, 0, 4))).toEqual({
    starts: Int32Array.of(0, 2, 2, 4, 4, 5),
    places: Int32Array.of(1, 4, 0, 3, 5),
  })
  expect(placesByNumber(Int32Array.of(-1, -1))).toEqual({ starts: Int32Array.of(0), places: new Int32Array(0) })
  expect(placesByNumber(new Int32Array(0)).places.length).toBe(0)
})

test('the same as looking for each', () => {
  const random = chance(11)
  const numbers = Int32Array.from({ length: 500 }, () => Math.floor(random.next() * 40) - 2)
  const { starts, places } = placesByNumber(numbers)
  const of = (n: number) => Array.from(places.subarray(starts[n], starts[n + 1]))
  expect(starts.length).toBe(Math.max(...numbers) + 2)
  for (let n = 0; n < starts.length - 1; n++)
    expect(of(n)).toEqual([...numbers.keys()].filter((at) => numbers[at] === n))
})
