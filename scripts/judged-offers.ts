// How judging offers by their truth changes what is found for items that nobody judged. Run: npx tsx scripts/judged-offers.ts
import { buildCatalog, ItemMaker, noCorrections, plainRules, type Corrections } from '../core/catalog'
import { inForce } from '../core/goods'
import { asideMakes, demoMake, demoRates, makeWorld, otherMakes, type World } from '../standins'
import { demoCaptures } from './demo-captures'
import { otherSize } from './estimate-worlds'

const judgedItems = 60
const judgedEach = 4

type Goods = World['goods'][number]
const same = (g: Goods | undefined) => (g ? [g.archetype.noun, g.size, g.colour, g.motif].join('|') : '')

async function tried(world: World): Promise<string> {
  // without barcodes, which teach nearly all of it already
  const captures = (await demoCaptures(world)).map((c) => {
    const { gtin: _, ...columns } = c.table.columns
    return { ...c, table: { ...c.table, columns } }
  })
  const catalog = await buildCatalog(captures)
  const rules = { ...plainRules('EUR'), rates: demoRates }
  const goods = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods]))
  const offers = new Map(world.offers.map((o) => [`offer:${o.supplier}/${o.id}`, o.goods]))
  const supplied = new Set(world.offers.map((o) => same(o.goods)))
  const before = new ItemMaker(catalog, rules, noCorrections)
  // a seller judges what is worth most: here those with most units, and of each the offers that are most alike
  const physical = Array.from({ length: before.count }, (_, i) => i)
    .map((i) => before.at(i))
    .filter((i) => i.kind !== 'digital')
    .sort((a, b) => (b.units ?? 0) - (a.units ?? 0))
  const judged: Corrections['judged'] = {}
  for (const item of physical.slice(0, judgedItems))
    judged[item.key] = Object.fromEntries(
      item.offers
        .slice(0, judgedEach)
        .map((m) => [m.offer.key, same(offers.get(m.offer.key)) === same(goods.get(item.key)) ? 'same' : 'no']),
    )
  const rest = physical.slice(judgedItems).map((i) => i.key)
  const told = (maker: ItemMaker) => {
    const items = rest.flatMap((key) => {
      const place = maker.find(key)
      return place === null ? [] : [maker.at(place, false)]
    })
    const found = items.filter((i) => i.offer)
    const right = found.filter((i) => same(offers.get(i.offer?.offer.key ?? '')) === same(goods.get(i.key)))
    const possible = items.filter((i) => supplied.has(same(goods.get(i.key))))
    const p = (n: number, of: number) => `${((100 * n) / of).toFixed(1)} %`
    return `${p(right.length, found.length)} | ${p(right.length, possible.length)}`
  }
  const after = new ItemMaker(catalog, rules, { ...noCorrections, judged }, before)
  const { lessons } = after.offerLessons
  const count = (says: string) => inForce(lessons).filter((l) => l.says === says).length
  return `${told(before)} | ${told(after)} | ${count('same')} | ${count('apart')}`
}

console.log(
  `| world | right before | found before | right after ${judgedItems} items judged | found after | words the same | set apart |`,
)
console.log('|---|---:|---:|---:|---:|---:|---:|')
console.log(`| the demo | ${await tried(makeWorld())} |`)
for (const make of [...otherMakes, ...asideMakes, demoMake])
  console.log(`| ${make.name} | ${await tried(makeWorld({ ...otherSize, seed: 3, make }))} |`)
