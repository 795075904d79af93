import { TableBuilder } from '../tables'
import { activityOf, mergeCompeting, priceSpread } from '.'

test('prices: quartiles are prices that are there, as R’s quantile(type = 1); units weigh what sold', () => {
  const prices = [12, 10, 30, 14, 16].map((p, i) => ({ priceE4: p, units: [0, 8, null, 1, 1][i] ?? null }))
  // R: quantile(c(12, 10, 30, 14, 16), c(.25, .5, .75), type = 1) is 12 14 16
  expect(priceSpread(prices)).toEqual({
    of: 5,
    lowE4: 10,
    highE4: 30,
    quartersE4: [12, 14, 16],
    soldE4: 10,
    soldMostE4: [10, 14],
  })
  expect(priceSpread([{ priceE4: 5, units: 0 }])).toMatchObject({
    quartersE4: [5, 5, 5],
    soldE4: null,
    soldMostE4: null,
  })
  expect(priceSpread([{ priceE4: 0, units: 3 }])).toBeNull()
})

test('competing offers: of one store on one item the newest counts, in whatever order captures come', () => {
  const capture = (day: number | null, price: number | null, capturedOn: number) => {
    const builder = new TableBuilder([
      ...['market', 'id', 'store'].map((name) => ({ name, type: 'text' as const })),
      ...['price', 'day', 'feedback30'].map((name) => ({ name, type: 'number' as const })),
    ])
    builder.add({ market: 'Marrowgate', id: '7', store: 'Wren', price, day, feedback30: 2 })
    return { kind: 'competing', capturedOn, table: builder.finish() }
  }
  const offers = mergeCompeting([capture(20_010, 90, 20_020), capture(20_005, 70, 20_030), capture(null, null, 20_040)])
  expect(offers).toMatchObject([{ store: 'Wren', priceE4: 90, seenOn: 20_010, feedback90: null }])
  expect(mergeCompeting([{ ...capture(1, 1, 1), kind: 'listings' }])).toEqual([])
})

test('a seller without recent feedback is not selling regularly (common practice, no source)', () => {
  expect(activityOf({ feedback30: 3, feedback90: 9 })).toBe('selling')
  expect(activityOf({ feedback30: 0, feedback90: 4 })).toBe('quiet')
  expect(activityOf({ feedback30: 0, feedback90: 0 })).toBe('inactive')
  expect(activityOf({ feedback30: 0, feedback90: null })).toBe('quiet')
  expect(activityOf({ feedback30: null, feedback90: null })).toBeNull()
})
