import { buildCatalog, ItemMaker, noCorrections, plainRules, type Item } from '@sickle/core/catalog'
import { isValidGtin } from '@sickle/core/identity'
import { importRows, openFile, openQuestions, proposeMapping } from '@sickle/core/intake'
import type { Capture } from '@sickle/core/records'
import { scheduleFromJson } from '@sickle/core/margin'
import { hits, hitUnits } from './demo-hits'
import { demoFiles, demoRates, demoSchedules, demoWorld, makeWorld, markets, type World } from '.'

let world: World
let items: Item[]
const mappings: Record<string, { kind: string; questions: string[]; rejected: number; taken: number }> = {}

/** Every text file of the demo through the same intake as a user's file; the spreadsheet is tested with the server, which writes it. */
beforeAll(async () => {
  world = demoWorld()
  const captures: Capture[] = []
  for (const file of demoFiles(world)) {
    if (typeof file.content !== 'string') continue
    const bytes = Buffer.from(file.content, file.encoding === 'utf-8' ? 'utf8' : 'latin1')
    const opened = await openFile(new File([bytes], file.name))
    const proposal = proposeMapping(opened, Date.UTC(2026, 11, 1))
    const mapping = {
      ...proposal.mapping,
      market: file.answers.market ?? null,
      currency: proposal.mapping.currency ?? file.answers.currency ?? null,
    }
    const result = await importRows(opened, mapping)
    mappings[file.name] = {
      kind: mapping.kind,
      questions: openQuestions(proposal.questions, proposal.mapping).map((q) => q.about),
      rejected: result.rejected.length,
      taken: result.taken,
    }
    captures.push({
      id: file.name,
      kind: mapping.kind,
      capturedOn: result.capturedOn,
      windowDays: mapping.windowDays,
      table: result.table,
    })
  }
  const rules = { ...plainRules('EUR'), rates: demoRates, schedules: demoSchedules.map(scheduleFromJson) }
  const maker = new ItemMaker(await buildCatalog(captures), rules, noCorrections)
  items = Array.from({ length: maker.count }, (_, i) => maker.at(i))
})

test('the world is as large as promised and the same every time', () => {
  expect(world.goods).toHaveLength(1500)
  expect(world.stores).toHaveLength(306)
  expect(world.listings.length).toBeGreaterThanOrEqual(6000)
  expect(world.offers).toHaveLength(900)
  expect(world.days).toBe(180)
  // Five markets that sell, and the hub that supplies.
  expect(markets).toHaveLength(5)
  const again = makeWorld()
  expect(again.listings[1234]).toEqual(world.listings[1234])
  expect(makeWorld({ seed: 1, goods: 50, listings: 100, offers: 10, stores: 60 }).listings[7]?.title).not.toBe(
    world.listings[7]?.title,
  )
})

test('it behaves like a trade: a fifth of listings makes 70–80 % of sales (common practice, no source)', () => {
  const units = world.listings.map((l) => l.daily.reduce<number>((a, b) => a + (b ?? 0), 0)).sort((a, b) => b - a)
  const fifth =
    units.slice(0, Math.floor(units.length / 5)).reduce((a, b) => a + b, 0) / units.reduce((a, b) => a + b, 0)
  expect(fifth).toBeGreaterThan(0.66)
  expect(fifth).toBeLessThan(0.84)
  expect(world.listings.some((l) => l.daily.includes(null))).toBe(true)
  expect(world.listings.some((l) => l.rating === null)).toBe(true)
  expect(new Set(world.goods.map((g) => g.stage))).toEqual(
    new Set(['Ripe', 'Ripening', 'Fading', 'Sprouting', 'Flash']),
  )
  expect(world.goods.every((g) => g.gtin === null || (isValidGtin(g.gtin) && g.gtin.startsWith('2')))).toBe(true)
})

const kindOf = (name: string) => {
  if (name.includes('listings') || name === 'loopreel-hits.csv') return 'listings'
  if (name.includes('searches')) return 'terms'
  if (name.includes('clips')) return 'clips'
  if (name.includes('ads')) return 'ads'
  if (name.includes('shops')) return 'stores'
  if (name.includes('catalogue')) return 'catalogue'
  if (name.includes('may-list')) return 'restricted'
  if (name.includes('blanks')) return 'offers'
  return name.includes('sellers') ? 'competing' : 'sales'
}

test('every file is read as what it is, with no question but those only a seller can answer', () => {
  for (const [name, m] of Object.entries(mappings)) {
    expect([name, m.kind]).toEqual([name, kindOf(name)])
    expect(m.questions).toEqual([m.kind === 'offers' ? 'supplier' : 'market'])
    expect(m.rejected).toBe(name === 'gavelhop-listings.csv' ? 1 : 0)
  }
  expect(
    Object.values(mappings)
      .filter((m) => m.kind === 'listings')
      .reduce((n, m) => n + m.taken, 0),
  ).toBe(world.listings.length + hits.length)
})

test('units of the last 30 days are the true ones, for every listing whose days were all counted', () => {
  const truth = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l]))
  const ofHits = hitUnits(world, 30)
  let compared = 0
  for (const item of items) {
    for (const l of item.listings) {
      const days = truth.get(l.key)?.daily.slice(-30) ?? []
      if (ofHits.has(l.id)) expect(l.units).toBe(ofHits.get(l.id))
      if (ofHits.has(l.id)) continue
      if (l.grade !== 'counted' || days.includes(null)) continue
      expect(l.units).toBe(days.reduce<number>((a, b) => a + (b ?? 0), 0))
      compared++
    }
  }
  expect(compared).toBeGreaterThan(4500)
})

test('listings are joined with a precision of 0.97 or more against the truth', () => {
  const goods = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods.id]))
  let [right, wrong] = [0, 0]
  for (const { listings } of items) {
    listings.forEach((a, i) =>
      listings.slice(i + 1).forEach((b) => (goods.get(a.key) === goods.get(b.key) ? right++ : wrong++)),
    )
  }
  expect(right / (right + wrong)).toBeGreaterThanOrEqual(0.97)
  const counts = new Map<number, number>()
  for (const g of goods.values()) counts.set(g, (counts.get(g) ?? 0) + 1)
  const pairs = [...counts.values()].reduce((n, c) => n + (c * (c - 1)) / 2, 0)
  expect(right / pairs).toBeGreaterThan(0.8)
})

test('pack counts found in titles are the true ones for 98 % of listings or more', () => {
  const packs = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods.pack]))
  const physical = items.filter((i) => i.kind === 'physical')
  const right = physical.filter((i) => i.pack === packs.get(i.key)).length
  expect(right / physical.length).toBeGreaterThanOrEqual(0.98)
})
