import { feeLine } from '../margin'
import type { Capture, KindName } from '../records'
import { tableOf } from '../records/table-of'
import type { RowRecord } from '../tables'
import { buildCatalog, ItemMaker, noCorrections, plainRules, type Corrections, type SellerRules } from '.'

/** For tests: the day on which all is read where nothing else is said. */
export const today = 20_604

export const captureOf = (kind: KindName, rows: RowRecord[], capturedOn = today, windowDays = 30): Capture => ({
  id: `${kind}-${capturedOn}`,
  kind,
  capturedOn,
  windowDays,
  table: tableOf(kind, rows),
})

/** For tests: a listing at 12.00 EUR of which four were sold. */
export const listing = (id: string, some: RowRecord = {}): RowRecord => ({
  market: 'Marrowgate',
  id,
  title: 'Clip-on window feeder, clear',
  store: `Store ${id}`,
  price: 120_000,
  delivery: 0,
  currency: 'EUR',
  units: 4,
  ...some,
})

/** For tests: an offer of the same at 3.00 EUR, brought for nothing. */
export const offer = (id: string, some: RowRecord = {}): RowRecord => ({
  supplier: 'Sill Mill',
  id,
  title: 'Window feeder clip-on clear',
  tiers: '1:30000',
  price: 30_000,
  currency: 'EUR',
  minOrder: 1,
  delivery: 0,
  ...some,
})

/** For tests: a tenth of the price on either market, and what a pound is worth. */
export const testRules: SellerRules = {
  ...plainRules('EUR'),
  rates: [{ from: 'GBP', to: 'EUR', rate: 1.25, day: '2026-05-01' }],
  schedules: ['Marrowgate', 'Gavelhop'].map((market) => ({
    market,
    currency: 'EUR',
    validFrom: '2026-01-01',
    lines: [feeLine({ id: 'sale', ratio: 0.1 })],
  })),
}

export async function makerOf(
  captures: Capture[],
  some: Partial<Corrections> = {},
  rules = testRules,
): Promise<ItemMaker> {
  const corrections = { ...noCorrections, ...some }
  return new ItemMaker(await buildCatalog(captures, {}, corrections), rules, corrections)
}

/** For tests: the key of the item that holds a listing. */
export function keyOf(maker: ItemMaker, id: string, market = 'Marrowgate'): string {
  for (let place = 0; place < maker.count; place++) {
    const { key, listings } = maker.at(place)
    if (listings.some((l) => l.id === id && l.market === market)) return key
  }
  throw new Error(`no item of ${id}`)
}
