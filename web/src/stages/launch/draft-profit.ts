import { costOf, type Corrections, type Item, type SellerRules } from '@sickle/core/catalog'
import { costSheet } from '@sickle/core/margin'
import { convert } from '@sickle/core/money'

/** What a draft's price earns, the price being in its market's currency. */
export function profitAt(
  item: Item,
  market: string,
  priceE4: number,
  currency: string,
  rules: SellerRules,
  corrections: Corrections,
) {
  const home = convert({ e4: priceE4, currency }, rules.homeCurrency, rules.rates)
  const { profitE4, margin } = costSheet(costOf(item, market, rules, corrections).inputs, home.e4)
  return { profitE4, margin }
}
