import { writeCsv } from '@sickle/core/notation'
import { isoDay } from '@sickle/core/identity'
import { packByAnswer, type Offer, type Quote } from '@sickle/core/supply'
import { useBringText } from '@/shared/stores/bring-text'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'

/** Fields of an offer that a quote fills, and what stands in them as a file would write it. */
const fields = {
  supplier: (o: Offer) => o.supplier,
  id: (o: Offer) => o.id,
  title: (o: Offer) => o.title,
  tiers: (o: Offer) => o.tiers.map((t) => `${t.from}:${plainE4(t.priceE4)}`).join('; '),
  currency: (o: Offer) => o.currency,
  minOrder: (o: Offer) => o.minOrder,
  delivery: (o: Offer) => orNone(o.deliveryE4, plainE4),
  leadDays: (o: Offer) => orNone(o.leadDays, String),
  shipsFrom: (o: Offer) => o.shipsFrom,
  stock: (o: Offer) => o.stock,
  orders: (o: Offer) => o.orders,
  rating: (o: Offer) => orNone(o.rating, String),
  goodReviews: (o: Offer) => o.goodReviews,
  since: (o: Offer) => orNone(o.since, isoDay),
  sample: (o: Offer) => orNone(o.sampleE4, plainE4),
  printAreas: (o: Offer) => (o.printAreas.length === 0 ? null : o.printAreas.join('|')),
  printing: (o: Offer) => orNone(o.printE4, plainE4),
  gtin: (o: Offer) => o.gtin,
  brand: (o: Offer) => o.brand,
  category: (o: Offer) => o.category,
  weight: (o: Offer) => orNone(o.weightG, (g) => `${g} g`),
  size: (o: Offer) => (o.box === null ? null : `${o.box.join(' x ')} cm`),
} as const

const plainE4 = (e4: number) => (e4 / 1e4).toFixed(4)
const orNone = (n: number | null, say: (n: number) => string) => (n === null ? null : say(n))

/** An offer as a file of one row. */
export function offerCsv(offer: Offer): { fields: string[]; csv: string } {
  const names = Object.keys(fields) as (keyof typeof fields)[]
  return { fields: names, csv: writeCsv([names, names.map((name) => fields[name](offer))]) }
}

/** Brings an answered quote in as an offer, says that it is the item's goods, and reckons with it from now on. */
export function useQuoteAsOffer() {
  const bring = useBringText()
  const rules = useRules()
  const workspace = useWorkspace()
  return async (quote: Quote, offer: Offer | null): Promise<void> => {
    if (offer === null) return
    await bring({
      name: `Quote of ${offer.supplier}`,
      kind: 'offers',
      ...offerCsv(offer),
      job: `Quote of ${offer.supplier}`,
      taken: () => 'its offer is in',
    })
    if (offer.packFrom === packByAnswer) await rules.setPack(offer.key, offer.pack)
    await rules.judge(quote.item, offer.key, 'same')
    await rules.setOffer(quote.item, offer.key)
    await workspace.follow()
  }
}
