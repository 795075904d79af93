import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import {
  compareScans,
  contract,
  describeLimits,
  describePlan,
  fetchPages,
  idsOf,
  noLimits,
  pageReader,
  planKey,
  scanFilter,
  type Fetched,
  type ScanLimits,
  type ScanPlan,
} from '.'
import { recordKind } from '../records'
import { Problem } from '../problem'
import { numbers, TableBuilder, textAt, textColumn, type RowRecord, type Table } from '../tables'

const floors = { amount: 2, from: { physical: 6, printed: null, digital: 2.5 } }
const instantly = { random: () => 0.5, sleep: () => Promise.resolve() }

test('whatever fails in passing, every page is kept exactly once', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 30 }),
      fc.array(fc.nat(3), { maxLength: 60 }),
      fc.integer({ min: 1, max: 6 }),
      async (pages, failures, concurrency) => {
        const left = [...failures]
        const kept: number[] = []
        await fetchPages({
          ...instantly,
          pages: Array.from({ length: pages }, (_, i) => i),
          concurrency,
          attempts: 100,
          fetchPage: (page): Promise<Fetched<number>> =>
            Promise.resolve(left.pop() === 0 ? { again: 'busy', afterMs: 0 } : { page }),
          keepPage: (page, value) => {
            expect(value).toBe(page)
            kept.push(page)
            return Promise.resolve()
          },
        })
        expect(kept.sort((a, b) => a - b)).toEqual(Array.from({ length: pages }, (_, i) => i))
      },
    ),
  )
})

test('waits double, are drawn at random below the bound, and are never shorter than the source asks', async () => {
  const waits: number[] = []
  const failing = fetchPages({
    pages: [0],
    fetchPage: (): Promise<Fetched<number>> =>
      Promise.resolve({ again: 'it answered 503', afterMs: waits.length === 2 ? 9000 : null }),
    keepPage: () => Promise.resolve(),
    attempts: 6,
    baseDelayMs: 100,
    mostDelayMs: 1000,
    random: () => 0.5,
    sleep: (ms) => Promise.resolve(void waits.push(ms)),
  })
  await expect(failing).rejects.toMatchObject({
    code: 'source-failing',
    details: { attempts: 6, reason: 'it answered 503' },
  })
  // by hand: half of 100, 200, 400, 800, then of the bound of 1000; the third no sooner than Retry-After
  expect(waits).toEqual([50, 100, 9000, 400, 500, 500])
})

test('a refusal ends the scan at once, a cancelled one keeps no more', async () => {
  const kept: number[] = []
  const keepPage = (page: number) => Promise.resolve(void kept.push(page))
  await expect(
    fetchPages({
      ...instantly,
      pages: [0, 1],
      concurrency: 1,
      keepPage,
      fetchPage: (page): Promise<Fetched<number>> =>
        Promise.resolve(page === 0 ? { page } : { refused: 'no such store' }),
    }),
  ).rejects.toMatchObject({ code: 'source-refused' })
  const controller = new AbortController()
  await expect(
    fetchPages({
      ...instantly,
      pages: [2, 3],
      signal: controller.signal,
      keepPage,
      fetchPage: (page): Promise<Fetched<number>> => (controller.abort(), Promise.resolve({ page })),
    }),
  ).rejects.toBeInstanceOf(Problem)
  expect(kept).toEqual([0])
})

const plan: ScanPlan = { source: 'farholt', by: 'ids', value: 'A1, B2\nA1;C3', limits: noLimits }

test('a plan is named, and the same plan is known again', () => {
  expect(idsOf(plan.value)).toEqual(['A1', 'B2', 'C3'])
  expect(describePlan(plan)).toBe('3 identifiers')
  expect(describePlan({ ...plan, list: 'offers', by: 'term', value: 'herb' })).toBe('supplier offers for term herb')
  expect(planKey({ ...plan, list: 'listings' })).toBe(planKey(plan))
  expect(planKey({ ...plan, list: 'ads' })).not.toBe(planKey(plan))
  expect(planKey(plan)).toBe(planKey({ ...plan, value: 'C3 B2 A1', limits: { ...noLimits, leastPrice: 3 } }))
  expect(planKey({ ...plan, by: 'term', value: 'Herb ' })).not.toBe(planKey({ ...plan, by: 'store', value: 'herb' }))
})

test.each<[Partial<typeof noLimits>, RowRecord, string | null]>([
  [{ leastPrice: 10 }, { price: 99_999 }, 'leastPrice'],
  [{ leastPrice: 10 }, { price: 100_000 }, null],
  [{ mostPrice: 10 }, { price: 100_001 }, 'mostPrice'],
  [{ leastPrice: 10 }, {}, null],
  [{ leastUnits: 1 }, { units: 0 }, 'leastUnits'],
  [{ leastUnits: 1 }, {}, 'leastUnits'],
  [{ leastRating: 4 }, { rating: 3.9 }, 'leastRating'],
  [{ without: ['GLASS', ' '] }, { title: 'A glass bird bath' }, 'without'],
  [{}, { title: 'anything' }, null],
  [{ mostRank: 300 }, { rank: 301 }, 'mostRank'],
  [{ mostRank: 300 }, { rank: 300 }, null],
  // a rank that is not told discards nothing
  [{ mostRank: 300 }, { title: 'anything' }, null],
  [{ leastProfit: floors }, { price: 59_900 }, 'leastProfit'],
  [{ leastProfit: floors }, { price: 60_000 }, null],
  [{ leastProfit: floors }, { price: 25_000, kind: 'digital' }, null],
  // of what is printed no price is known to leave it
  [{ leastProfit: floors }, { price: 100, kind: 'print on demand' }, null],
  [{ leastProfit: floors }, { title: 'anything' }, null],
])('limits %j and %j: %s', (some, record, limit) => {
  expect(scanFilter({ ...noLimits, ...some }, recordKind('listings'))(record)).toBe(limit)
})

test('a plan that was kept before there were ranks and profits has no such limits', () => {
  const { mostRank: _, leastProfit: _p, ...old } = noLimits
  expect(scanFilter(old as ScanLimits, recordKind('listings'))({ rank: 9e6, price: 1 })).toBeNull()
  expect(describeLimits(old as ScanLimits)).toBe('')
  expect(describeLimits({ ...noLimits, mostRank: 300, leastProfit: floors })).toBe(
    'ranks up to 300, a profit of 2 possible',
  )
})

test('a page is read like a file: typed, counted, refused with a reason; nothing of it is trusted', () => {
  const read = pageReader(
    recordKind('listings'),
    { from: 'Farholt', capturedOn: 20_604, windowDays: 30 },
    { ...noLimits, mostPrice: 100 },
  )
  const { table, rejected, discarded } = read(
    [
      {
        id: '007',
        title: 'Herb trough',
        price: 12.5,
        currency: 'EUR',
        units: 3,
        tags: ['balcony', 'herb'],
        listedOn: '2026-01-02',
      },
      { id: '008', title: 'Dear trough', price: 500, currency: 'EUR' },
      { id: '009', title: 'No price' },
      'not a record',
      { constructor: 'x', __proto__: { id: '1', title: 'inherited', price: 1 } },
    ],
    201,
  )
  expect([table.rows, discarded, rejected.map((r) => r.row)]).toEqual([1, { mostPrice: 1 }, [203, 204, 205]])
  expect(table.columns.price).toMatchObject({ values: Float64Array.of(125_000) })
  expect(table.columns.id).toMatchObject({ words: ['007'] })
  expect(table.columns.market).toMatchObject({ words: ['Farholt'] })
})

function tableOf(rows: RowRecord[]): Table {
  const builder = new TableBuilder([
    { name: 'id', type: 'text' },
    { name: 'title', type: 'text' },
    { name: 'price', type: 'number' },
    { name: 'units', type: 'number' },
  ])
  rows.forEach((r) => builder.add(r))
  return builder.finish()
}

test('two looks: new, gone, dearer, cheaper; rising and fading only beyond chance', () => {
  const row = (id: string, price: number, units: number) => ({ id, title: `thing ${id}`, price, units })
  const before = [
    row('a', 100, 10),
    row('b', 100, 10),
    row('c', 100, 10),
    row('d', 100, 40),
    row('e', 100, 5),
    row('z', 70, 1),
  ]
  const after = [
    row('a', 100, 11),
    row('b', 102, 10),
    row('c', 98, 10),
    row('d', 100, 10),
    row('e', 100, 40),
    row('y', 60, 1),
  ]
  const got = compareScans([tableOf(before)], [tableOf(after.slice(0, 3)), tableOf(after.slice(3))])
  // 40 against 5 and 10 against 40 lie far beyond chance, 11 against 10 does not; the interval itself is held against R in demand.test.ts
  expect(got.map((c) => [c.sort, c.id, c.before, c.after])).toEqual([
    ['dearer', 'b', 100, 102],
    ['cheaper', 'c', 100, 98],
    ['fading', 'd', 40, 10],
    ['rising', 'e', 5, 40],
    ['new', 'y', null, 60],
    ['gone', 'z', 70, null],
  ])
})

test('the contract is a valid OpenAPI 3.1 document', async () => {
  const { Validator } = await import('@seriousme/openapi-schema-validator')
  const { valid, errors } = await new Validator().validate(structuredClone(contract()))
  expect([valid, errors]).toEqual([true, undefined])
})

test('docs/connector.openapi.json is the contract as it is (npm run docs writes it)', () => {
  const kept = readFileSync(new URL('../../docs/connector.openapi.json', import.meta.url), 'utf8')
  expect(JSON.parse(kept)).toEqual(contract())
})

test('supplier offers are read as such: steps of price, the supplier of the source where none is named', () => {
  const read = pageReader(
    recordKind('offers'),
    { from: 'Quaymaster', capturedOn: 20_604, windowDays: 30 },
    // offers hold no units: that limit says nothing about them, the one on ratings does
    { ...noLimits, leastUnits: 5, leastRating: 4 },
  )
  const offer = { id: 'S1', title: 'Herb trough', tiers: '1:4.71;10:4.20', price: 4.71, currency: 'EUR', rating: 4.4 }
  const { table, rejected, discarded } = read([offer, { ...offer, id: 'S2', rating: 3.9 }, { id: 'S3' }], 1)
  expect(discarded).toEqual({ leastRating: 1 })
  expect(rejected).toMatchObject([{ row: 3 }])
  expect(table.rows).toBe(1)
  expect(textAt(textColumn(table, 'supplier'), 0)).toBe('Quaymaster')
  expect(textAt(textColumn(table, 'tiers'), 0)).toBe('1:47100;10:42000')
  expect(numbers(table, 'price')[0]).toBe(47_100)
})
