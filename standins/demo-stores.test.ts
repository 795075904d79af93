import { buildCatalog, ItemMaker, listingKey, noCorrections, plainRules, type Catalog } from '@sickle/core/catalog'
import { importRows, openFile, proposeMapping } from '@sickle/core/intake'
import { isSameGoods, mergeOwn, OwnMatcher, pastedFile, pastedGoods } from '@sickle/core/own'
import type { Capture } from '@sickle/core/records'
import {
  alikeStores,
  askStores,
  emptyStoreQuery,
  gapsOf,
  knownStores,
  openStore,
  rowsOfStore,
  storeThemes,
  type KnownStores,
} from '@sickle/core/stores'
import { shownGtin } from '@sickle/core/identity'
import { textIn } from '@sickle/core/tables'
import { demoFiles, demoRates, demoWorld, ownCatalogue, storeStories, themes, type World } from '.'

let world: World
let catalog: Catalog
let known: KnownStores
const rules = { ...plainRules('EUR'), rates: demoRates }

/** Text files of the demo through the same intake as a user's file, and my goods as a list that was pasted. */
beforeAll(async () => {
  world = demoWorld()
  const captures: Capture[] = []
  for (const file of demoFiles(world)) {
    if (typeof file.content !== 'string' || !/listings|daily|weekly|shops|sellers/.test(file.name)) continue
    const bytes = Buffer.from(file.content, file.encoding === 'utf-8' ? 'utf8' : 'latin1')
    const opened = await openFile(new File([bytes], file.name))
    const { mapping } = proposeMapping(opened, Date.UTC(2026, 11, 1))
    const answered = {
      ...mapping,
      market: file.answers.market ?? null,
      currency: mapping.currency ?? file.answers.currency ?? null,
    }
    const { table, capturedOn } = await importRows(opened, answered)
    captures.push({ id: file.name, kind: mapping.kind, capturedOn, windowDays: mapping.windowDays, table })
  }
  catalog = await buildCatalog(captures)
  known = knownStores(
    catalog,
    captures.filter((c) => c.kind === 'stores'),
    rules,
  )
})

const story = (name: string) => storeStories.find((s) => s.name === name)!
const open = (name: string) => openStore(known, catalog, rules, { market: story(name).market, name })!
const rowsOf = (name: string) => rowsOfStore(known.rows, known.places.find(story(name).market, name) as number)

test('young and fast, old and broad: one meets the criteria, the other does not', () => {
  const { found } = askStores(known.list, { ...emptyStoreQuery, meetsOnly: true })
  const names = Array.from(found, (s) => known.list.names[s])
  expect(names).toContain('Sprig & Rail')
  expect(names).not.toContain('Old Gate Sundries')
  expect(open('Old Gate Sundries').age).toBeGreaterThan(100)
})

test('the best fifth of a large store makes 70–80 % of its units (common practice, no source)', () => {
  const large = storeStories.filter((s) => s.listings >= 300).map((s) => open(s.name).topFifth as number)
  expect(large).toHaveLength(3)
  for (const share of large) {
    expect(share).toBeGreaterThan(0.7)
    expect(share).toBeLessThan(0.8)
  }
})

test('one lives off one listing', () => {
  const look = open("Robin's Larder")
  expect(look.makes80).toBe(1)
  expect(look.curve[0]?.units).toBeGreaterThan(0.75)
})

test('one stopped: nothing in 30 days, and all of what sold often before is told', () => {
  const look = open('Lantern & Reed')
  expect(look.summed.units).toBe(0)
  // of one that sold now and then silence may be chance
  const often = world.listings.filter(
    (l) => l.store.name === 'Lantern & Reed' && l.daily.slice(0, 135).reduce<number>((a, b) => a + (b ?? 0), 0) >= 30,
  ).length
  expect(often).toBeGreaterThan(30)
  expect(look.stoppedCount).toBeGreaterThanOrEqual(often)
  const last = look.stopped.map((s) => s.lastSold)
  expect(Math.max(...last)).toBeLessThanOrEqual((look.windowEnd as number) - 45)
  // steady stores have next to none
  const steady = open('Harbour Wall Post')
  expect(steady.stoppedCount).toBeLessThanOrEqual(0.02 * steady.stoppedJudged)
})

test('a specialist’s five themes are found, and little else is called one', () => {
  const found = storeThemes(catalog, rowsOf('Feather Almanac'), rules).themes
  const met = themes.filter((theme) => found.some((t) => t.phrases.some((p) => theme.includes(p))))
  expect(met).toHaveLength(themes.length)
  // the birds whose names are two words look like one as well
  expect(found.length).toBeLessThanOrEqual(themes.length + 2)
})

describe('a pasted list of what Harrow Quay sells', () => {
  let own: ReturnType<typeof mergeOwn>
  let matches: ReturnType<OwnMatcher['matches']>
  beforeAll(async () => {
    const text = ownCatalogue(world)
      .map((o) => [o.gtin === null ? '' : shownGtin(o.gtin), o.title].filter((t) => t !== '').join('\t'))
      .join('\n')
    const opened = await openFile(new File([pastedFile(pastedGoods(text))], 'pasted.csv'))
    const { mapping } = proposeMapping(opened, Date.UTC(2026, 11, 1))
    const columns = ['sku', 'title', 'gtin'].map((field) => ({ as: 'field' as const, field }))
    const { table } = await importRows(opened, { ...mapping, kind: 'catalogue', columns })
    own = mergeOwn([{ id: 'own', kind: 'catalogue', capturedOn: 20_604, windowDays: 30, table }], rules)
    matches = new OwnMatcher(own, catalog).matches()
  })

  test('its near twin is the store most like it', () => {
    const found = alikeStores({
      catalog,
      places: known.places,
      rows: known.rows,
      own,
      matches,
      priceE4: () => NaN,
      offers: [],
      find: () => null,
    })
    expect(known.places.names[found[0]?.store as number]).toBe('Harbour Wall Post')
    // 300 of its 360 goods are mine; of 500 and 360 that is 300 / 560
    expect(found[0]?.jaccard).toBeGreaterThan(0.9 * (300 / 560))
  })

  test.each(storeStories.filter((s) => !s.themes).map((s) => s.name))(
    'what %s has that I have not is the truth for 95 % of its items, and so is what we share',
    (name) => {
      const goodsOf = new Map(world.listings.map((l) => [`${l.store.market.name}/${l.id}`, l.goods]))
      const same = (g: World['goods'][number]) => [g.archetype.noun, g.size, g.colour, g.motif].join('|')
      const mineSomehow = new Set(ownCatalogue(world).map((o) => same(o.goods)))
      const mineNow = new Set(ownCatalogue(world).map((o) => o.goods.id))
      const rows = rowsOf(name)
      const gaps = new Set(gapsOf(catalog, rows, matches).gaps)
      let [right, shared] = [0, 0]
      for (const row of rows) {
        const key = listingKey(textIn(catalog.listings, 'market', row), textIn(catalog.listings, 'id', row))
        const goods = goodsOf.get(key)!
        const item = catalog.itemOf[row] as number
        // mine in another pack is no gap
        if (gaps.has(item) === !mineSomehow.has(same(goods))) right++
        const match = matches.get(item)
        if ((match !== undefined && isSameGoods(match.way)) === mineNow.has(goods.id)) shared++
      }
      expect(right / rows.length).toBeGreaterThanOrEqual(0.95)
      expect(shared / rows.length).toBeGreaterThanOrEqual(0.95)
    },
  )

  test('an item of mine is priced and judged like any other', () => {
    const maker = new ItemMaker(catalog, rules, noCorrections)
    const [item] = [...matches.keys()]
    expect(maker.at(item as number).worth).toBeDefined()
  })
})
