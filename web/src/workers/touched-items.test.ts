import { noCorrections, plainRules, type Corrections, type ItemMaker } from '@sickle/core/catalog'
import { touchedInPlace } from './touched-items'

const rules = plainRules('EUR')
const places: Record<string, number> = { a: 0, b: 1, c: 2 }
const maker = (corrections: Partial<Corrections>, by = rules) =>
  ({
    rules: by,
    corrections: { ...noCorrections, ...corrections },
    find: (key: string) => places[key] ?? null,
  }) as unknown as ItemMaker
function touched(before: ItemMaker, now: ItemMaker): number[] {
  const sameAs = Int32Array.of(0, 1, 2)
  touchedInPlace(sameAs, before, now)
  return [...sameAs]
}

test('a correction touches its item, one taken back too, and what is gone touches none', () => {
  expect(touched(maker({}), maker({ packs: { b: 2 } }))).toEqual([0, -1, 2])
  expect(touched(maker({ offers: { a: 'x' } }), maker({}))).toEqual([-1, 1, 2])
  expect(touched(maker({ costs: { c: { packingE4: 1 } } }), maker({ costs: { c: { packingE4: 2 } } }))).toEqual([
    0, 1, -1,
  ])
  expect(touched(maker({}), maker({ packs: { gone: 2 } }))).toEqual([0, 1, 2])
  expect(touched(maker({ packs: { a: 2 } }), maker({ packs: { a: 2 } }))).toEqual([0, 1, 2])
})

test('the pack of an offer, and any rule, touches all of them', () => {
  expect(touched(maker({}), maker({ packs: { 'offer:Mill/1': 6 } }))).toEqual([-1, -1, -1])
  expect(touched(maker({}), maker({}, { ...rules, stepE4: 200 }))).toEqual([-1, -1, -1])
})
