import { FarMarket } from '@sickle/standins'
import { noLimits, type ScanPlan } from '@sickle/core/scan'
import { listImports } from '@/storage/imports'
import { testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import { useJobs } from './jobs'
import { progressNote, useScans } from './scans'

const size = { size: 600, stores: 4 }
let market = new FarMarket({ ...size, round: 0 })
/** answers that go wrong before the right one comes */
let failing = 0

/** A source that keeps to the contract, in place of the server. */
const fetched = (address: string): Promise<Response> => {
  const { pathname, searchParams } = new URL(address, 'http://127.0.0.1')
  const json = (body: unknown, status = 200) => Promise.resolve(new Response(JSON.stringify(body), { status }))
  if (pathname === '/api/sources') return json([{ id: 'farholt', name: 'Farholt', standin: true }])
  if (pathname.endsWith('/about')) return json({ name: market.name, currency: market.currency, lists: ['listings'] })
  if (failing-- > 0) return json({ reason: 'busy' }, 503)
  const page = Number(searchParams.get('page'))
  const limit = Number(searchParams.get('limit'))
  const numbers = market.ofTerm(searchParams.get('term') ?? '')
  const records = numbers.slice(page * limit, (page + 1) * limit).map((k) => {
    const { units30, goods: _, ...listing } = market.listing(k)
    return { market: market.name, currency: market.currency, ...listing, units: units30 }
  })
  return json({ total: numbers.length, asOf: 'one', capturedOn: '2026-05-31', windowDays: 30, records })
}
beforeAll(() => void (globalThis.fetch = fetched as typeof fetch))

const plan: ScanPlan = { source: 'farholt', list: 'listings', by: 'term', value: 'feeder', limits: noLimits }

test('a scan brings every record, is told of while it runs, and becomes an import', async () => {
  const { services } = testBench()
  const [scans, jobs] = [useScans(), useJobs()]
  await scans.load()
  await until(() => scans.sources.length === 1, 'the sources')
  expect(await scans.about('farholt')).toMatchObject({ name: 'Farholt', currency: 'EUR' })
  failing = 1
  await scans.start(plan)
  await until(() => scans.finished?.state === 'done', 'the end of the scan')
  const of = market.ofTerm('feeder').length
  expect(scans.list[0]).toMatchObject({ state: 'done', taken: of, total: of, market: 'Farholt' })
  expect(jobs.jobs[0]).toMatchObject({ state: 'done', label: 'Scan of term feeder' })
  const [entry] = await listImports(await services.database())
  expect(entry).toMatchObject({ file: 'Scan: term feeder', rows: of, kind: 'listings' })
})

test('the same again tells what changed; one that is forgotten leaves its import', async () => {
  const { services } = testBench()
  const scans = useScans()
  await scans.load()
  market = new FarMarket({ ...size, round: 2 })
  await scans.again(scans.list[0]!)
  await until(() => scans.finished?.state === 'done', 'the end of the scan')
  const changes = await scans.changes(scans.finished!)
  expect(changes.length).toBeGreaterThan(0)
  expect(new Set(changes.map((c) => c.sort)).size).toBeGreaterThan(0)
  await scans.cancel(scans.list[0]!.id)
  expect(scans.list).toHaveLength(1)
  expect(await listImports(await services.database())).toHaveLength(2)
})

test('a scan that is given up leaves nothing', async () => {
  const { services } = testBench()
  const scans = useScans()
  failing = 3
  await scans.start({ ...plan, value: 'planter' })
  await scans.cancel(scans.list[0]!.id)
  await until(() => !scans.list.some((s) => s.plan.value === 'planter'))
  const db = await services.database()
  expect(await db.count('scanPages')).toBe(0)
  failing = 0
})

test('where a scan stands, in a line', () => {
  const scan = { total: 40, taken: 12, rejected: 1, discarded: { without: 3, leastPrice: 1 }, retries: 2 } as never
  expect(progressNote(scan)).toBe('12 of 40 taken · 4 discarded · 1 not readable · asked again 2 times')
  expect(progressNote({ total: null, taken: 0, rejected: 0, discarded: {}, retries: 0 } as never)).toBe(
    'asking the source',
  )
})
