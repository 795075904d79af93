import { boxOf, boxText, gramsOf, unitIn } from '.'

const point = { decimal: '.', group: ',' } as const
const comma = { decimal: ',', group: '.' } as const

// The avoirdupois pound is 0.45359237 kg and the inch 25.4 mm by the international agreement of 1959 (NIST Special Publication 811, B.8).
test.each([
  ['350 g', 350],
  ['0.35kg', 350],
  ['1,200 g', 1200],
  ['2 lb', 907.18474],
  ['12 oz.', 340.1942775],
  ['500 mg', 0.5],
  ['350', null],
  ['2 pieces', null],
  ['heavy', null],
  ['', null],
])('%s weighs %p g', (text, weight) => expect(gramsOf(text, point, null)).toBe(weight))
test('a plain figure has the unit of its heading, and the marks of its file', () => {
  expect(gramsOf('0,35', comma, unitIn('Gewicht (kg)'))).toBe(350)
  expect(gramsOf('350', point, unitIn('Weight in grams'))).toBe(350)
  expect(gramsOf('350', point, unitIn('Weight'))).toBeNull()
  expect(gramsOf('3 oz', point, 'kg')).toBe(85.048569375)
})
test.each([
  ['30 x 20 x 10 cm', [30, 20, 10]],
  ['300×200×100mm', [30, 20, 10]],
  ['12 x 8 x 4 in', [30.48, 20.32, 10.16]],
  ['12" x 8" x 4"', [30.48, 20.32, 10.16]],
  ['L 30 W 20 H 10.5 cm', [30, 20, 10.5]],
  ['0.3 m x 0.2 m x 0.1 m', [30, 20, 10]],
  ['30 x 20 cm', null],
  ['30 x 20 x 10', null],
  ['30 x 20 x 0 cm', null],
  ['1 x 2 x 3 x 4 cm', null],
])('%s: %p', (text, sides) => expect(boxOf(text, point, null)).toEqual(sides))
test('a size is written so that it is read again', () => {
  const box = boxOf('12,5 x 8 x 4', comma, unitIn('Maße cm')) ?? [0, 0, 0]
  expect(boxText(box)).toBe('12.5 x 8 x 4 cm')
  expect(boxOf(boxText(box), point, null)).toEqual(box)
})
