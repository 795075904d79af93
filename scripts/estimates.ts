// Measures what Sickle works out on the demo against the demo's truth and writes docs/estimates.md. Run: npm run estimates
import { writeFileSync } from 'node:fs'
import { buildCatalog, ItemMaker, noCorrections, plainRules, type Item } from '../core/catalog'
import { importRows, openFile, proposeMapping, type Capture } from '../core/intake'
import { demoBytes } from '../server/src/demo-bytes'
import { demoFiles, demoRates, makeWorld, type World } from '../standins'

interface Known {
  items: Item[]
}

async function catalogOf(world: World): Promise<Known> {
  const captures: Capture[] = []
  for (const { name, bytes, answers } of await demoBytes(demoFiles(world))) {
    const opened = await openFile(new File([bytes as Uint8Array<ArrayBuffer>], name))
    const { mapping } = proposeMapping(opened, 0)
    const answered = {
      ...mapping,
      market: answers.market ?? null,
      currency: mapping.currency ?? answers.currency ?? null,
    }
    const { table, capturedOn } = await importRows(opened, answered)
    captures.push({ id: name, kind: mapping.kind, capturedOn, windowDays: mapping.windowDays, table })
  }
  const maker = new ItemMaker(await buildCatalog(captures), { ...plainRules('EUR'), rates: demoRates }, noCorrections)
  return { items: Array.from({ length: maker.count }, (_, i) => maker.at(i)) }
}

/** Of every two listings put together, how many are the same goods; of every two of the same goods, how many were put together. */
function joining(world: World, { items }: Known): { precision: number; recall: number } {
  const goods = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods.id]))
  let [right, wrong] = [0, 0]
  for (const { listings } of items) {
    listings.forEach((a, i) =>
      listings.slice(i + 1).forEach((b) => (goods.get(a.key) === goods.get(b.key) ? right++ : wrong++)),
    )
  }
  const counts = new Map<number, number>()
  for (const g of goods.values()) counts.set(g, (counts.get(g) ?? 0) + 1)
  const pairs = [...counts.values()].reduce((n, c) => n + (c * (c - 1)) / 2, 0)
  return { precision: right / (right + wrong), recall: right / pairs }
}

function matching(world: World, { items }: Known) {
  const goods = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods]))
  const offers = new Map(world.offers.map((o) => [`offer:${o.supplier}/${o.id}`, o]))
  const supplied = new Set(world.offers.map((o) => same(o.goods)))
  const found = items.filter((i) => i.offer)
  const right = found.filter((i) => same(offers.get(i.offer?.offer.key ?? '')?.goods) === same(goods.get(i.key)))
  const packs = found.filter((i) => offers.get(i.offer?.offer.key ?? '')?.pack === i.offerPack)
  const physical = items.filter((i) => i.kind === 'physical')
  const listingPacks = physical.filter((i) => i.pack === goods.get(i.key)?.pack)
  const possible = items.filter((i) => supplied.has(same(goods.get(i.key))))
  return {
    precision: right.length / found.length,
    recall: right.length / possible.length,
    offerPacks: packs.length / found.length,
    listingPacks: listingPacks.length / physical.length,
  }
}

/** The same goods but for the pack. */
function same(g: World['goods'][number] | undefined): string {
  return g ? [g.archetype.noun, g.size, g.colour, g.motif].join('|') : ''
}

function stages(world: World, { items }: Known): string {
  const truth = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods.stage]))
  const [rows, columns] = [
    ['Ripe', 'Ripening', 'Fading', 'Sprouting', 'Flash'],
    ['Ripe', 'Ripening', 'Fading', 'Sprouting', 'Flash', 'Unclear'],
  ]
  const cell = (t: string, s: string) => items.filter((i) => truth.get(i.key) === t && i.stage === s).length
  const lines = rows.map((t) => `| ${t} | ${columns.map((s) => cell(t, s)).join(' | ')} |`)
  return [`| truth \\ said | ${columns.join(' | ')} |`, `|---|${columns.map(() => '---:').join('|')}|`, ...lines].join(
    '\n',
  )
}

const world = makeWorld()
const catalog = await catalogOf(world)
const [j, m] = [joining(world, catalog), matching(world, catalog)]
const said = catalog.items.filter((i) => i.stage !== 'Unclear')
const truth = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods.stage]))
const right = said.filter((i) => truth.get(i.key) === i.stage).length / said.length
const p = (x: number) => `${(x * 100).toFixed(1)} %`

writeFileSync(
  new URL('../docs/estimates.md', import.meta.url),
  `# How good the estimates are

Measured on the demo (${world.listings.length} listings of ${world.goods.length} goods, ${world.offers.length} offers) against the truth its generator knows; written by \`npm run estimates\`.

## The same goods

| | measured |
|---|---:|
| pairs of listings put together that are the same goods (precision) | ${p(j.precision)} |
| pairs of the same goods that were put together (recall) | ${p(j.recall)} |
| offers reckoned with that are the same goods but for the pack | ${p(m.precision)} |
| items that somebody supplies for which such an offer was found | ${p(m.recall)} |
| pack counts of physical items, read from titles, that are right | ${p(m.listingPacks)} |
| pack counts of the offers reckoned with that are right | ${p(m.offerPacks)} |

What goes wrong: templates that differ in nothing but one short word (A4, A5; one bird's name that is also a colour), and titles
with a slip of the pen. A wrong offer is one press away from being put right in the Close look.

## Stage of life

${p(right)} of the items that are given a stage are given the true one (${said.length} of ${catalog.items.length}; the others are said to be unclear).
The truth has no season of its own: warm- and cold-weather goods drift by up to a third over the 180 days on top of their stage, and
with less than two years of figures a season cannot be told from a trend. That is where most of the differences are from; a
decomposition needs more than two years (Close look, “Will it last?”), which the demo does not have.

${stages(world, catalog)}
`,
)
