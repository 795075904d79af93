import { buildCatalog, listingKey, plainRules } from '../catalog'
import { importRows, openFile, proposeMapping } from '../intake'
import type { Capture, KindName } from '../records'
import { tableOf } from '../records/table-of'
import { textIn, type RowRecord } from '../tables'
import { mergeOwn, OwnMatcher, pastedFile, pastedGoods } from '.'
import { judgedPairs } from './judged-pairs'

const rules = { ...plainRules('EUR'), rates: [{ from: 'GBP', to: 'EUR', rate: 1.2, day: '2026-05-31' }] }
const capture = (kind: KindName, rows: RowRecord[], capturedOn = 20_604): Capture => ({
  id: `${kind}${capturedOn}`,
  kind,
  capturedOn,
  windowDays: 30,
  table: tableOf(kind, rows),
})
/** valid, from a range kept for use inside shops */
const [code, other] = ['02910056224900', '02910032943047']
const listing = (id: string, title: string, more: RowRecord = {}): RowRecord => ({
  market: 'Marrowgate',
  id,
  title,
  store: `Store ${id}`,
  ...more,
})

async function matched(own: RowRecord[], listings: RowRecord[]) {
  const catalog = await buildCatalog([capture('listings', listings)])
  const goods = mergeOwn([capture('catalogue', own)], rules)
  const index = new Map(listings.map((l, row) => [listingKey(String(l.market), String(l.id)), row] as const))
  const found = new OwnMatcher(goods, catalog).matches(null, { find: (key) => index.get(key) ?? null })
  return listings.map((_, row) => {
    const match = found.get(catalog.itemOf[row] as number)
    return match ? `${match.way}: ${goods[match.own]?.sku}` : 'none'
  })
}

test('own goods are what the newest catalogue says of each, in the home currency', () => {
  const goods = mergeOwn(
    [
      capture('catalogue', [{ sku: 'A', title: 'Peanut feeder, pack of 2', price: 100_000, currency: 'GBP' }]),
      capture(
        'catalogue',
        [
          { sku: 'A', title: 'Old words' },
          { sku: 'B', market: 'Fernhand', id: '9', title: 'Mug' },
        ],
        20_500,
      ),
      capture('listings', [listing('1', 'Peanut feeder')]),
    ],
    rules,
  )
  expect(goods.map(({ key, title, priceE4, pack, listing: at }) => ({ key, title, priceE4, pack, at }))).toEqual([
    { key: 'A', title: 'Peanut feeder, pack of 2', priceE4: 120_000, pack: 2, at: null },
    { key: 'Fernhand/B', title: 'Mug', priceE4: null, pack: 1, at: 'Fernhand/9' },
  ])
})

test('an item is mine by its own listing, its barcode or its words; another pack, a likely one and another thing are not', async () => {
  const own: RowRecord[] = [
    { sku: 'L', title: 'Something else altogether', market: 'Marrowgate', id: '1' },
    { sku: 'C', title: 'Words that nobody uses here', gtin: code },
    { sku: 'W', title: 'Peanut feeder 1 kg blue' },
    { sku: 'P', title: 'Railing planter 40 cm anthracite, set of 3' },
  ]
  const listings = [
    listing('1', 'Copper bird bath hanging'),
    listing('2', 'Glass cloche with knob', { gtin: code }),
    listing('3', 'Feeder, peanut, blue, 1 kg'),
    listing('4', 'Railing planter, 40 cm, anthracite'),
    listing('5', 'Peanut feeder 1 kg red'),
    listing('6', 'Peanut feeder 2 kg blue'),
    listing('7', 'Kneeling pad foam'),
  ]
  expect(await matched(own, listings)).toEqual([
    'listing: L',
    'barcode: C',
    'words: W',
    'pack: P',
    'none',
    'none',
    'none',
  ])
})

test('two barcodes that differ are two things, whatever the words say; a size left out is only likely the same', async () => {
  const own = [{ sku: 'A', title: 'Peanut feeder 1 kg blue', gtin: code }]
  expect(await matched(own, [listing('1', 'Peanut feeder, 1 kg, blue', { gtin: other })])).toEqual(['none'])
  expect(await matched(own, [listing('1', 'Peanut feeder, blue')])).toEqual(['likely: A'])
  // another pack has another barcode, and is told as what it is
  expect(await matched(own, [listing('1', 'Peanut feeder, 1 kg, blue, 3 pack', { gtin: other })])).toEqual(['pack: A'])
})

test('listings of one barcode teach which words mean the same', async () => {
  // gtins of a range kept inside shops; three goods are called both a trough and a flower box
  const gtins = ['02910056224900', '02910032943047', '02910103738909']
  const colours = ['grey', 'olive', 'blue']
  const pairs = gtins.flatMap((gtin, i) => [
    listing(`a${i}`, `Balustrade flower box 40 cm ${colours[i]}`, { gtin }),
    listing(`b${i}`, `Railing planter 40 cm ${colours[i]}`, { gtin }),
  ])
  const own = [{ sku: 'R', title: 'Railing planter 80 cm white' }]
  const box = listing('x', 'Balustrade flower box, 80 cm, white')
  expect((await matched(own, [...pairs, box])).at(-1)).toBe('words: R')
  // two barcodes are no lesson
  expect((await matched(own, [...pairs.slice(0, 4), box])).at(-1)).toBe('none')
})

test('a pasted list: barcode, title or both, in any order, with the marks of lists', async () => {
  const text = `${code.slice(1)}\tSwift box, 40 cm\r\n- Herb trough grey\n3. ${other.slice(1)}\n\nHerb trough grey\n4006381333932 Wrong digit`
  const goods = pastedGoods(text)
  expect(goods).toEqual([
    { gtin: code, title: 'Swift box, 40 cm' },
    { gtin: null, title: 'Herb trough grey' },
    { gtin: other, title: '' },
    // its check digit is wrong: it is no barcode, and stays a part of what is said
    { gtin: null, title: '4006381333932 Wrong digit' },
  ])
  expect(pastedGoods(' \n\t\n')).toEqual([])
  // what is made of it comes in as a catalogue like any other file
  const opened = await openFile(new File([pastedFile(goods)], 'pasted.csv'))
  const { mapping } = proposeMapping(opened, Date.UTC(2026, 10, 26))
  const { table, taken, rejected } = await importRows(opened, {
    ...mapping,
    kind: 'catalogue',
    columns: ['sku', 'title', 'gtin'].map((field) => ({ as: 'field', field })),
  })
  expect([taken, rejected]).toEqual([4, []])
  expect(textIn(table, 'gtin', 0)).toBe(code)
})

// every second pair was kept aside until the last measurement
test.each([
  ['tuned on', 0],
  ['kept aside', 1],
] as const)(
  'pairs of other trades, %s: what is called mine is, most of what is mine is met, and other things stay gaps',
  async (_, half) => {
    const { sure, sureWrong, missed, same, others, gaps } = await judgedPairs(half)
    expect(sure).toBeGreaterThan(0)
    expect(sureWrong / sure).toBeLessThanOrEqual(0.05)
    expect(missed / same).toBeLessThanOrEqual(0.15)
    expect(gaps / others).toBeGreaterThanOrEqual(0.85)
  },
)

describe('in turn with other work', () => {
  const titles = ['Oak stool', 'Slate clock', 'Felt slippers grey', 'Copper kettle', 'Linen apron', 'Bamboo tray']
  const rows = titles.flatMap((title, i) => [listing(`${i}`, title), listing(`x${i}`, `${title}, new`)])
  const made = async () => {
    const catalog = await buildCatalog([capture('listings', rows)])
    const own = titles.map((title, i) => ({ sku: `${i}`, title }))
    return new OwnMatcher(mergeOwn([capture('catalogue', own)], rules), catalog)
  }

  test('the same is found as at once, others are let in, and what is done only rises', async () => {
    const [told, pauses] = [[] as number[], [] as number[]]
    const matcher = await made()
    const found = await matcher.matchesInTurn(null, {
      onProgress: (done) => void told.push(done),
      pause: async () => void pauses.push(told.length),
    })
    expect(found).toEqual(matcher.matches())
    expect(new Set([...found.values()].map((m) => m.own)).size).toBe(titles.length)
    expect(told).toEqual([...told].sort((a, b) => a - b))
    expect([told[0], (told.at(-1) as number) <= 1]).toEqual([0, true])
    expect(pauses).toHaveLength(told.length)
  })

  test('it ends when it is cancelled', async () => {
    const stop = new AbortController()
    const matcher = await made()
    await expect(
      matcher.matchesInTurn(null, { signal: stop.signal, pause: async () => stop.abort() }),
    ).rejects.toMatchObject({ code: 'cancelled' })
  })
})
