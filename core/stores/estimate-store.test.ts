import { readFileSync } from 'node:fs'
import { combine, fromFeedback, fromLog, z80 } from '../estimates'
import type { CompetingOffer } from '../room'
import { estimateStore, feedbackOfOffers, type StoreEvidence } from './estimate-store'
import { learnStores } from './learn-stores'
import { ranksBeside, stepsOf, type RankSales } from './rank-sales'
import { feedbackLooks } from './stated'
import { rowsOfStore } from './store-rows'
import { capture, end, knownOf, listing } from './test-stores'

const offer = (id: string, some: Partial<CompetingOffer> = {}): CompetingOffer => ({
  market: 'Marrowgate',
  id,
  gtin: null,
  store: 'Sill',
  priceE4: 100_000,
  currency: 'EUR',
  deliveryE4: null,
  featured: null,
  feedback30: null,
  feedback90: null,
  feedback365: null,
  rating: null,
  seenOn: end,
  ...some,
})
async function evidence(some: Partial<StoreEvidence> = {}, units: (number | null)[] = [10, null, 4]) {
  const rows = units.map((u, i) => listing(String(i), { units: u, rank: 10 * (i + 1) }))
  const { catalog, known } = await knownOf([capture('listings', rows)])
  const keys = new Map(rows.map((r, row) => [`Marrowgate/${String(r.id)}`, row]))
  return {
    catalog,
    rows: rowsOfStore(known.rows, 0),
    offers: [],
    looks: [],
    find: (key: string) => keys.get(key) ?? null,
    rankSales: null,
    ...some,
  }
}

test('random effects are those of statsmodels: what disagrees widens the answer', () => {
  // Source: statsmodels 0.13 (combine_effects, method_re "dl"), by scripts/fixtures/overlap.py.
  const { cases } = JSON.parse(
    readFileSync(new URL('../estimates/fixtures/random-effects.json', import.meta.url), 'utf8'),
  ) as { cases: { units: number[]; logSd: number[]; mean: number; sd: number }[] }
  for (const { units, logSd, mean, sd } of cases) {
    const found = combine(units.map((u, i) => fromLog('feedback', Math.log(u), logSd[i] as number)))
    expect(found?.units).toBeCloseTo(mean, 6)
    expect(found?.logSd).toBeCloseTo(sd, 9)
  }
  expect(combine([])).toBeNull()
  const one = fromFeedback(40)
  expect(combine([one])).toBe(one)
})

test('feedback that every offer says alike is the store’s own, and counts once; else each speaks of its item', () => {
  const same = { feedback30: 12, feedback90: 30, feedback365: 100 }
  expect(feedbackOfOffers([offer('1', same), offer('2', same)])).toBe(12)
  expect(feedbackOfOffers([offer('1', same), offer('2', { ...same, feedback365: 99 })])).toBe(24)
  expect(feedbackOfOffers([offer('1', same)])).toBe(12)
  expect(feedbackOfOffers([offer('1', { feedback30: 0 }), offer('2')])).toBe(0)
  expect(feedbackOfOffers([offer('1'), offer('2')])).toBeNull()
})

test('feedback from offers first; from the rise between two lists else, brought to 30 days', async () => {
  const looks = [
    { day: end - 200, feedback: 10 },
    { day: end - 60, feedback: 100 },
    { day: end - 5, feedback: 150 },
    { day: end, feedback: 160 },
  ]
  const byList = estimateStore(await evidence({ looks })).feedback
  // the newest look that lies two weeks back: 60 in 60 days, of whom half left it
  expect(byList).toMatchObject({ by: 'list', count: 60 })
  expect(byList?.units).toBeCloseTo((60.5 / 0.5) * (30 / 60), 9)
  const offers = [offer('0', { feedback30: 7 })]
  expect(estimateStore(await evidence({ looks, offers })).feedback).toMatchObject({ by: 'offers', count: 7 })
  const dear = estimateStore(await evidence({ offers, leaveRate: { rate: 0.25, logSd: 0.25 } })).feedback
  expect(dear?.units).toBeCloseTo(7.5 / 0.25, 9)
  // a count that fell, or only one look, says nothing
  expect(estimateStore(await evidence({ looks: looks.slice(2) })).feedback).toBeNull()
  expect(
    estimateStore(await evidence({ looks: [looks[3]!, looks[0]!].map((l, i) => ({ ...l, day: end - 50 + 50 * i })) }))
      .feedback,
  ).toBeNull()
})

test('items by how often its offer is featured: only those whose sales and share are known', async () => {
  const offers = [offer('0', { featured: 0.5 }), offer('1', { featured: 0.9 }), offer('2'), offer('9', { featured: 1 })]
  const { items } = estimateStore(await evidence({ offers }))
  expect(items?.of).toBe(1)
  // half of the ten that the item sells
  expect(items?.mean).toBeCloseTo(5, 9)
  expect(estimateStore(await evidence({ offers: [offer('1', { featured: 1 })] })).items).toBeNull()
  // what the same goods sell on another market is no part of it
  const gtin = '04006381333931'
  const rows = [
    listing('0', { units: 10, gtin }),
    listing('7', { units: 500, gtin, market: 'Gavelhop', title: 'Cow bell 0' }),
  ]
  const { catalog, known } = await knownOf([capture('listings', rows)])
  expect(catalog.itemOf[0]).toBe(catalog.itemOf[1])
  const both = {
    ...(await evidence({ offers: [offers[0]!] })),
    catalog,
    rows: rowsOfStore(known.rows, 0),
    find: () => 0,
  }
  expect(estimateStore(both).items?.mean).toBeCloseTo(5, 9)
})

test('ranks estimate what is not published, and what is published is added as it is', async () => {
  const pairs = Array.from({ length: 40 }, (_, i) => ({ rank: i + 1, units: 40 - i }))
  const [rankSales] = stepsOf(pairs)
  const found = estimateStore(await evidence({ rankSales: rankSales! }))
  expect(found.ranks?.of).toBe(1)
  // 14 are published, the second listing ranks 20th
  expect(found.ranks?.mean).toBeCloseTo(14 + 21, 6)
  expect(found.ranks!.low).toBeGreaterThan(14)
  // a store that publishes all needs no ranks
  expect(estimateStore(await evidence({ rankSales: rankSales! }, [5, 6])).ranks).toBeNull()
  expect(found.all).toEqual(found.ranks)
  expect(estimateStore(await evidence()).all).toBeNull()
})

test('what lists say of feedback, day by day, of one store alone', () => {
  const list = (day: number, rows: [string, string, number | null][]) =>
    capture(
      'stores',
      rows.map(([market, store, feedback]) => ({ market, store, feedback })),
      { capturedOn: day },
    )
  const lists = [
    list(end, [['Marrowgate', 'Sill', 90]]),
    list(end - 40, [
      ['Marrowgate', 'Sill', 70],
      ['Gavelhop', 'Sill', 7],
    ]),
    list(end - 80, [['Marrowgate', 'Sill', null]]),
  ]
  expect(feedbackLooks(lists, { market: 'Marrowgate', name: 'Sill' })).toEqual([
    { day: end - 40, feedback: 70 },
    { day: end, feedback: 90 },
  ])
})

/** A market of stores that sell two things each: the item's sales, and how often each store's offer of it is featured. */
async function market(
  stores: number,
  {
    published = true,
    featured = 0.25,
    feedback30 = null,
  }: { published?: boolean; featured?: number | null; feedback30?: number | null } = {},
) {
  const name = (s: number) => `Store ${s}`
  const rows = Array.from({ length: stores }, (_, s) => [
    listing(`a${s}`, { store: name(s), units: published ? 30 : null, title: `Copper trowel ${s} a`, rank: s + 1 }),
    listing(`b${s}`, { store: 'Others', units: 30, title: `Copper trowel ${s} a` }),
  ]).flat()
  const { catalog, known } = await knownOf([capture('listings', rows)])
  const keys = new Map(rows.map((r, row) => [`Marrowgate/${String(r.id)}`, row]))
  return {
    catalog,
    offers: Array.from({ length: stores }, (_, s) => offer(`a${s}`, { store: name(s), featured, feedback30 })),
    find: (key: string) => keys.get(key) ?? null,
    rowsOf: (store: string) => rowsOfStore(known.rows, known.places.find('Marrowgate', store) ?? -1),
    looksOf: () => [],
    ranksBeside: (): RankSales | null => null,
    leaveRate: { rate: 0.5, logSd: 0.7 },
  }
}

test('how far items and featured shares lie off is learned from stores that publish what they sell', async () => {
  // all sell half of an item of 60, though featured a quarter of the time: every sum is half of the truth
  const { items: learned } = learnStores(await market(10))
  expect(learned).toMatchObject({ of: 10, extraSd: 0 })
  // and the middle of a sum that is so unsure lies below its mean
  expect(learned?.shift).toBeCloseTo((10 / 12) * (Math.log(2) + 0.85 ** 2 / 2), 9)
  expect(learned?.scale).toBeLessThan(0.011)
  expect(learnStores(await market(7)).items).toBeNull()
  // what is not published teaches nothing, nor does a share that nobody stated
  expect(learnStores(await market(10, { published: false })).items).toBeNull()
  expect(learnStores(await market(10, { featured: null })).items).toBeNull()
  const offers = [offer('0', { featured: 0.5 })]
  const plain = estimateStore(await evidence({ offers })).items
  const moved = estimateStore(await evidence({ offers, learned: { items: learned, together: null } })).items
  expect(moved!.units / plain!.units).toBeCloseTo(Math.exp(learned!.shift), 9)
  expect(moved!.of).toBe(1)
})

test('all ways together are learned from stores of which there are two or more, each as if it published nothing', async () => {
  // one way alone teaches nothing of several
  expect(learnStores(await market(10)).together).toBeNull()
  const { items, together } = learnStores(await market(10, { feedback30: 30 }))
  // feedback says 61 at a rate of a half; items, whose shift is believed by ten parts of twelve, fall short of the 30 that were sold
  const short = (Math.log(2) + 0.85 ** 2 / 2) / 6
  const byItems = fromLog('combined', Math.log(30) - short, items!.scale * 0.85 * (items!.reach / z80))
  const both = combine([byItems, fromFeedback(30, { rate: 0.5, logSd: 0.7 })])
  expect(together).toMatchObject({ of: 10, extraSd: 0 })
  expect(together!.shift).toBeCloseTo((10 / 12) * Math.log(30 / both!.units), 6)
  const [known] = stepsOf(Array.from({ length: 40 }, (_, i) => ({ rank: i + 1, units: 40 - i })))
  const two = { offers: [offer('0', { feedback30: 30 })], rankSales: known!, leaveRate: { rate: 0.5, logSd: 0.7 } }
  const silent = [null, null, null]
  const apart = estimateStore(await evidence({ ...two, learned: { items, together: null } }, silent))
  const moved = estimateStore(await evidence({ ...two, learned: { items, together } }, silent))
  expect(moved.all!.units / apart.all!.units).toBeCloseTo(Math.exp(together!.shift), 9)
  expect([moved.feedback, moved.ranks]).toEqual([apart.feedback, apart.ranks])
  // of a store that publishes a part, that part does not lie off
  const partly = estimateStore(await evidence({ ...two, learned: { items, together } }, [10, null, 4]))
  expect(partly.all).toEqual(combine([partly.feedback!, partly.ranks!]))
  // one way alone stays as it is
  const one = estimateStore(await evidence({ offers: [offer('0', { feedback30: 30 })], learned: { items, together } }))
  expect(one.all).toEqual(one.feedback)
  // by rank a store that publishes is estimated as if it did not: what it published would be no evidence
  const [rankSales] = stepsOf(Array.from({ length: 40 }, (_, i) => ({ rank: i + 1, units: 60 })))
  const ranked = learnStores({ ...(await market(10, { feedback30: 30 })), ranksBeside: () => rankSales! })
  expect(ranked.together?.of).toBe(10)
  expect(ranked.together!.shift).toBeLessThan(together!.shift - 0.2)
})

test('what ranks say beside a store is learned from the other half of all stores, by market', async () => {
  // stores in turn: those of one half sell as much as the place says, those of the other ten times as much
  const rows = Array.from({ length: 60 }, (_, i) =>
    listing(`${i}`, { store: `Store ${i}`, rank: i + 1, units: i % 2 === 0 ? 60 - i : 10 * (60 - i) }),
  )
  const { catalog } = await knownOf([capture('listings', rows)])
  const beside = ranksBeside(catalog)
  const at = (row: number) => beside(row).get('Marrowgate')!
  expect([at(0).of, at(1).of]).toEqual([30, 30])
  // the first listing is judged by the second and the like of it, and the other way round
  expect(at(0).units[0]).toBe(590)
  expect(at(1).units[0]).toBe(60)
  expect(at(2)).toBe(at(0))
  expect(beside(0).get('Gavelhop')).toBeUndefined()
})
