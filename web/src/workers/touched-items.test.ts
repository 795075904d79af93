import {
  learnOfOffers,
  noCorrections,
  plainRules,
  type Corrections,
  type ItemMaker,
  type JudgedTitles,
} from '@sickle/core/catalog'
import { touchedInPlace } from './touched-items'

const rules = plainRules('EUR')
const places: Record<string, number> = { a: 0, b: 1, c: 2 }
const maker = (corrections: Partial<Corrections>, by = rules, judged: JudgedTitles[] = []) =>
  ({
    rules: by,
    offerLessons: learnOfOffers(judged, new Set()),
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

test('what judged offers teach touches all, one judgement that teaches nothing only its item', () => {
  const judged = (n: number) =>
    Array.from({ length: n }, (_, i): JudgedTitles => {
      const thing = ['Herb', 'Kitchen'][i]
      return { item: `${thing} tweg, 20 cm`, offer: `${thing} grindle, 20 cm`, judgement: 'same' }
    })
  const said = { judged: { a: { x: 'same' as const } } }
  expect(touched(maker({}), maker(said, rules, judged(1)))).toEqual([-1, 1, 2])
  expect(touched(maker(said, rules, judged(1)), maker(said, rules, judged(2)))).toEqual([-1, -1, -1])
})
