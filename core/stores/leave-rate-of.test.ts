import { usualLeaveRate } from '../estimates'
import { leaveRateOf } from '.'
import { capture, knownOf } from './test-stores'

test('the leave rate of a market is learned from its other stores that state feedback and sales', async () => {
  const store = (name: string, market: string, unitsTotal: number | null, feedback: number | null) => ({
    market,
    store: name,
    unitsTotal,
    feedback,
  })
  const { known } = await knownOf([
    capture('stores', [
      ...Array.from({ length: 20 }, (_, i) => store(`Shop ${i}`, 'Marrowgate', 10_000, 2000)),
      store('Hidden', 'Marrowgate', null, 500),
      store('Odd', 'Marrowgate', 10, 5000),
      store('Far', 'Gavelhop', 10_000, 9000),
      store('Alone', 'Openstall', 1000, 10),
    ]),
  ])
  const of = (market: string, name: string) => leaveRateOf(known.list, known.places.find(market, name) ?? -1)
  const learned = of('Marrowgate', 'Hidden')
  expect(learned.of).toBe(20)
  expect(learned.rate).toBeCloseTo(0.2, 1)
  expect(learned.logSd).toBeLessThan(usualLeaveRate.logSd)
  // what a store states is no evidence of itself
  expect(of('Marrowgate', 'Shop 3').of).toBe(19)
  expect(of('Openstall', 'Alone')).toMatchObject({ ...usualLeaveRate, of: 0 })
})
