import { emptyQuery, Finder, makeFigures, measures, renewFigures } from '.'
import { buildCatalog, ItemMaker, lensOn, noCorrections, plainRules, type Lens } from '../catalog'
import { gtinCheckDigit } from '../identity'
import type { Capture, KindName } from '../records'
import { tableOf } from '../records/table-of'
import { numbers, textColumn, type RowRecord, type Table } from '../tables'

const things = ['nest box', 'bird bath', 'seed marker', 'kneeling pad', 'copper trowel', 'jute basket', 'oak dibber']
const places = ['Marrowgate', 'Gavelhop', 'Loopreel']
const barcode = (n: number) => {
  const body = `004012340${String(n).padStart(4, '0')}`
  return `${body}${gtinCheckDigit(body)}`
}

/** Goods that are listed on one, two or all three markets, joined by barcode alone, with all that is recorded about them. */
function gathered(): Capture[] {
  const rows: Record<string, RowRecord[]> = { listings: [], sales: [], clips: [], competing: [], ads: [], offers: [] }
  things.forEach((thing, n) => {
    places.forEach((market, m) => {
      if ((n + 1) % (m + 2) === 0) return
      const id = `${market[0] ?? ''}${n}`
      rows.listings?.push({
        market,
        id,
        gtin: barcode(n),
        title: thing,
        store: `Store ${(n * m) % 4}`,
        category: 'Garden / Birds',
        price: 50_000 + 13_000 * n + 7_000 * m,
        currency: 'EUR',
        units: n === 3 && m === 0 ? null : 10 * n + 3 * m,
        rating: 3 + ((n + m) % 4) / 2,
        reviews: n + m,
        commission: m === 2 ? 0.1 + n / 100 : null,
        listedOn: 19_000 + 10 * n + m,
      })
      for (let day = 0; day < 120; day++)
        if (n % 2 === 0) rows.sales?.push({ market, id, day: 19_900 + day, units: ((n + m) * day) % 5 })
      rows.clips?.push({ market, clip: `c${n}`, creator: `@${n}${m}`, day: 19_990, id, commission: 0.2 + m / 100 })
      // named by its barcode alone: an offer of the other market is about the same goods
      rows.competing?.push({
        market,
        id: '',
        gtin: barcode(n),
        store: `Rival ${n}${m}`,
        price: 60_000,
        currency: 'EUR',
      })
      rows.ads?.push({ market, ad: `a${n}`, id, channel: `Board ${m}`, day: 19_980 })
    })
    rows.offers?.push({ supplier: 'Quay', ref: `q${n}`, title: thing, gtin: barcode(n), cost: 20_000, currency: 'EUR' })
  })
  return Object.entries(rows).map(([kind, list]) => ({
    id: kind,
    kind: kind as KindName,
    capturedOn: 20_020,
    windowDays: 30,
    table: tableOf(kind as KindName, list),
  }))
}

const onMarkets = (captures: Capture[], wanted: readonly string[]): Capture[] =>
  captures.map((c) => {
    const market = textColumn(c.table, 'market')
    const keep = Int32Array.from({ length: c.table.rows }, (_, i) => i).filter((row) => {
      const code = market.codes[row] as number
      return code < 0 || wanted.includes(market.words.at(code) ?? '')
    })
    return { ...c, table: { rows: keep.length, columns: columnsAt(c.table, keep) } }
  })
const columnsAt = ({ columns }: Table, rows: Int32Array): Table['columns'] =>
  Object.fromEntries(
    Object.entries(columns).map(([name, c]) => [
      name,
      c.type === 'text'
        ? { ...c, codes: rows.map((r) => c.codes[r] as number) }
        : { ...c, values: Float64Array.from(rows, (r) => c.values[r] as number) },
    ]),
  )
const rules = plainRules('EUR')
const lensOf = (maker: ItemMaker, wanted: readonly string[], captures: Capture[]) =>
  lensOn(maker.catalog, wanted, captures)
const through = (whole: ItemMaker, lens: Lens) => new ItemMaker(whole.catalog, rules, noCorrections, whole, lens)

// of seven things Marrowgate has not the second, fourth and sixth, Gavelhop not the third and sixth, Loopreel not the fourth
describe.each<[readonly string[], number]>([
  [['Loopreel'], 6],
  [['Gavelhop', 'Marrowgate'], 6],
  [['Marrowgate', 'Gavelhop', 'Loopreel'], 7],
  [['Nowhere'], 0],
])('through %j', (wanted, items) => {
  const captures = gathered()
  let whole: ItemMaker, seen: ItemMaker, figures: Table, alone: ItemMaker, figuresAlone: Table
  beforeAll(async () => {
    whole = new ItemMaker(await buildCatalog(captures), rules, noCorrections)
    seen = through(whole, await lensOf(whole, wanted, captures))
    figures = await renewFigures(await makeFigures(whole), seen, (seen.lens as Lens).sameAs, {
      haveDaysPassed: false,
    })
    alone = new ItemMaker(await buildCatalog(onMarkets(captures, wanted)), rules, noCorrections)
    figuresAlone = await makeFigures(alone)
  })
  /** its place among the whole, and alone, by any of its listings */
  const pairs = () =>
    Array.from({ length: alone.count }, (_, at) => [whole.find(alone.keyAt(at)) as number, at] as const)

  test('every figure is what it is where the other markets were never gathered', () => {
    expect(pairs()).toHaveLength(items)
    for (const { name } of measures) {
      const [a, b] = [numbers(figures, name), numbers(figuresAlone, name)]
      for (const [at, aloneAt] of pairs()) expect([name, at, a[at]]).toEqual([name, at, b[aloneAt]])
    }
  })

  test('so is what an item tells, but for its name, which stays that of the whole', () => {
    for (const [at, aloneAt] of pairs()) {
      const { key, choice: _, ...item } = seen.at(at)
      const { key: _key, choice: _choice, ...other } = alone.at(aloneAt)
      expect(item).toEqual(other)
      expect(key).toBe(whole.keyAt(at))
      expect(seen.find(key)).toBe(at)
    }
  })

  test('items of other markets are not found, counted or summed; facets name no other market', () => {
    const finder = new Finder(
      () => ({ listings: whole.catalog.listings, itemOf: (seen.lens as Lens).itemOf }),
      figures,
      { isSeen: (i) => seen.isSeen(i) },
    )
    const answer = finder.ask(emptyQuery)
    expect([answer.total, answer.matching]).toEqual([alone.count, alone.count])
    expect(answer.facets.markets.map((m) => m.value)).toEqual(alone.count === 0 ? [] : [...wanted].sort())
    const other = new Finder(() => alone.catalog, figuresAlone).ask(emptyQuery)
    expect(answer.strips).toEqual(other.strips)
    expect([...finder.places(0, 99)].sort()).toEqual(pairs().map(([at]) => at).sort()) // prettier-ignore
    // a word that stands on another market alone finds nothing
    expect(finder.ask({ ...emptyQuery, words: 'nest' }).matching).toBe(
      new Finder(() => alone.catalog, figuresAlone).ask({ ...emptyQuery, words: 'nest' }).matching,
    )
  })
})

test('an item of which nothing counts is told whole, and what is the whole is not worked out again', async () => {
  const captures = gathered()
  const whole = new ItemMaker(await buildCatalog(captures), rules, noCorrections)
  const lens = await lensOf(whole, ['Loopreel'], captures)
  const seen = through(whole, lens)
  const unseen = Array.from({ length: whole.count }, (_, i) => i).filter((i) => !seen.isSeen(i))
  expect(unseen.length).toBeGreaterThan(0)
  for (const i of unseen) expect(seen.at(i)).toEqual(whole.at(i))
  const all = await lensOf(whole, places, captures)
  expect([...all.sameAs]).toEqual(Array.from({ length: whole.count }, (_, i) => i))
})
