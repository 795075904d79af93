import { findPackCount } from '.'
import { isReadRight, judgedPacks } from './judged-packs'
import { toldFigures } from '../../standins/told-figures'

test.each([0, 1] as const)('packs of eight languages, half %d: at least 96 % are read right', (half) => {
  const packs = judgedPacks(half)
  expect(new Set(packs.map((p) => p.language)).size).toBe(8)
  expect(packs.filter((p) => p.truth === null).length).toBeGreaterThan(40)
  const wrong = packs.filter((p) => !isReadRight(p))
  expect(wrong.length).toBeLessThanOrEqual(0.04 * packs.length)
  const told = toldFigures('Pack counts in eight languages', 'all')[half]
  expect(`${packs.length - wrong.length} of ${packs.length}`).toBe(told)
})

test.each([
  ['3 x 10 Stück Tabs', 30],
  ['2 packs of 25 index cards', 50],
  ['8 rolls x 15 labels', 120],
  ['8 + 4 gratis', 12],
  ['Buy 5 get 1 free', 6],
  ['Chess set 32 cm', null],
  ['Planter bag 7 gallon felt', null],
  ['Puzzle 500 pièces', null],
  ['Lot de 2 puzzles 500 pièces', 2],
  ['Trousers, pair, waist 32', null],
  ['3 paia di calze', 3],
  ['Fat balls 50 pack 85g each', 50],
])('%s: %p', (title, count) => expect(findPackCount(title)?.count ?? null).toBe(count))

test('a title says the same without its accents and in capitals, as titles are read for joins', () => {
  const accents = /\p{M}/gu
  for (const { title, read } of [...judgedPacks(0), ...judgedPacks(1)]) {
    const plain = title.normalize('NFD').replace(accents, '')
    expect([title, findPackCount(plain)?.count ?? null]).toEqual([title, read])
    expect([title, findPackCount(title.normalize('NFD'))?.count ?? null]).toEqual([title, read])
    expect([title, findPackCount(title.toUpperCase().toLowerCase())?.count ?? null]).toEqual([title, read])
  }
})
