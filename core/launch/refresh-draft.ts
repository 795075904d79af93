import type { Corrections, Item, SellerRules } from '../catalog'
import type { Draft } from './draft'
import { draftProfit } from './draft-profit'
import { makeDraft } from './make-draft'

export interface RefreshOptions {
  rules: SellerRules
  corrections: Corrections
  /** the price set in Margin for this item and market, E4 of the home currency; null lets the rule say */
  setPriceE4: number | null
}

/**
 * A draft as costs, fees, rates and rivals are now: a price that Margin says follows them, one that was typed stays, and what it earns
 * follows in either case. The words are the seller's. Without its item a draft stands as it was.
 */
export function refreshDraft(
  draft: Draft,
  item: Item | null,
  { rules, corrections, setPriceE4 }: RefreshOptions,
): Draft {
  if (!item) return draft
  const { market, id, priceBy } = draft
  if (priceBy === 'margin') {
    const fresh = makeDraft(item, { market, rules, corrections, setPriceE4, id })
    const { priceE4, currency, profitE4, profitCurrency, margin, assumed } = fresh
    return { ...draft, priceE4, currency, profitE4, profitCurrency, margin, assumed }
  }
  return { ...draft, ...draftProfit(draft, item, { rules, corrections }) }
}
