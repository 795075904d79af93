import { findPackCount } from '../goods'
import { boxOf, tiersFromText, type Box, type Tier } from '../notation'
import type { Capture } from '../records'
import { rowReader } from '../tables'

/** A supplier's offer, latest import of each. Money in its own currency. */
export interface Offer {
  key: string
  supplier: string
  id: string
  title: string
  tiers: Tier[]
  currency: string | null
  minOrder: number
  deliveryE4: number | null
  /** days until it arrives, at the latest, and at the soonest where a range is stated */
  leadDays: number | null
  leadDaysLeast: number | null
  shipsFrom: string | null
  stock: number | null
  orders: number | null
  rating: number | null
  /** reviews of the best grade */
  goodReviews: number | null
  /** day since which the supplier trades */
  since: number | null
  /** price of one piece to look at, in its own currency */
  sampleE4: number | null
  /** of one pack as it is sent: grams, and three lengths in centimetres */
  weightG: number | null
  box: Box | null
  /** of a blank: where it can be printed, and what each print costs on top of it, in its own currency */
  printAreas: string[]
  printE4: number | null
  gtin: string | null
  brand: string | null
  picture: string | null
  category: string | null
  /** pieces in one pack as read from the title, and the words that say so; null: taken as one */
  packFrom: string | null
  pack: number
  capturedOn: number
}

const boxRead = (text: string | null) => (text === null ? null : boxOf(text, { decimal: '.', group: '' }, null))

export function offerKey(supplier: string | null, id: string | null): string {
  return `offer:${supplier ?? '?'}/${id ?? '?'}`
}

/** Is it something that is printed to order? */
export const isBlank = ({ printAreas, printE4 }: Pick<Offer, 'printAreas' | 'printE4'>): boolean =>
  printAreas.length > 0 || printE4 !== null

/** All offers of all captures; a later import replaces an earlier one of the same offer. */
export function mergeOffers(captures: readonly Capture[]): Offer[] {
  const byKey = new Map<string, Offer>()
  for (const capture of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (capture.kind !== 'offers') continue
    const read = rowReader(capture.table)
    for (let row = 0; row < capture.table.rows; row++) {
      const [supplier, id] = [read.text('supplier', row) ?? '?', read.text('id', row) ?? '?']
      const title = read.text('title', row) ?? ''
      const tiers = read.text('tiers', row)
      const pack = findPackCount(title)
      byKey.set(offerKey(supplier, id), {
        key: offerKey(supplier, id),
        supplier,
        id,
        title,
        tiers: tiers === null ? [] : tiersFromText(tiers),
        currency: read.text('currency', row),
        minOrder: read.number('minOrder', row) ?? 1,
        deliveryE4: read.number('delivery', row),
        leadDays: read.number('leadDays', row),
        leadDaysLeast: read.number('leadDaysLeast', row),
        weightG: read.number('weight', row),
        box: boxRead(read.text('size', row)),
        shipsFrom: read.text('shipsFrom', row),
        stock: read.number('stock', row),
        orders: read.number('orders', row),
        rating: read.number('rating', row),
        goodReviews: read.number('goodReviews', row),
        since: read.number('since', row),
        sampleE4: read.number('sample', row),
        printAreas: read.text('printAreas', row)?.split('|') ?? [],
        printE4: read.number('printing', row),
        gtin: read.text('gtin', row),
        brand: read.text('brand', row),
        picture: read.text('picture', row),
        category: read.text('category', row),
        packFrom: pack?.from ?? null,
        pack: pack?.count ?? 1,
        capturedOn: capture.capturedOn,
      })
    }
  }
  return [...byKey.values()].filter((o) => o.tiers.length > 0)
}
