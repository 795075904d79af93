import { buildCatalog, plainRules, type SellerRules } from '../catalog'
import type { Capture, KindName } from '../records'
import { tableOf } from '../records/table-of'
import type { RowRecord } from '../tables'
import { knownStores } from './store-list'

/** What tests of stores are made from. */
export const end = 20_604
export const euro: SellerRules = {
  ...plainRules('EUR'),
  rates: [{ from: 'GBP', to: 'EUR', rate: 1.2, day: '2026-05-31' }],
}

export const capture = (kind: KindName, rows: RowRecord[], more: Partial<Capture> = {}): Capture => ({
  id: `${kind}-${more.capturedOn ?? end}`,
  kind,
  capturedOn: end,
  windowDays: 30,
  table: tableOf(kind, rows),
  ...more,
})

/** A title and a barcode that have nothing in common with those of other goods. */
export function noLikeness(goods: number): RowRecord {
  const word = (n: number) => [...String(n)].map((d) => 'bcdfghjklm'[Number(d)] as string).join('a') + 'ote'
  return { title: `${word(goods * 7919 + 13)} ${word(goods * 104_729 + 7)} ${word(goods + 500)}` }
}

export const listing = (id: string, more: RowRecord): RowRecord => ({
  market: 'Marrowgate',
  id,
  title: `Cow bell ${id}`,
  store: 'Sill',
  price: 100_000,
  currency: 'EUR',
  units: 3,
  ...more,
})

/** Units on each of the days that end with the last one, oldest first; null is a day that nobody counted. */
export const days = (id: string, units: readonly (number | null)[], market = 'Marrowgate'): RowRecord[] =>
  units.flatMap((u, i) => (u === null ? [] : [{ market, id, day: end - units.length + 1 + i, units: u }]))

export async function knownOf(captures: Capture[], rules = euro) {
  const catalog = await buildCatalog(captures)
  const lists = captures.filter((c) => c.kind === 'stores')
  return { catalog, rules, known: knownStores(catalog, lists, rules) }
}
