import { comparable } from './asked-prices'

const asks = (deliveredE4: number | null, isDeliveryKnown: boolean) => ({ deliveredE4, isDeliveryKnown })

test('delivered is compared with delivered; prices alone only where nobody states delivery', () => {
  const [cheap, known, dear] = [asks(10_000, false), asks(12_000, true), asks(15_000, true)]
  expect(comparable([cheap, known, dear])).toEqual({ list: [known, dear], isDelivered: true })
  expect(comparable([cheap, asks(11_000, false)]).isDelivered).toBe(false)
  expect(comparable([cheap, asks(null, true), asks(0, true)])).toEqual({ list: [cheap], isDelivered: false })
  expect(comparable([])).toEqual({ list: [], isDelivered: false })
})
