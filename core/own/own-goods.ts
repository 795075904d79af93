import { toHome, type SellerRules } from '../catalog'
import { titleSignature } from '../goods'
import type { Capture } from '../records'
import { rowReader } from '../tables'

/** One thing that the seller sells. Money in E4 of the home currency. */
export interface OwnGoods {
  /** what tells it from the others: its number in the seller's own books, on the market it is sold on where that is said */
  key: string
  sku: string
  title: string
  gtin: string | null
  /** key of its own listing on a market; null where none is named */
  listing: string | null
  priceE4: number | null
  costE4: number | null
  /** pieces in what is sold, by its title */
  pack: number
  capturedOn: number
}

/** Everything the seller's catalogues name; a later one says anew what it speaks of. */
export function mergeOwn(
  captures: readonly Capture[],
  rules: Pick<SellerRules, 'homeCurrency' | 'rates'>,
): readonly OwnGoods[] {
  const byKey = new Map<string, OwnGoods>()
  for (const { kind, table, capturedOn } of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (kind !== 'catalogue') continue
    const { text, number } = rowReader(table)
    for (let row = 0; row < table.rows; row++) {
      const [sku, title, market, id] = ['sku', 'title', 'market', 'id'].map((name) => text(name, row))
      const gtin = text('gtin', row)
      if (sku == null || (title == null && gtin === null)) continue
      const home = toHome(text('currency', row), rules)
      const key = market == null ? sku : `${market}/${sku}`
      byKey.set(key, {
        key,
        sku,
        title: title ?? '',
        gtin,
        listing: market == null || id == null ? null : `${market}/${id}`,
        priceE4: home(number('price', row)),
        costE4: home(number('cost', row)),
        pack: titleSignature(title ?? '').pack,
        capturedOn,
      })
    }
  }
  return [...byKey.values()]
}
