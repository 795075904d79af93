import { readFileSync } from 'node:fs'
import { captureOf } from './test-maker'
import { blankName, blanksOf, buildCatalog, designSheet, ItemMaker, likeBlank, noCorrections, plainRules } from '.'

const rules = {
  ...plainRules('EUR'),
  rates: [{ from: 'USD', to: 'EUR', rate: 0.5, day: '2026-05-01' }],
  schedules: [
    {
      market: 'Fernhand',
      currency: 'EUR',
      lines: [{ name: 'Fee', basis: 'price' as const, ratio: 0.1, fixedE4: 0, minE4: null, maxE4: null, steps: [] }],
    },
  ],
}

async function maker(): Promise<ItemMaker> {
  const listings = [
    { market: 'Fernhand', id: '1', title: 'Robin mug', kind: 'print on demand', price: 180_000, delivery: 0, units: 4, currency: 'EUR' },
    { market: 'Fernhand', id: '2', title: 'Otter mug', kind: 'print on demand', price: 120_000, delivery: 20_000, units: 6, currency: 'EUR' },
    { market: 'Gavelhop', id: '3', title: 'Heron mug', kind: 'print on demand', price: 10_000, delivery: 0, units: 9, currency: 'EUR' },
  ]
  const blank = { supplier: 'Saltings Print', currency: 'USD', delivery: 60_000 }
  const offers = [
    { ...blank, id: 'M', title: 'Mug, white, 330 ml', tiers: '1:80000;100:10000', printAreas: 'wrap|handle', printing: 40_000, minOrder: 50 },
    { ...blank, id: 'C', title: 'Card', tiers: '1:20000', printAreas: 'front', delivery: null },
    { ...blank, id: 'X', title: 'Feeder', tiers: '1:20000' },
  ]
  return new ItemMaker(await buildCatalog([captureOf('listings', listings), captureOf('offers', offers)]), rules as never, noCorrections)
} // prettier-ignore

test('blanks are offers that say where, or for how much, they are printed', async () => {
  expect(blanksOf(await maker()).map((o) => [o.id, o.printAreas, o.printE4])).toEqual([
    ['C', ['front'], null],
    ['M', ['wrap', 'handle'], 40_000],
  ])
})

test('a design on a blank costs the blank, its prints and the delivery of one, never a lot, and no postage of mine', async () => {
  const key = 'offer:Saltings Print/M'
  const choices = [
    { offer: key, prints: 2, priceE4: 200_000 },
    { offer: key, prints: 1, priceE4: null },
    { offer: 'gone', prints: 1, priceE4: null },
  ]
  const lines = designSheet(await maker(), choices, { market: 'Fernhand', margin: 0.4 })
  // in euros: 4.00 and twice 2.00, 3.00 of delivery: 11.00; of 20.00 a tenth is the fee
  expect(lines[0]).toMatchObject({ landedE4: 110_000, priceE4: 200_000, profitE4: 70_000, margin: 0.35, assumed: [] })
  // with one print 9.00: 0.9 p − 9 = 0.4 p at 18.00
  expect(lines[1]).toMatchObject({ landedE4: 90_000, wantedE4: 180_000, priceE4: 180_000, profitE4: 72_000, margin: 0.4 })
  expect(lines).toHaveLength(2)
}) // prettier-ignore

test('what is not stated is said: no price of a print, no delivery, no fees', async () => {
  const choices = [{ offer: 'offer:Saltings Print/C', prints: 3, priceE4: 50_000 }]
  const [line] = designSheet(await maker(), choices, { market: 'Gavelhop', margin: 0.4 })
  expect(line).toMatchObject({ landedE4: 10_000, assumed: ['fees', 'delivery'] })
  expect(line?.notes.join()).toMatch(/no price of a print/)
  const [none] = designSheet(await maker(), choices, { market: 'Gavelhop', margin: 0.99 })
  expect(none?.wantedE4).toBeNull()
})

test('an item that is printed on a blank costs one print too', async () => {
  const said = { ...noCorrections, judged: { 'Fernhand/1': { 'offer:Saltings Print/M': 'same' as const } } }
  const { catalog } = await maker()
  const made = new ItemMaker(catalog, rules as never, said)
  expect(made.at(made.find('Fernhand/1') as number).landedE4).toBe(90_000)
})

test('printed goods like a blank: of the market alone, delivered', async () => {
  const made = await maker()
  const items = Array.from({ length: made.count }, (_, i) => made.at(i, false))
  expect(likeBlank(items, 'Fernhand')).toEqual({ items: 2, units: 10, lowE4: 140_000, middleE4: 160_000 })
  const unpriced = items.map((item) => ({ ...item, markets: ['Loopreel'], listings: [] }))
  expect(likeBlank(unpriced, 'Loopreel')).toEqual({ items: items.length, units: null, lowE4: null, middleE4: null })
  expect(likeBlank([], 'Fernhand')).toEqual({ items: 0, units: null, lowE4: null, middleE4: null })
})

// 40 titles of eight languages, labelled before the rule was written anew; one hand wrote both
const named = readFileSync(new URL('fixtures/blank-names.tsv', import.meta.url), 'utf8')
  .trim()
  .split('\n')
  .slice(1)
test.each([
  ['looked at', 0, 20],
  ['kept aside', 1, 16],
] as const)('what blanks are called, %s', (_, half, wanted) => {
  const its = named.filter((_, i) => i % 2 === half).map((line) => line.split('\t') as [string, string])
  expect(its).toHaveLength(20)
  expect(its.filter(([title, name]) => blankName(title) === name).length).toBeGreaterThanOrEqual(wanted)
})
test('a title of nothing but size and colour is its own name', () =>
  expect(blankName(' White 330 ml')).toBe('white 330 ml'))
