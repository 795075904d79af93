import { rowReader, type Table } from '../tables'

/** One store's offer of an item that several sell, as a market shows it. Money in E4 of `currency`. */
export interface CompetingOffer {
  market: string
  /** the market's number of the item */
  id: string
  gtin: string | null
  store: string
  priceE4: number
  currency: string | null
  deliveryE4: number | null
  /** share of time that the market shows it first, 0–1 */
  featured: number | null
  feedback30: number | null
  feedback90: number | null
  feedback365: number | null
  rating: number | null
  /** when it stood, days since 1970 */
  seenOn: number
}

interface CompetingCapture {
  kind: string
  capturedOn: number
  table: Table
}

/** Competing offers of all captures, the newest of each store on each item. Captures come oldest first. */
export function mergeCompeting(captures: readonly CompetingCapture[]): CompetingOffer[] {
  const offers = new Map<string, CompetingOffer>()
  for (const { kind, capturedOn, table } of captures) {
    if (kind !== 'competing') continue
    const { text, number } = rowReader(table)
    for (let row = 0; row < table.rows; row++) {
      const t = (name: string) => text(name, row)
      const n = (name: string) => number(name, row)
      const [market, id, store, priceE4] = [t('market') ?? '?', t('id') ?? '?', t('store'), n('price')]
      if (store === null || priceE4 === null) continue
      const seenOn = n('day') ?? capturedOn
      const key = `${market}\n${id}\n${store}`
      if ((offers.get(key)?.seenOn ?? -Infinity) > seenOn) continue
      offers.set(key, {
        market,
        id,
        store,
        priceE4,
        seenOn,
        gtin: t('gtin'),
        currency: t('currency'),
        deliveryE4: n('delivery'),
        featured: n('featured'),
        feedback30: n('feedback30'),
        feedback90: n('feedback90'),
        feedback365: n('feedback365'),
        rating: n('rating'),
      })
    }
  }
  return [...offers.values()]
}

/**
 * Whether a store is really selling, by the feedback it was left: none in 30 days is 'quiet', none in 90 'inactive' (a seller without
 * recent feedback is not selling regularly: common practice, no source); null where its feedback is not known.
 */
export function activityOf({ feedback30, feedback90 }: Pick<CompetingOffer, 'feedback30' | 'feedback90'>) {
  if (feedback30 === null && feedback90 === null) return null
  if ((feedback30 ?? 0) > 0) return 'selling' as const
  return feedback90 === 0 ? ('inactive' as const) : ('quiet' as const)
}
