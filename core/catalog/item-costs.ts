import { assumedFees, assumedFeesWords, blankInputs, chargedKg, type CostInputs } from '../margin'
import { convert, findRate } from '../money'
import { importsFrom, type Offer } from '../supply'
import type { Item } from './item'
import type { Corrections, GoodsKind, SellerRules } from './rules'

/** What it costs to sell an item on one market, from the seller's rules, the market's fees and a supplier's offer. */
export interface ItemCost {
  inputs: CostInputs
  /** why a cost is not known or assumed, in words */
  notes: string[]
}

/** What a sale is costed from. */
export interface CostBasis {
  rules: SellerRules
  market: string
  kind: GoodsKind
  offer: Offer | null
  /** pieces in the listing sold and in the supplier's pack */
  packs: { sold: number; bought: number }
  /** areas of a blank that are printed (default 1); where its offer states no price of a print that is taken to be in its price */
  prints?: number
  /** what the user set for this item alone; counts before all else */
  own?: Partial<CostInputs>
}

/** Whether what is earned on a market rests on assumed fees. */
export function areFeesAssumed(rules: SellerRules, market: string): boolean {
  return !rules.schedules.some((s) => s.market === market)
}

/** The costs of selling an item on one of its markets. */
export function costOf(item: Item, market: string, rules: SellerRules, corrections: Corrections): ItemCost {
  const packs = { sold: item.pack, bought: item.offerPack }
  return itemCost({
    rules,
    market,
    kind: item.kind,
    offer: item.offer?.offer ?? null,
    packs,
    own: corrections.costs[item.key],
  })
}

/**
 * Cost inputs in the home currency. Without an offer the goods' cost is unknown (digital goods cost nothing); of a market
 * without a fee schedule the fees are assumed, and that is noted.
 */
export function itemCost({ own = {}, ...basis }: CostBasis): ItemCost {
  const { inputs, notes } = fromRules(basis)
  return { inputs: { ...inputs, ...own }, notes: own.tiers ? notes.filter((n) => !n.includes('offer')) : notes }
}

function fromRules({ rules, market, kind, offer, packs, prints = 1 }: Omit<CostBasis, 'own'>): ItemCost {
  const home = rules.homeCurrency
  const notes: string[] = []
  const inputs: CostInputs = { ...blankInputs(home), ...rules.costs, packSold: packs.sold, packBought: packs.bought }
  const schedule = rules.schedules.find((s) => s.market === market)
  if (schedule) {
    const rate = findRate(schedule.currency, home, rules.rates)
    if (rate) inputs.fees = schedule.lines.map((line) => scaleFee(line, rate.rate))
    else notes.push(`no rate for the fees of ${market} (${schedule.currency})`)
  } else {
    inputs.fees = [...assumedFees]
    notes.push(`no fees are entered for ${market}: assumed ○ ${assumedFeesWords}`)
  }
  if (kind === 'digital') {
    Object.assign(inputs, {
      tiers: [],
      postageOutE4: 0,
      packingE4: 0,
      fulfilmentE4: 0,
      storagePerMonthE4: 0,
      costPerReturnE4: 0,
    })
    return { inputs, notes }
  }
  if (kind === 'printed') Object.assign(inputs, { orderQuantity: 1, postageOutE4: 0, packingE4: 0, recoveredRatio: 0 })
  if (!offer) {
    notes.push('no supplier offer is known')
    return { inputs, notes }
  }
  const imports = importsFrom(rules.supply, offer.shipsFrom)
  if (imports) Object.assign(inputs, { dutyRatio: imports.dutyRatio, importTaxRatio: imports.importTaxRatio })
  inputs.orderQuantity = Math.max(inputs.orderQuantity, kind === 'printed' ? 1 : offer.minOrder)
  inputs.chargedKg = weightCharged(offer, rules) ?? 0
  if (isWeightMissing(offer, rules)) notes.push("the offer's weight is not stated, freight by weight taken as 0")
  const currency = offer.currency
  if (currency === null || !findRate(currency, home, rules.rates)) {
    notes.push(`no rate for the offer's currency (${currency ?? 'not stated'})`)
    return { inputs, notes }
  }
  const toHome = (e4: number) => Math.round(e4 * (findRate(currency, home, rules.rates)?.rate ?? 1))
  const printsE4 = kind === 'printed' ? (offer.printE4 ?? 0) * prints : 0
  inputs.tiers = offer.tiers.map((t) => ({ from: t.from, priceE4: toHome(t.priceE4 + printsE4) }))
  if (offer.deliveryE4 === null) notes.push("the offer's delivery is not stated, taken as 0")
  else inputs.supplierDeliveryE4 = convert({ e4: offer.deliveryE4, currency }, home, rules.rates).e4
  return { inputs, notes }
}

const weightCharged = (offer: Offer, rules: SellerRules) => chargedKg(offer, rules.supply.volumetricDivisor)

/** Whether freight goes by weight, and nobody says what the goods weigh. */
export const isWeightMissing = (offer: Offer, rules: SellerRules): boolean =>
  rules.costs.freightPerKgE4 > 0 && weightCharged(offer, rules) === null

function scaleFee<
  T extends { fixedE4: number; minE4: number | null; maxE4: number | null; steps: { fromE4: number; ratio: number }[] },
>(line: T, rate: number): T {
  if (rate === 1) return line
  const scale = (e4: number) => Math.round(e4 * rate)
  return {
    ...line,
    fixedE4: scale(line.fixedE4),
    minE4: line.minE4 === null ? null : scale(line.minE4),
    maxE4: line.maxE4 === null ? null : scale(line.maxE4),
    steps: line.steps.map((s) => ({ ...s, fromE4: scale(s.fromE4) })),
  }
}
