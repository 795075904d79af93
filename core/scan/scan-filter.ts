import { goodsKind } from '../catalog'
import type { RecordKind } from '../records'
import type { RowRecord } from '../tables'
import { noLimits, type ScanLimits } from './scan-plan'

/** The limits by name, as their counts are shown. */
export const limitLabels = {
  leastPrice: 'below the least price',
  mostPrice: 'above the highest price',
  leastUnits: 'too few units',
  leastRating: 'rated too low',
  mostRank: 'ranked too low',
  leastProfit: 'too little profit',
  without: 'excluded words',
} as const satisfies Record<keyof ScanLimits, string>
export type LimitName = keyof typeof limitLabels

/**
 * A test for records on their way in: the first limit that discards one, or null. A figure that is not known discards nothing
 * but by 'leastUnits' and 'leastRating', which ask for evidence where the kind of record can hold it.
 */
export function scanFilter(limits: ScanLimits, { fields }: RecordKind): (record: RowRecord) => LimitName | null {
  const words = limits.without.map((w) => w.trim().toLowerCase()).filter((w) => w !== '')
  const has = (name: string) => fields.some((f) => f.name === name)
  const leastUnits = has('units') ? limits.leastUnits : null
  const leastRating = has('rating') ? limits.leastRating : null
  // plans that were kept before there were these say nothing of them
  const { mostRank, leastProfit } = { ...noLimits, ...limits }
  return (record) => {
    const { price, units, rating, rank, kind, title } = record
    if (typeof price === 'number') {
      if (limits.leastPrice !== null && price < limits.leastPrice * 1e4) return 'leastPrice'
      if (limits.mostPrice !== null && price > limits.mostPrice * 1e4) return 'mostPrice'
    }
    if (leastUnits !== null && !(typeof units === 'number' && units >= leastUnits)) return 'leastUnits'
    if (leastRating !== null && !(typeof rating === 'number' && rating >= leastRating)) return 'leastRating'
    if (mostRank !== null && typeof rank === 'number' && rank > mostRank) return 'mostRank'
    if (leastProfit !== null && typeof price === 'number') {
      const from = leastProfit.from[goodsKind(typeof kind === 'string' ? kind : null)]
      if (from !== null && price < from * 1e4) return 'leastProfit'
    }
    const said = typeof title === 'string' ? title.toLowerCase() : ''
    return words.some((w) => said.includes(w)) ? 'without' : null
  }
}
