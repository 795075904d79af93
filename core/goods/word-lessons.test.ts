import {
  FormDifference,
  inForce,
  joinListings,
  joinMore,
  learnLessons,
  lessonName,
  regroup,
  saidOtherwise,
  titleForms,
  type SaidOfListings,
  type WordLesson,
} from '.'
import { taughtPairs } from './taught-pairs'

type Titled = readonly [title: string, gtin: number]

/** Titles with the number of their barcode, -1 for none. */
function taught(list: readonly Titled[], said?: SaidOfListings, takenBack: string[] = []) {
  const forms = titleForms(list.map(([title]) => title))
  const gtins = Int32Array.from(list, ([, gtin]) => gtin)
  const lessons = learnLessons({ forms, gtins, ...(said && { said }), takenBack: new Set(takenBack) })
  return { forms, lessons, told: lessons.map((l) => [lessonName(l, forms.words), l.barcodes, l.byHand] as const) }
}
const woods = ['oak', 'pine', 'ash']
/** Two ways of saying a thing, of three woods; by default each wood has a barcode. */
const thrice = (a: string, b: string, gtinOf = (wood: number, _way: number) => wood): Titled[] =>
  woods.flatMap((wood, i) => [[`${a} ${wood}`, gtinOf(i, 0)] as const, [`${b} ${wood}`, gtinOf(i, 1)] as const])
const ofTwoCodes = (wood: number, way: number) => 2 * wood + way
const saying = (some: Partial<SaidOfListings>): SaidOfListings => ({ together: [], apart: [], ...some })

test('three barcodes show that words mean the same; two do not, nor do listings without one', () => {
  const titles = thrice('serving trough', 'serving flower box')
  expect(taught(titles).told).toEqual([['same: box flower / trough', 3, 0]])
  expect(taught(titles.slice(0, 4)).told).toEqual([])
  expect(taught(titles.map(([t]) => [t, -1] as const)).told).toEqual([])
})

test('one that only says more, and one that says something quite different, teach nothing', () => {
  expect(taught(thrice('serving trough', 'serving trough garden')).told).toEqual([])
  expect(taught(thrice('serving trough', 'long handled copper patio lantern')).told).toEqual([])
})

test('many listings of one barcode show it once', () => {
  const one = thrice('serving trough', 'serving flower box').map(([title]) => [title, 7] as const)
  expect(taught(one).told).toEqual([])
})

test('a word that three pairs of barcodes differ by sets apart; not where some of one barcode say it or not', () => {
  const titles = thrice('garden kneeler', 'garden kneeler folding', ofTwoCodes)
  expect(taught(titles).told).toEqual([['apart:  / fold', 3, 0]])
  expect(taught(titles.slice(0, 4)).told).toEqual([])
  const some: Titled[] = [...titles, ['patio bench walnut', 20], ['patio bench walnut folding', 20]]
  expect(taught(some).told).toEqual([])
  // a title that makers of several barcodes use says nothing of which goods it is
  const vague = woods.map((wood): Titled => [`garden kneeler ${wood}`, 50])
  expect(taught([...titles, ...vague]).told).toEqual([])
  // what is known to tell goods apart needs no lesson
  expect(taught(thrice('garden kneeler', 'garden kneeler lid', ofTwoCodes)).told).toEqual([])
})

test('endings that barcodes show to be two goods set apart; other words need no lesson', () => {
  expect(taught(thrice('egg poacher', 'egg poached', ofTwoCodes)).told).toEqual([['apart: poach / poacher', 3, 0]])
  expect(taught(thrice('wren mug', 'robin mug', ofTwoCodes)).told).toEqual([])
})

test('what the seller said counts twice: two sayings are believed, and one with a barcode', () => {
  const loose = thrice('serving trough', 'serving flower box', () => -1)
  expect(taught(loose, saying({ together: [[0, 1]] })).told).toEqual([])
  expect(
    taught(
      loose,
      saying({
        together: [
          [0, 1],
          [3, 2],
        ],
      }),
    ).told,
  ).toEqual([['same: box flower / trough', 0, 2]])
  const coded = loose.map(([title], i): Titled => [title, i >= 4 ? 9 : -1])
  expect(taught(coded, saying({ together: [[0, 1]] })).told).toEqual([['same: box flower / trough', 1, 1]])
  const more = thrice('garden kneeler', 'garden kneeler folding', () => -1)
  expect(
    taught(
      more,
      saying({
        apart: [
          [1, 0],
          [2, 3],
        ],
      }),
    ).told,
  ).toEqual([['apart:  / fold', 0, 2]])
  // of other sizes, or of one title, nothing is learned
  const sizes: Titled[] = [
    ['serving trough 20 cm', -1],
    ['serving box 30 cm', -1],
    ['serving trough 20 cm', -1],
  ]
  expect(
    taught(
      sizes,
      saying({
        together: [
          [0, 1],
          [1, 0],
          [0, 2],
          [2, 0],
        ],
      }),
    ).told,
  ).toEqual([])
})

test('the seller outweighs barcodes that few show', () => {
  const titles = thrice('garden kneeler', 'garden kneeler folding', ofTwoCodes)
  expect(taught(titles, saying({ together: [[0, 1]] })).told).toEqual([])
  const same = thrice('serving trough', 'serving flower box')
  expect(taught(same, saying({ apart: [[0, 1]] })).told).toEqual([])
})

test('what is taken back is told, and not in force', () => {
  const { lessons } = taught(thrice('serving trough', 'serving flower box'), undefined, ['same: box flower / trough'])
  expect(lessons).toMatchObject([{ says: 'same', isTakenBack: true }])
  expect(inForce(lessons)).toEqual([])
  expect(inForce(lessons.map((l) => ({ ...l, isTakenBack: false })))).toHaveLength(1)
})

test('a lesson decides whether titles are of one goods', () => {
  const titles: Titled[] = [
    ...thrice('garden kneeler', 'garden kneeler folding', ofTwoCodes),
    ['green willow basket', -1],
    ['green willow folding basket', -1],
  ]
  const { forms, lessons } = taught(titles)
  const [plain, folding] = [6, 7].map((row) => forms.formOf[row] as number) as [number, number]
  const areSame = (of: readonly WordLesson[]) => new FormDifference(forms, of).areSame(plain, folding)
  expect(areSame([])).toBe(true)
  expect(areSame(lessons)).toBe(false)
  const endings = taught([
    ...thrice('egg poacher', 'egg poached', ofTwoCodes),
    ['copper egg poacher', -1],
    ['copper egg poached', -1],
  ])
  const [a, b] = [6, 7].map((row) => endings.forms.formOf[row] as number) as [number, number]
  expect(new FormDifference(endings.forms, []).areSame(a, b)).toBe(true)
  expect(new FormDifference(endings.forms, endings.lessons).areSame(a, b)).toBe(false)
  expect(new FormDifference(endings.forms, endings.lessons).areSame(b, a)).toBe(false)
})

test('a title is said otherwise with one exchange, either way round, each word once', () => {
  const { lessons, forms } = taught(thrice('serving trough', 'serving flower box'))
  const ids = (text: string) =>
    text
      .split(' ')
      .map((w) => forms.words.indexOf(w))
      .sort((a, b) => a - b)
  expect(saidOtherwise(ids('serving trough oak'), lessons)).toEqual([ids('serving flower box oak')])
  expect(saidOtherwise(ids('serving flower box'), lessons)).toEqual([ids('serving trough')])
  expect(saidOtherwise(ids('serving flower'), lessons)).toEqual([])
})

test('pairs that differ in taught words alone are found, however short, each once, and of the same figures', () => {
  const titles: Titled[] = [
    ...thrice('serving trough', 'serving flower box'),
    ['trough teak', -1],
    ['flower box teak', -1],
    ['trough teak 20 cm', -1],
    ['flower box teak 30 cm', -1],
    ['flower teak', -1],
  ]
  const { forms, lessons } = taught(titles)
  const rows = (pair: [number, number]) => pair.map((form) => titles[[...forms.formOf].indexOf(form)]![0])
  const pairs = [...taughtPairs(forms, lessons)].map(rows)
  expect(pairs).toHaveLength(4)
  expect(pairs).toContainEqual(['trough teak', 'flower box teak'])
  expect([...taughtPairs(forms, [])]).toEqual([])
  expect([
    ...taughtPairs(
      forms,
      lessons.map((l) => ({ ...l, says: 'apart' as const })),
    ),
  ]).toEqual([])
})

test('short titles are joined by what barcodes teach, also when they come later', async () => {
  const titles: Titled[] = [
    ...thrice('serving trough', 'serving flower box'),
    ['trough teak', -1],
    ['flower box teak', -1],
  ]
  const { forms, lessons } = taught(titles)
  const gtins = Int32Array.from(titles, ([, gtin]) => gtin)
  const of = { forms, gtins, brands: gtins.map(() => -1), lessons }
  expect([...(await joinListings(of))]).toEqual([0, 0, 1, 1, 2, 2, 3, 3])
  expect([...(await joinMore(of, Int32Array.from([0, 0, 1, 1, 2, 2, 3, -1])))]).toEqual([0, 0, 1, 1, 2, 2, 3, 3])
  expect(regroup(of, [6, 7])).toEqual([[6, 7]])
  expect([...(await joinListings({ ...of, lessons: [] }))]).toEqual([0, 0, 1, 1, 2, 2, 3, 4])
})

test('a lesson that came later joins groups that stand, and only those of the titles asked for', async () => {
  const titles: Titled[] = [
    ...thrice('serving trough', 'serving flower box'),
    ['trough teak', -1],
    ['flower box teak', -1],
  ]
  const { forms, lessons } = taught(titles)
  const gtins = Int32Array.from(titles, ([, gtin]) => gtin)
  const of = { forms, gtins, brands: gtins.map(() => -1), lessons }
  const standing = Int32Array.from([0, 0, 1, 1, 2, 2, 3, 4])
  expect([...(await joinMore(of, standing))]).toEqual([...standing])
  expect([...(await joinMore(of, standing, undefined, lessons))]).toEqual([0, 0, 1, 1, 2, 2, 3, 3])
  expect([...taughtPairs(forms, lessons, [6, 7])]).toEqual([[6, 7]])
  expect([...taughtPairs(forms, lessons, [6, 5])]).toEqual([])
})
