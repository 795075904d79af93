import type { OfferMatch } from '../supply'
import type { ItemMaker } from './item-maker'

/** A supplier that may have an item, by the offer of it that is most alike. */
export interface SupplierFor {
  supplier: string
  /** key and number of that offer */
  offer: string
  number: string
  verdict: OfferMatch['verdict']
}

/** An item that quotes may be asked for. */
export interface ItemToAsk {
  key: string
  title: string
  /** each supplier once, the surest first */
  suppliers: SupplierFor[]
}

/** Who may have some items; what was judged to be no such thing is left out. Keys that no item has any more are passed over. */
export function suppliersFor(maker: ItemMaker, keys: readonly string[]): ItemToAsk[] {
  return keys.flatMap((key): ItemToAsk[] => {
    const place = maker.find(key)
    if (place === null) return []
    const { title, offers } = maker.at(place)
    const bySupplier = new Map<string, SupplierFor>()
    for (const { offer, verdict, judged } of offers) {
      if (judged === 'no' || bySupplier.has(offer.supplier)) continue
      bySupplier.set(offer.supplier, { supplier: offer.supplier, offer: offer.key, number: offer.id, verdict })
    }
    return [{ key, title, suppliers: [...bySupplier.values()] }]
  })
}
