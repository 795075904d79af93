import fc from 'fast-check'
import { offsetOf, pace, placeAt, tallestBox, totalHeight } from './tall-list'

const list = fc
  .record({
    count: fc.integer({ min: 1, max: 60 }),
    extra: fc.array(fc.tuple(fc.nat(59), fc.integer({ min: 1, max: 200 })), { maxLength: 4 }),
  })
  .map(({ count, extra }) => ({ count, rowHeight: 60, extra: new Map(extra.filter(([at]) => at < count)) }))

test('each row begins where those before it end, and is found by every offset within it', () => {
  fc.assert(
    fc.property(list, (rows) => {
      let offset = 0
      for (let place = 0; place < rows.count; place++) {
        const height = 60 + (rows.extra.get(place) ?? 0)
        expect(offsetOf(rows, place)).toBe(offset)
        for (const within of [0, height / 2, height - 0.5]) expect(placeAt(rows, offset + within)).toBe(place)
        offset += height
      }
      expect(totalHeight(rows)).toBe(offset)
      expect(placeAt(rows, offset + 500)).toBe(rows.count - 1)
    }),
  )
})

test('a list taller than a browser draws is scrolled faster, so that its end is reached', () => {
  const million = { count: 1_000_000, rowHeight: 60, extra: new Map<number, number>() }
  const rate = pace(million, 500)
  expect(rate).toBeGreaterThan(3.9)
  expect((tallestBox - 500) * rate).toBeCloseTo(60_000_000 - 500, 3)
  expect(pace({ ...million, count: 1000 }, 500)).toBe(1)
})
