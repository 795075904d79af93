import { toHome, type SellerRules } from '../catalog'
import type { Capture } from '../records'
import { numberAt, numberIn, numbers, textAt, textColumn, textIn } from '../tables'
import type { StorePlaces } from './store-places'

/** What lists of stores say of one store: of each figure the newest that is known. Amounts in E4 of the home currency. */
export interface StatedStore {
  units: number | null
  /** length of the window that `units` were counted in, days */
  windowDays: number
  unitsTotal: number | null
  revenueE4: number | null
  averagePriceE4: number | null
  listings: number | null
  soldShare: number | null
  feedback: number | null
  /** share of the feedback that is good */
  positive: number | null
  rating: number | null
  /** day it opened */
  since: number | null
  country: string | null
  url: string | null
  /** day of the newest list that names it */
  capturedOn: number
}

const figureNames = ['unitsTotal', 'listings', 'soldShare', 'feedback', 'positive', 'rating', 'since'] as const

/** What the lists say, by the number of the store. A later list says what it knows; what it leaves out stays as it was. */
export function statedStores(
  places: StorePlaces,
  lists: readonly Capture[],
  rules: Pick<SellerRules, 'homeCurrency' | 'rates'>,
): Map<number, StatedStore> {
  const stated = new Map<number, StatedStore>()
  for (const list of [...lists].sort((a, b) => a.capturedOn - b.capturedOn)) takeList(list, places, rules, stated)
  return stated
}

function takeList(
  { table, capturedOn, windowDays }: Capture,
  places: StorePlaces,
  rules: Pick<SellerRules, 'homeCurrency' | 'rates'>,
  stated: Map<number, StatedStore>,
): void {
  const text = (name: string, row: number) => textIn(table, name, row)
  const figure = (name: string, row: number) => numberIn(table, name, row)
  for (let row = 0; row < table.rows; row++) {
    const store = places.find(text('market', row) ?? '?', text('store', row) ?? '')
    if (store === undefined) continue
    const before = stated.get(store)
    const home = toHome(text('currency', row), rules)
    const units = figure('units', row)
    const now: StatedStore = {
      ...(Object.fromEntries(figureNames.map((name) => [name, figure(name, row) ?? before?.[name] ?? null])) as Pick<
        StatedStore,
        (typeof figureNames)[number]
      >),
      units: units ?? before?.units ?? null,
      windowDays: units === null ? (before?.windowDays ?? windowDays) : windowDays,
      revenueE4: home(figure('revenue', row)) ?? before?.revenueE4 ?? null,
      averagePriceE4: home(figure('averagePrice', row)) ?? before?.averagePriceE4 ?? null,
      country: text('country', row) ?? before?.country ?? null,
      url: text('url', row) ?? before?.url ?? null,
      capturedOn,
    }
    stated.set(store, now)
  }
}

/** What lists say of the feedback a store had altogether, oldest first. Of one day the last counts. */
export function feedbackLooks(
  lists: readonly Capture[],
  { market, name }: { market: string; name: string },
): { day: number; feedback: number }[] {
  const looks = new Map<number, number>()
  for (const { table, capturedOn } of lists) {
    const [markets, stores, feedback] = [
      textColumn(table, 'market'),
      textColumn(table, 'store'),
      numbers(table, 'feedback'),
    ]
    for (let row = 0; row < table.rows; row++) {
      const count = numberAt(feedback, row)
      if (count !== null && textAt(stores, row) === name && (textAt(markets, row) ?? '?') === market)
        looks.set(capturedOn, count)
    }
  }
  return [...looks].map(([day, count]) => ({ day, feedback: count })).sort((a, b) => a.day - b.day)
}
