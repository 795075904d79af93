import { areFeesAssumed, costOf, type Corrections, type Item, type SellerRules } from '../catalog'
import { costSheet } from '../margin'
import { convert, findRate } from '../money'
import type { Draft } from './draft'
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
    const { priceE4, currency, profitE4, profitCurrency, margin, feesAssumed } = fresh
    return { ...draft, priceE4, currency, profitE4, profitCurrency, margin, feesAssumed }
  }
  const profitCurrency = rules.homeCurrency
  const feesAssumed = areFeesAssumed(rules, market)
  if (!findRate(draft.currency, profitCurrency, rules.rates))
    return { ...draft, profitE4: null, margin: null, profitCurrency, feesAssumed }
  const { e4 } = convert({ e4: draft.priceE4, currency: draft.currency }, profitCurrency, rules.rates)
  const { profitE4, margin } = costSheet(costOf(item, market, rules, corrections).inputs, e4)
  return { ...draft, profitE4, margin, profitCurrency, feesAssumed }
}
