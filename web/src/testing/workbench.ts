import { createPinia, setActivePinia } from 'pinia'
import { createApp, type App } from 'vue'
import { servicesKey, type Services } from '@/services/services'
import { openDatabase } from '@/storage/database'
import { engineMethods } from '@/workers/engine-methods'
import { intakeMethods } from '@/workers/intake-methods'
import { scanMethods } from '@/workers/scan-methods'
import { fileOf } from './file-of'

/** For tests: the application's services with the workers' own methods called in place, over a database in memory. */

interface CallOptions {
  signal?: AbortSignal
  onProgress?: (value: unknown) => void
}
type Method = (context: { signal: AbortSignal; progress: (value: unknown) => void }, ...args: never[]) => unknown

/** A channel whose other end is here: arguments and results are cloned as they would be on the wire. */
export function inPlace(methods: Record<string, Method>) {
  return {
    async call(name: string, args: unknown[], { signal, onProgress }: CallOptions = {}): Promise<unknown> {
      const context = { signal: signal ?? new AbortController().signal, progress: (v: unknown) => onProgress?.(v) }
      const given = args.map((a) => (isFile(a) ? a : structuredClone(a))) as never[]
      return structuredClone(await (methods[name] as Method)(context, ...given))
    },
    restart: () => undefined,
  }
}
const isFile = (value: unknown) =>
  typeof (value as { slice?: unknown } | null)?.slice === 'function' &&
  !Array.isArray(value) &&
  typeof value !== 'string'

export interface TestBench {
  services: Services
  /** brings a file in as a worker would, its questions answered */
  bring: (name: string, csv: string, answers?: object) => Promise<void>
  app: App
  /** the clock, ms; tests may set it */
  clock: { now: number }
}

/** no two names are alike, whichever bench gave them */
let ids = 0

/** Services of which any part can be another. */
export function testBench(some: Partial<Services> = {}): TestBench {
  const clock = { now: Date.UTC(2026, 5, 1) }
  const services = {
    database: () => openDatabase(),
    engine: inPlace(engineMethods),
    intake: inPlace(intakeMethods),
    opener: inPlace(intakeMethods),
    scan: inPlace(scanMethods),
    now: () => clock.now,
    newId: () => `id-${ids++}`,
    ...some,
  } as unknown as Services
  const pinia = createPinia()
  const app = createApp({}).provide(servicesKey, services).use(pinia)
  setActivePinia(pinia)
  async function bring(name: string, csv: string, answers: object = {}): Promise<void> {
    const file = fileOf(name, csv)
    const { proposal, file: summary } = await services.intake.call('plan', [file, null, clock.now])
    const about = { id: services.newId(), now: clock.now, demo: false }
    await services.intake.call('run', [file, summary.sheet, { ...proposal.mapping, ...answers }, about])
  }
  return { services, bring, app, clock }
}

/** Three goods on one market and two offers for them: small enough to work out by hand. */
export const listingsCsv = `Item ID,Title,Seller,Price (EUR),Shipping,Units sold last 30 days,Rating,Reviews,Category,EAN
A1,"Balcony hook 4-pack, black",Hedge End Co.,12.90,0.00,40,4.6,120,Garden/Hooks,4006381333931
A2,"Balcony hook black, pack of 4",Quay Perch,11.50,1.49,22,4.4,60,Garden/Hooks,4006381333931
A3,"Hanging bird bath, copper, 26 cm",Sill Life,24.00,0.00,15,4.8,31,Garden/Birds,
A4,"Bird bath hanging 26cm copper",Tern & Trowel,23.50,2.95,9,4.1,12,Garden/Birds,
A5,"Kneeling pad 45 x 28 cm, grey",Sill Life,9.00,0.00,3,3.9,5,Garden/Tools,
`
export const offersCsv = `Ref,Description,Unit price (EUR),Min. qty,Delivery,Lead time
S1,Balcony hook black,0.80,1,0.00,5 days
S2,"Hanging bird bath, copper, 26 cm",8.00,1,3.00,7 days
`
export const termsCsv = `Search term,Monthly searches,Competing listings,Date,Region
bird bath,900,300,2026-05-01,IE
copper bird bath,120,12,2026-05-01,IE
balcony hook,400,80,2026-05-01,IE
`
export const restrictedCsv = `Market,What,Sort,Status,Note
Marrowgate,bird bath,phrase,Not allowed,ask first
Marrowgate,Garden/Hooks,category,not restricted,
`
/** All of it in the workspace. */
export async function bringAll({ bring }: Pick<TestBench, 'bring'>): Promise<void> {
  await bring('market.csv', listingsCsv, { market: 'Marrowgate', kind: 'listings' })
  await bring('supplier.csv', offersCsv, { supplier: 'Sill Mill' })
  await bring('terms.csv', termsCsv, { market: 'Marrowgate' })
  await bring('restricted.csv', restrictedCsv)
}
/** By hand, at the lowest delivered price less nothing, fees of 15 % and 3 % assumed: 12.90 − 3.20 − 1.94 − 0.39; 24.00 − 11.00 − 3.60 − 0.72 */
export const byHandE4 = { hooks: 73_700, bath: 86_800 }
