import { assumptionsOf, costOf, type Corrections, type Item, type SellerRules } from '../catalog'
import { costSheet } from '../margin'
import { convert, findRate } from '../money'
import type { Draft } from './draft'

/** What a draft earns at a price: in the home currency, unknown where the price has no rate to it. */
export function draftProfit(
  { priceE4, currency, market }: Pick<Draft, 'priceE4' | 'currency' | 'market'>,
  item: Item,
  { rules, corrections }: { rules: SellerRules; corrections: Corrections },
): Pick<Draft, 'profitE4' | 'margin' | 'profitCurrency' | 'assumed'> {
  const stated = { profitCurrency: rules.homeCurrency, assumed: assumptionsOf(item, market, { rules, corrections }) }
  if (!findRate(currency, rules.homeCurrency, rules.rates)) return { profitE4: null, margin: null, ...stated }
  const { e4 } = convert({ e4: priceE4, currency }, rules.homeCurrency, rules.rates)
  const { profitE4, margin } = costSheet(costOf(item, market, rules, corrections).inputs, e4)
  return { profitE4, margin, ...stated }
}
