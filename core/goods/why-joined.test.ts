import { priceLikeness, whyJoined } from '.'

const names = (list: [title: string, gtin: string | null][]) => ({
  count: list.length,
  title: (i: number) => list[i]?.[0] ?? null,
  gtin: (i: number) => list[i]?.[1] ?? null,
})
const four = names([
  ['Peanut feeder green 500 g', '2900000000018'],
  ['Green peanut feeder, 500g', null],
  ['Feeder for peanuts', '2900000000018'],
  ['Nut cage', '2900000000025'],
])

test('why a listing stands with others: barcode before words, words before likeness', () => {
  const at = (i: number) => ({ title: four.title(i) ?? '', gtin: four.gtin(i) })
  expect(whyJoined(at(2), [at(0), at(1)])).toEqual({ by: 'barcode' })
  expect(whyJoined(at(1), [at(0), at(2)])).toEqual({ by: 'same words' })
  // feeder, peanut of feeder, peanut, hook
  expect(whyJoined({ title: 'Peanut feeder hook', gtin: null }, [at(2)])).toEqual({ by: 'alike words', share: 2 / 3 })
  expect(whyJoined(at(3), [at(0)])).toEqual({ by: 'nothing' })
})

test('prices speak for or against the same goods: a factor of three among sellers, under the selling price for a supplier', () => {
  expect(priceLikeness(1000, 2900)).toEqual({ ratio: 2.9, isPlausible: true })
  expect(priceLikeness(1000, 3100)?.isPlausible).toBe(false)
  expect(priceLikeness(3100, 1000)?.isPlausible).toBe(false)
  expect(priceLikeness(1000, 1100, true)?.isPlausible).toBe(false)
  expect(priceLikeness(1000, 40, true)?.isPlausible).toBe(true)
  expect(priceLikeness(null, 5)).toBeNull()
  expect(priceLikeness(5, 0)).toBeNull()
})
