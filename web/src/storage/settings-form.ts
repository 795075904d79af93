import { mostStrips, usualStrips } from '@sickle/core/engine'
import type { DecimalMark } from '@sickle/core/money'
import { clipRules, clipRulesSchema, type ClipRules } from '@sickle/core/social'
import { dearFromE4 } from '@sickle/core/supply'
import { sellerKinds, type SellerKind } from '@sickle/core/verdict'
import { listOf, moneyE4, oneOf, record, span, text, truth } from '@sickle/core/schema'

/** Columns of the finds where the seller chose no others. */
export const usualColumns: readonly string[] = ['price', 'units', 'trend', 'sold', 'room', 'landed', 'profit', 'worth']

export type ThemeChoice = 'light' | 'dark'

/** Small choices. */
export interface Settings {
  theme: ThemeChoice
  /** how the seller writes numbers */
  decimal: DecimalMark
  sideFolded: boolean
  /** margin that is told beside those that always are; no figure of an item rests on it */
  wantedMargin: number
  /** money in a first order from which a sample should be looked at first, E4 of the home currency */
  dearFromE4: number
  /** what is counted of making a clip */
  clips: ClipRules
  /** whether ads are given a score */
  adScore: boolean
  /** how the seller sells, and whether what is kept has to be judged by eye first */
  seller: SellerKind
  judgeFirst: boolean
  /** whether pictures of listed hosts are fetched */
  pictures: boolean
  /** measures that have a strip above the finds, and columns of the finds, in order */
  strips: string[]
  columns: string[]
}

export const usualSettings = (): Settings => ({
  theme: 'light',
  decimal: '.',
  sideFolded: false,
  wantedMargin: 0.25,
  dearFromE4,
  clips: clipRules,
  adScore: false,
  seller: 'dropshipped',
  judgeFirst: false,
  pictures: false,
  strips: [...usualStrips],
  columns: [...usualColumns],
})

export const settingsSchema = record({
  theme: oneOf('light', 'dark'),
  decimal: oneOf('.', ','),
  sideFolded: truth(),
  wantedMargin: span(0, 0.99),
  dearFromE4: moneyE4(),
  clips: clipRulesSchema,
  adScore: truth(),
  seller: oneOf(...sellerKinds),
  judgeFirst: truth(),
  pictures: truth(),
  strips: listOf(text(60), mostStrips),
  columns: listOf(text(60), 100).min(1, 'must name a column'),
})

/** Settings as they rest: what an earlier version did not know stands as usual, and what a later one no longer asks is left out. */
export function settingsNow(stored: unknown): unknown {
  if (typeof stored !== 'object' || stored === null || Array.isArray(stored)) return stored
  const usual = usualSettings()
  const kept = stored as Record<string, unknown>
  return Object.fromEntries(Object.entries(usual).map(([name, value]) => [name, kept[name] ?? value]))
}
