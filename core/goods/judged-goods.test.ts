import { joinListings } from './join-listings'
import { judgedPairs, precisionAndRecall } from './judged-goods'
import { titleForms } from './title-forms'
import { TitleIndex } from './title-index'
import { titleSignature } from './title-signature'
import { toldFigures } from '../../standins/told-figures'

// labelled by common sense before the likeness was written anew; every second good was kept aside until the last measurement
test.each([
  ['written by', 0],
  ['kept aside', 1],
] as const)(
  'titles of four other trades, %s: what is put together is the same, and most of the same is',
  async (_, half) => {
    const pairs = await judgedPairs(half)
    expect(pairs).toHaveLength(420)
    expect(pairs.filter((p) => p.truth)).toHaveLength(210)
    const joined = precisionAndRecall(pairs, (p) => p.isJoined)
    expect(joined.precision).toBeGreaterThanOrEqual(0.97)
    expect(joined.recall).toBeGreaterThanOrEqual(0.75)
    const offered = precisionAndRecall(pairs, (p) => p.verdict === 'same')
    expect(offered.precision).toBeGreaterThanOrEqual(0.95)
    expect(offered.recall).toBeGreaterThanOrEqual(0.85)
    const told = (row: string) => toldFigures('Titles of four other trades', row)[half]
    const percent = (share: number) => `${(100 * share).toFixed(1)} %`
    expect(percent(joined.precision)).toBe(told('put together, and the same'))
    expect(percent(joined.recall)).toBe(told('the same, and put together'))
    expect(percent(offered.precision)).toBe(told('an offer called the same, and it is'))
    expect(percent(offered.recall)).toBe(told('an offer that is the same, and called so'))
  },
)

test.each([0, 1] as const)('titles of further trades, half %d: what is put together is the same', async (half) => {
  const pairs = await judgedPairs(half, 'later')
  const joined = precisionAndRecall(pairs, (p) => p.isJoined)
  const told = (row: string) => toldFigures('Titles of further trades', row)[half]
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`
  expect(joined.precision).toBeGreaterThanOrEqual(0.9)
  expect(joined.recall).toBeGreaterThanOrEqual(0.65)
  expect(percent(joined.precision)).toBe(told('put together, and the same'))
  expect(percent(joined.recall)).toBe(told('the same, and put together'))
})

test.each([
  ['third', 0, 0.95, 0.85],
  ['third', 1, 0.95, 0.65],
  ['fourth', 0, 0.95, 0.7],
  ['fourth', 1, 0.95, 0.75],
  ['fifth', 0, 0.95, 0.65],
  ['fifth', 1, 0.9, 0.6],
] as const)('titles of trades that nobody had in mind, %s list, half %d', async (set, half, precision, recall) => {
  const pairs = await judgedPairs(half, set)
  const joined = precisionAndRecall(pairs, (p) => p.isJoined)
  const place = ['third', 'fourth', 'fifth'].indexOf(set) * 2 + half
  const told = (row: string) => toldFigures('Titles of trades that nobody had in mind', row)[place]
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`
  expect(joined.precision).toBeGreaterThanOrEqual(precision)
  expect(joined.recall).toBeGreaterThanOrEqual(recall)
  expect(percent(joined.precision)).toBe(told('put together, and the same'))
  expect(percent(joined.recall)).toBe(told('the same, and put together'))
})

test('what is said to be for something is not that: both ways of saying what it is are one', async () => {
  const others = Array.from({ length: 60 }, (_, i) => `Another thing number${i} of sort${i % 7}`)
  const areTogether = async (a: string, b: string) => {
    const titles = [a, b, ...others]
    const none = new Int32Array(titles.length).fill(-1)
    const groupOf = await joinListings({ forms: titleForms(titles), gtins: none, brands: none })
    const [x, y] = [titleSignature(a), titleSignature(b)]
    const offer = new TitleIndex([y], new TitleIndex(titles.map(titleSignature))).find(x)[0]?.likeness.verdict
    return [groupOf[0] === groupOf[1], offer === 'same']
  }
  const apart = [
    ['Wooden garden bench rustic', 'Cushion for wooden garden bench rustic'],
    ['Kissen für Isomatte selbstaufblasend grün', 'Isomatte selbstaufblasend grün'],
    ['Tente dôme verte 3 places', 'Sardines pour tente dôme verte 3 places'],
    ['Esterilla de yoga azul', 'Bolsa para esterilla de yoga azul'],
    // a word that names what belongs to a thing tells it apart without 'for' too
    ['Wooden garden bench rustic', 'Wooden garden bench cushion rustic'],
    ['Akku-Stichsäge 18 V blau', 'Akku-Stichsäge 18 V blau ohne Akku'],
  ] as const
  for (const [a, b] of apart) expect([a, await areTogether(a, b)]).toEqual([a, [false, false]])
  const one = [
    ['Pour over coffee kettle gooseneck', 'Gooseneck kettle for pour over coffee'],
    ['Dog bowl ceramic', 'Ceramic bowl for dogs'],
  ] as const
  for (const [a, b] of one) expect([a, await areTogether(a, b)]).toEqual([a, [true, true]])
})
