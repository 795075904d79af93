import { captureOf } from './test-maker'
import type { MatchJudgement } from '../supply'
import { buildCatalog, ItemMaker, joinTold, noCorrections, plainRules, tellOfferLessons, type Corrections } from '.'

const things = ['Herb', 'Kitchen', 'Balcony', 'Harbour'] as const
const numbered = (of: (thing: string, i: number) => object) => things.map((t, i) => of(t, i)) as never[]
const catalog = buildCatalog([
  captureOf('listings', numbered((t, i) => ({ market: 'Marrowgate', id: `A${i}`, title: `${t} tweg, 2${i} cm` }))),
  captureOf('offers', numbered((t, i) => ({ supplier: 'Sill Mill', id: `S${i}`, title: `${t} grindle, 2${i} cm`, tiers: '1:10000' }))),
]) // prettier-ignore

const said = (judgement: MatchJudgement, ...which: number[]): Corrections => ({
  ...noCorrections,
  judged: Object.fromEntries(which.map((i) => [`Marrowgate/A${i}`, { [`offer:Sill Mill/S${i}`]: judgement }])),
})
async function makerWith(corrections: Corrections, before: ItemMaker | null = null): Promise<ItemMaker> {
  return new ItemMaker(await catalog, plainRules('EUR'), corrections, before)
}
function verdict(maker: ItemMaker, i: number): string | undefined {
  const item = maker.at(maker.find(`Marrowgate/A${i}`) as number)
  return item.offers.find((m) => m.offer.id === `S${i}`)?.verdict
}

test('two offers that are judged the same teach that their words are: others follow, told, and taken back by name', async () => {
  const untaught = await makerWith(noCorrections)
  expect([2, 3].map((i) => verdict(untaught, i))).not.toContain('same')
  const once = await makerWith(said('same', 0), untaught)
  expect([verdict(once, 0), verdict(once, 2)]).toEqual(['same', verdict(untaught, 2)])
  const twice = await makerWith(said('same', 0, 1), once)
  expect([2, 3].map((i) => verdict(twice, i))).toEqual(['same', 'same'])
  const [told] = tellOfferLessons(twice.offerLessons)
  expect(told).toMatchObject({
    says: 'same',
    byHand: 2,
    barcodes: 0,
    example: ['Herb tweg, 20 cm', 'Herb grindle, 20 cm'],
    isTakenBack: false,
  })
  expect([told?.these, told?.those].flat().sort()).toEqual(['grindle', 'tweg'])
  const back = await makerWith({ ...said('same', 0, 1), unlearned: { [told!.name]: true } }, twice)
  expect(verdict(back, 2)).toBe(verdict(untaught, 2))
  expect(tellOfferLessons(back.offerLessons)[0]?.isTakenBack).toBe(true)
})

test('goods in another pack teach what the same goods teach', async () => {
  const pack = await makerWith(said('pack', 0, 1))
  expect([verdict(pack, 2), verdict(pack, 3)]).toEqual(['same', 'same'])
  expect(tellOfferLessons(pack.offerLessons)[0]).toMatchObject({ says: 'same', byHand: 2 })
})

test('what is judged otherwise and taken back at once is learned anew', async () => {
  const once = await makerWith(said('same', 0, 1))
  const name = tellOfferLessons(once.offerLessons)[0]!.name
  const twice = await makerWith({ ...said('same', 0, 1, 2), unlearned: { [name]: true } }, once)
  expect(tellOfferLessons(twice.offerLessons)[0]).toMatchObject({ byHand: 3, isTakenBack: true })
  const again = await makerWith({ ...said('same', 0, 1, 2), unlearned: { [name]: true } }, twice)
  expect(again.offerLessons).toBe(twice.offerLessons)
})

test('one judgement that says otherwise is enough to believe nothing', async () => {
  const { judged } = said('no', 2)
  const both = await makerWith({ ...noCorrections, judged: { ...said('same', 0, 1).judged, ...judged } })
  expect(both.offerLessons.lessons).toEqual([])
  expect(verdict(both, 3)).not.toBe('same')
})

test('offers that are judged to be none teach that their words set apart', async () => {
  const listings = numbered((t, i) => ({ market: 'Marrowgate', id: `A${i}`, title: `${t} hanging planter box rustic lined wall, 2${i} cm` }))
  const offers = numbered((t, i) => ({ supplier: 'Sill Mill', id: `S${i}`, title: `${t} hanging planter box rustic lined wall franja, 2${i} cm`, tiers: '1:10000' }))
  const made = await buildCatalog([captureOf('listings', listings), captureOf('offers', offers)])
  const before = new ItemMaker(made, plainRules('EUR'), noCorrections)
  expect(verdict(before, 2)).toBe('same')
  const taught = new ItemMaker(made, plainRules('EUR'), said('no', 0, 1), before)
  expect(tellOfferLessons(taught.offerLessons)).toMatchObject([{ says: 'apart', these: ['franja'], those: [] }])
  expect(verdict(taught, 2)).not.toBe('same')
}) // prettier-ignore

test('what listings taught and what offers did is one lesson', () => {
  const lesson = { name: 'a', says: 'same', these: ['x'], those: ['y'], barcodes: 3, byHand: 1, example: ['x', 'y'], isTakenBack: false } as const
  const other = { ...lesson, name: 'b', barcodes: 0, byHand: 2 }
  expect(joinTold([lesson], [{ ...lesson, barcodes: 0, byHand: 2 }, other])).toEqual([{ ...lesson, byHand: 3 }, other])
}) // prettier-ignore
