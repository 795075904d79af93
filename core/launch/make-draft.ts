import { costOf, lowestOn, type Corrections, type Item, type SellerRules } from '../catalog'
import { rulePrice, solvePrice, type RulePrice } from '../margin'
import { findRate, minorUnitE4 } from '../money'
import { listingLimits, type Draft } from './draft'
import { draftProfit } from './draft-profit'
import { suggestTags, suggestTitle } from './suggest-words'

/** What the price rule asks for an item on a market, in the home currency. */
export function ruledPrice(item: Item, market: string, rules: SellerRules, corrections: Corrections): RulePrice {
  const { inputs } = costOf(item, market, rules, corrections)
  const earning = solvePrice(inputs, { profitE4: rules.minProfitE4 }).ranges
  const lowest = lowestOn(item, market)
  return rulePrice({ stepE4: rules.stepE4, earning, ceilingE4: null }, lowest === null ? [] : [lowest])
}

export interface DraftOptions {
  market: string
  rules: SellerRules
  corrections: Corrections
  /** a price set by hand, E4 of the home currency; null lets the rule say */
  setPriceE4: number | null
  id: string
}

/**
 * A draft of an item for a market: words that sell, the price set by hand or by rule, what it then earns. The price is in the
 * market's currency, rounded up to its minor unit so that it never falls below the floor. Without any price to go by it
 * stands at 0, which is a fault that the draft shows.
 */
export function makeDraft(item: Item, { market, rules, corrections, setPriceE4, id }: DraftOptions): Draft {
  const home = rules.homeCurrency
  const homePrice = setPriceE4 ?? ruledPrice(item, market, rules, corrections).priceE4 ?? lowestOn(item, market) ?? 0
  const currency = marketCurrency(item, market, rules)
  const rate = findRate(home, currency, rules.rates)?.rate ?? 1
  const unit = minorUnitE4(currency)
  const priceE4 = Math.ceil((homePrice * rate) / unit - 1e-6) * unit
  const here = item.listings.filter((l) => l.market === market)
  return {
    id,
    item: item.key,
    market,
    title: suggestTitle(here.length > 0 ? here : item.listings, listingLimits.title),
    description: describe(item),
    tags: suggestTags(item.listings, listingLimits.tags, listingLimits.tagLength),
    category: item.category ?? '',
    gtin: item.gtin ?? '',
    picture: item.picture ?? '',
    priceE4,
    priceBy: 'margin',
    currency,
    quantity: item.kind === 'digital' ? 999 : 5,
    handlingDays: item.kind === 'digital' ? 0 : Math.max(1, Math.min(item.offer?.offer.leadDays ?? 2, 30)),
    ...draftProfit({ priceE4, currency, market }, item, { rules, corrections }),
  }
}

/** The currency in which listings of the item on a market are priced; the home currency where it is not known or has no rate. */
function marketCurrency(item: Item, market: string, rules: SellerRules): string {
  const stated = item.listings.find((l) => l.market === market && l.original)?.original?.currency
  return stated !== undefined && findRate(rules.homeCurrency, stated, rules.rates) ? stated : rules.homeCurrency
}

/** Plain facts to start a description from; a seller's own words come after. */
function describe(item: Item): string {
  const facts = [
    item.title
      .split(',')
      .map((part) => part.trim())
      .join(', '),
  ]
  if (item.pack > 1 && item.packFrom === 'set by you') facts.push(`Pack of ${item.pack}.`)
  if (item.kind === 'digital') facts.push('A file to download and print; nothing is posted.')
  else if (item.offer?.offer.leadDays) facts.push(`Posted within ${Math.min(item.offer.offer.leadDays, 30)} days.`)
  return facts.join('\n')
}
