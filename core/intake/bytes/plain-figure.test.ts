import fc from 'fast-check'
import { plainFigure } from './plain-figure'

const [point, comma] = [46, 44]
const read = (text: string, decimal = point) => {
  const bytes = new TextEncoder().encode(`9${text}9`)
  return plainFigure(bytes, 1, bytes.length - 1, decimal)
}
/** the definition, written a second time */
const meant = (text: string) =>
  /^\d+(\.\d{1,4})?$/.test(text) && text.replace('.', '').length <= 11 ? Math.round(Number(text) * 10_000) : NaN

test('a figure is plain by its letters alone', () => {
  const text = fc.string({ unit: fc.constantFrom(...'0123456789012345678905.,-/: x'), maxLength: 13 })
  const figure = fc
    .tuple(
      fc.string({ unit: fc.constantFrom(...'0123456789'), maxLength: 9 }),
      fc.string({ unit: fc.constantFrom(...'0189'), maxLength: 5 }),
    )
    .map(([whole, decimals]) => `${whole}.${decimals}`)
  fc.assert(
    fc.property(fc.oneof(text, figure), (t) => expect(read(t)).toBe(meant(t))),
    { numRuns: 3000 },
  )
})

test.each([
  ['12345678901', 123_456_789_010_000],
  ['123456789012', NaN],
  ['1234567.8901', 12_345_678_901],
  ['12345678.8901', NaN],
  ['0.0001', 1],
  ['0.00001', NaN],
  ['0', 0],
  ['9', 90_000],
  ['7.', NaN],
  ['.7', NaN],
  ['1.2.3', NaN],
  ['', NaN],
  ['-1', NaN],
  ['1/2', NaN],
  ['1:2', NaN],
])('%s is %p', (text, value) => expect(read(text)).toBe(value))

test('with a decimal comma a point is no part of a plain figure', () => {
  expect([read('12,5', comma), read('12.5', comma), read('12,5', point)]).toEqual([125_000, NaN, NaN])
})
