import { buildCatalog, lensOn, noCorrections, rejoinCatalog, renewCatalog } from '.'
import type { WorkOptions } from './build-catalog'
import { ListingIndex } from './find-listing'
import { captureOf, listing, offer } from './test-maker'

const words = ['oak', 'pine', 'ash', 'teak', 'elm', 'larch', 'birch', 'beech']
/** more than twice as many as after which the share that is done is told again */
const rows = Array.from({ length: 1100 }, (_, i) =>
  listing(`${i}`, {
    market: i % 2 ? 'Gavelhop' : 'Marrowgate',
    title: `Carved ${words[i % 8]} trough number${Math.floor(i / 4)} rustic`,
    reviews: i,
    units: i % 3 === 0 ? null : 5,
  }),
)
const captures = [
  captureOf('listings', rows),
  captureOf('offers', [offer('1')]),
  captureOf(
    'sales',
    Array.from({ length: 40 }, (_, i) => ({ market: 'Marrowgate', id: `${2 * i}`, day: 20_500 + i, units: 3 })),
  ),
]
const catalog = () => buildCatalog(captures)
const gathered = {
  kinds: new Set(['listings'] as const),
  others: captures.filter((c) => c.kind === 'offers'),
  all: async () => captures,
  newest: null,
}

/** Ways in which catalogs are worked out. */
const ways: [string, (options: WorkOptions) => Promise<unknown>][] = [
  ['built', (options) => buildCatalog(captures, options)],
  ['renewed', async (options) => renewCatalog(await catalog(), gathered, noCorrections, options)],
  [
    'renewed where all sold otherwise',
    async (options) => {
      const sold = (units: number) =>
        rows.map((_, i) => ({ market: i % 2 ? 'Gavelhop' : 'Marrowgate', id: `${i}`, day: 20_590, units }))
      const before = await buildCatalog([...captures, captureOf('sales', sold(1), 20_590)])
      const all = async () => [...captures, captureOf('sales', sold(9), 20_591)]
      const kinds = new Set(['listings', 'sales'] as const)
      return renewCatalog(before, { ...gathered, kinds, all }, noCorrections, options)
    },
  ],
  [
    'rejoined',
    async (options) => {
      const before = await catalog()
      const said = { ...noCorrections, apart: { 'Marrowgate/0': 'Gavelhop/1' } }
      return rejoinCatalog(before, said, { others: [], index: () => new ListingIndex(before.listings), ...options })
    },
  ],
  ['seen through a lens', async (options) => lensOn(await catalog(), ['Marrowgate'], captures, options)],
]

test.each(ways)('%s: the share that is done never falls, and other work is let in between', async (_, work) => {
  const shares: number[] = []
  let pauses = 0
  await work({ onProgress: (done) => shares.push(done), pause: async () => void pauses++ })
  expect(shares.length).toBeGreaterThan(0)
  expect(shares.filter((s, i) => s < 0 || s > 1 || s < (shares[i - 1] ?? 0))).toEqual([])
  expect(pauses).toBe(shares.length)
  // neither at every listing, nor hardly ever
  expect(shares.length).toBeLessThan(60)
  expect(shares.filter((s, i) => s - (shares[i - 1] ?? 0) > 0.65)).toEqual([])
})

test.each(ways)('%s: Cancel is heard at the first step', async (_, work) => {
  await expect(work({ signal: AbortSignal.abort() })).rejects.toMatchObject({ code: 'cancelled' })
})

test.each(ways.slice(0, 1))('%s: it ends with the whole, and Cancel is heard in the midst', async (_, work) => {
  const shares: number[] = []
  await work({ onProgress: (done) => shares.push(done) })
  expect(shares.length).toBeGreaterThan(5)
  expect(shares.at(-1)).toBeGreaterThanOrEqual(0.9)
  const stop = new AbortController()
  await expect(work({ signal: stop.signal, onProgress: (done) => done > 0.5 && stop.abort() })).rejects.toMatchObject({
    code: 'cancelled',
  })
})
