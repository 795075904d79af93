import { buildCatalog, ItemMaker, noCorrections, plainRules } from '@sickle/core/catalog'
import { importRows, openFile, proposeMapping } from '@sickle/core/intake'
import { fileOf } from '@/testing/file-of'
import { bringAll, testBench } from '@/testing/workbench'
import type { ItemEngine } from './item-engine'
import { ownMethods, ownSource } from './own-methods'

const rules = plainRules('EUR')
async function engineOf(titles: readonly string[]): Promise<ItemEngine> {
  const csv = ['Item ID,Title,Seller,Price (EUR)', ...titles.map((title, i) => `${i},${title},Sill Life,9.00`)].join(
    '\n',
  )
  const opened = await openFile(fileOf('market.csv', csv))
  const { mapping } = proposeMapping(opened, 0)
  const { table } = await importRows(opened, { ...mapping, kind: 'listings', market: 'Marrowgate' })
  const catalog = await buildCatalog([{ id: 'one', kind: 'listings', capturedOn: 20_604, windowDays: 30, table }])
  return { maker: Promise.resolve(new ItemMaker(catalog, rules, noCorrections)) } as ItemEngine
}

beforeAll(async () => {
  const bench = testBench()
  await bringAll(bench)
  await bench.bring('mine.csv', 'SKU,Title,My price\n1,Oak stool,12.00\n2,Slate clock,9.00\n', {
    kind: 'catalogue',
    currency: 'EUR',
  })
})

test('who asks while what was gathered becomes another is answered of what it is now', async () => {
  let now = await engineOf(['Oak stool'])
  const own = ownSource(() => now)
  const later = await engineOf(['Felt slippers', 'Slate clock', 'Oak stool'])
  const first = own.matches()
  now = later
  const second = own.matches()
  expect([...(await second).keys()].sort()).toEqual([1, 2])
  expect([...(await first).keys()].sort()).toEqual([1, 2])
})

test('it is told how far a comparison is, and the same is not compared twice', async () => {
  const now = await engineOf(['Oak stool'])
  const own = ownSource(() => now)
  const told: number[] = []
  const matches = await own.matches((done) => told.push(done))
  expect(told).toEqual([0])
  expect(await own.matches((done) => told.push(done))).toBe(matches)
  expect(told).toEqual([0])
})

test('a comparison that is stopped ends for all who await it; who asks later begins it anew', async () => {
  const now = await engineOf(['Oak stool'])
  const own = ownSource(() => now)
  const waiting = [own.matches(), own.items(), own.matches()].map((w) => w.catch((e: unknown) => e))
  own.stop()
  for (const thrown of await Promise.all(waiting)) expect(thrown).toMatchObject({ code: 'cancelled' })
  expect([...(await own.matches()).keys()]).toEqual([0])
})

test('who cancels the question for what is mine stops the comparison', async () => {
  const now = await engineOf(['Oak stool'])
  const own = ownSource(() => now)
  const methods = ownMethods(() => now, own)
  const asked = new AbortController()
  const answer = methods.mine({ signal: asked.signal, progress: () => undefined })
  const other = own.matches().catch((e: unknown) => e)
  asked.abort()
  await expect(answer).rejects.toMatchObject({ code: 'cancelled' })
  expect(await other).toMatchObject({ code: 'cancelled' })
})
