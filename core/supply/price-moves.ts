import type { Capture } from '../records'
import { tierPrice, tiersFromText } from '../notation'
import { rowReader } from '../tables'

/** The price of one pack of an offer, as two captures of it say. Money in the offer's own currency. */
export interface PriceMove {
  id: string
  title: string
  currency: string | null
  beforeE4: number
  nowE4: number
  /** days of the captures, since 1970 */
  beforeOn: number
  nowOn: number
}

/** How the prices of a supplier moved from one capture to the next. */
export interface PriceMoves {
  /** its offers that two captures speak of, in one currency */
  compared: number
  dearer: number
  cheaper: number
  /** the newest move of each offer that ever moved, the largest first */
  moves: PriceMove[]
  /** offers that its newest capture does not name any more */
  gone: number
}

interface Seen {
  title: string
  currency: string | null
  priceE4: number
  on: number
}

/**
 * What changed between captures of a supplier's offers, at one pack. A price in another currency than before is no move. An offer that the
 * newest file leaves out counts as gone only where that file names others of the supplier.
 */
export function priceMoves(captures: readonly Capture[], supplier: string): PriceMoves {
  const last = new Map<string, Seen>()
  const moves = new Map<string, PriceMove>()
  const compared = new Set<string>()
  let newest = 0
  for (const { kind, table, capturedOn } of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (kind !== 'offers') continue
    const { text } = rowReader(table)
    for (let row = 0; row < table.rows; row++) {
      const [id, tiers] = [text('id', row), text('tiers', row)]
      if (text('supplier', row) !== supplier || id === null || tiers === null) continue
      const priceE4 = tierPrice(tiersFromText(tiers), 1)
      if (priceE4 === null) continue
      const now: Seen = { title: text('title', row) ?? '', currency: text('currency', row), priceE4, on: capturedOn }
      const before = last.get(id)
      newest = capturedOn
      last.set(id, now)
      if (!before || before.currency !== now.currency || before.on === now.on) continue
      compared.add(id)
      if (before.priceE4 !== now.priceE4) moves.set(id, moveOf(id, before, now))
    }
  }
  const all = [...moves.values()].sort((a, b) => shareOf(b) - shareOf(a))
  return {
    compared: compared.size,
    dearer: all.filter((m) => m.nowE4 > m.beforeE4).length,
    cheaper: all.filter((m) => m.nowE4 < m.beforeE4).length,
    moves: all,
    gone: [...last.values()].filter((s) => s.on < newest).length,
  }
}

const moveOf = (id: string, before: Seen, now: Seen): PriceMove => ({
  id,
  title: now.title,
  currency: now.currency,
  beforeE4: before.priceE4,
  nowE4: now.priceE4,
  beforeOn: before.on,
  nowOn: now.on,
})

const shareOf = ({ beforeE4, nowE4 }: PriceMove) => Math.abs(Math.log(Math.max(1, nowE4) / Math.max(1, beforeE4)))
