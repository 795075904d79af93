import { tierPrice } from '../notation'
import { roundOnce } from '../money'
import { Problem } from '../problem'
import { costNames, costParts } from './cost-parts'
import { checkInputs, type CostInputs } from './cost-inputs'
import { feeAmount } from './fee-line'
import { saleBases } from './sale-bases'

export type LineGroup = 'revenue' | 'tax' | 'goods' | 'fees' | 'delivery' | 'selling' | 'returns'

/** One line of the sheet: what it adds to (+) or takes from (−) the profit of a sale; null where it is not known. */
export interface CostLine {
  id: string
  label: string
  group: LineGroup
  amountE4: number | null
}

export interface CostSheet {
  currency: string
  priceE4: number
  lines: CostLine[]
  /** price and postage after discount, without tax */
  netRevenueE4: number
  /** goods, their way here, duty and import tax that is not given back */
  landedE4: number | null
  /** laid out before the sale: landed cost, import tax, packing, storage, advertising, listing fees */
  outlayE4: number | null
  profitE4: number | null
  /** profit / net revenue */
  margin: number | null
  returnOnOutlay: number | null
  /** profit / landed cost */
  markUp: number | null
  /** lines whose amount is not known; profit is then null, not a guess */
  unknown: string[]
}

/**
 * What one sale at a price earns after every cost. Each line is worked out from what the others are before they are rounded, and rounded once
 * to the minor unit, half away from zero; the totals are sums of the lines, so the sheet always adds up.
 *
 * @throws Problem 'input-invalid'
 */
export function costSheet(inputs: CostInputs, priceE4: number): CostSheet {
  checkInputs(inputs)
  if (!(priceE4 >= 0 && priceE4 < Infinity))
    throw new Problem('input-invalid', { name: 'price', want: '0 or more', got: priceE4 })
  const lines: CostLine[] = []
  const sums = workOut(inputs, priceE4, true, (line) => lines.push(line))
  const unknown = lines.filter((l) => l.amountE4 === null).map((l) => l.label)
  return {
    currency: inputs.currency,
    priceE4,
    lines: lines.filter((l) => l.amountE4 !== 0 || ['price', 'goods'].includes(l.id)),
    ...sums,
    margin: ratioOf(sums.profitE4, sums.netRevenueE4),
    returnOnOutlay: ratioOf(sums.profitE4, sums.outlayE4),
    markUp: ratioOf(sums.profitE4, sums.landedE4),
    unknown,
  }
}

/** What the goods of one sale cost landed, whatever they sell for; null where it is not known. */
export function landedCost(inputs: CostInputs): number | null {
  const put: Put = (_, __, ___, e4) => rounded(e4, inputs.currency)
  return goodsLines(inputs, put, true).landed
}

/** How often one amount holds another; null where either is not known, or the other is nothing. */
export function ratioOf(e4: number | null, ofE4: number | null): number | null {
  return e4 === null || ofE4 === null || ofE4 <= 0 ? null : e4 / ofE4
}

export interface Sums {
  netRevenueE4: number
  landedE4: number | null
  outlayE4: number | null
  profitE4: number | null
}

const labels = Object.fromEntries(costNames.map((name) => [name, costParts[name].label])) as Record<
  keyof CostInputs,
  string
>

/** Puts a line on the sheet. @returns its amount as the sheet has it */
type Put = <A extends number | null>(id: string, label: string, group: LineGroup, amountE4: A) => A

/** The kernel: clean input, no checks. With `exact` false no line is rounded, which makes the profit piecewise linear. */
export function workOut(
  inputs: CostInputs,
  priceE4: number,
  exact: boolean,
  emit: ((line: CostLine) => void) | null = null,
): Sums {
  const { currency } = inputs
  let profit: number | null = 0
  const put: Put = (id, label, group, amount) => {
    const amountE4 = exact ? rounded(amount, currency) : amount
    profit = profit === null || amountE4 === null ? null : profit + amountE4
    emit?.({ id, label, group, amountE4 })
    return amountE4
  }
  const cost = (id: string, label: string, group: LineGroup, amount: number) =>
    0 - put<number>(id, label, group, 0 - amount)

  const discount = priceE4 * inputs.discountRatio
  const paid = priceE4 - discount
  const gross = paid + inputs.postageChargedE4
  const bases = saleBases(inputs, paid)
  const inPrice = (taxE4: number) => (inputs.pricesIncludeTax ? taxE4 : 0)
  const tax = inPrice(bases.taxE4)
  put('price', 'Price', 'revenue', priceE4)
  put('postageCharged', labels.postageChargedE4, 'revenue', inputs.postageChargedE4)
  const givenAway = cost('discount', labels.discountRatio, 'revenue', discount)
  const taxed = cost('tax', 'Tax in the price', 'tax', tax)

  const goods = goodsLines(inputs, put, exact)
  let refundable = 0
  let listingFees = 0
  for (const fee of inputs.fees) {
    const amount = feeAmount(fee, bases)
    const borne = cost(`fee:${fee.id}`, fee.label, 'fees', amount)
    if (fee.kind === 'listing') listingFees += borne
    else refundable += amount
  }
  cost('postageOut', labels.postageOutE4, 'delivery', inputs.postageOutE4)
  const packing = cost('packing', labels.packingE4, 'delivery', inputs.packingE4)
  cost('fulfilment', labels.fulfilmentE4, 'delivery', inputs.fulfilmentE4)
  const storage = cost('storage', labels.storagePerMonthE4, 'delivery', inputs.storagePerMonthE4 * inputs.storageMonths)
  const advertising = cost('advertising', labels.advertisingE4, 'selling', inputs.advertisingE4)
  const commissioned = paid - inPrice(bases.priceTaxE4)
  cost('commission', labels.commissionRatio, 'selling', commissioned * inputs.commissionRatio)
  const perReturn =
    goods.exact === null && inputs.returnRatio > 0 && inputs.recoveredRatio > 0
      ? null
      : gross -
        tax +
        inputs.costPerReturnE4 -
        (goods.exact ?? 0) * inputs.recoveredRatio -
        refundable * inputs.feesRefundedRatio
  put('returns', labels.returnRatio, 'returns', perReturn === null ? null : 0 - perReturn * inputs.returnRatio)
  const laidOut = plus(goods.landed, goods.taxGivenBack)
  const outlay = laidOut === null ? null : laidOut + packing + storage + advertising + listingFees
  const net = priceE4 - givenAway + inputs.postageChargedE4 - taxed
  return { netRevenueE4: net, landedE4: goods.landed, outlayE4: outlay, profitE4: profit }
}

interface Goods {
  /** landed cost, the sum of its lines; null where the price is not known */
  landed: number | null
  /** the same before any line was rounded */
  exact: number | null
  taxGivenBack: number | null
}

function goodsLines(inputs: CostInputs, put: Put, exact: boolean): Goods {
  const { tiers, packSold, packBought, orderQuantity } = inputs
  const pieces = packSold / packBought
  const free = tiers !== null && tiers.length === 0
  const unit = tiers === null ? null : (tierPrice(tiers, orderQuantity) ?? 0)
  const goods = unit === null ? null : (unit * packSold) / packBought
  const delivery = free ? 0 : (inputs.supplierDeliveryE4 * packSold) / (packBought * orderQuantity)
  const freight = free ? 0 : (inputs.inboundFreightE4 + inputs.freightPerKgE4 * inputs.chargedKg) * pieces
  const before = goods === null ? null : goods + delivery + freight
  const duty = share(before, inputs.dutyRatio)
  const importTax = share(plus(before, duty), inputs.importTaxRatio)
  const borne = inputs.importTaxRecoverable ? 0 : importTax
  const lines = [
    put('goods', labels.tiers, 'goods', minus(goods)),
    put('supplierDelivery', labels.supplierDeliveryE4, 'goods', minus(delivery)),
    put('freight', labels.inboundFreightE4, 'goods', minus(freight)),
    put('duty', labels.dutyRatio, 'goods', minus(duty)),
    put('importTax', labels.importTaxRatio, 'goods', minus(borne)),
  ]
  const given = plus(importTax, minus(borne))
  return {
    landed: minus(lines.reduce(plus)),
    exact: plus(plus(before, duty), borne),
    taxGivenBack: exact ? rounded(given, inputs.currency) : given,
  }
}

const rounded = <A extends number | null>(e4: A, currency: string) => (e4 === null ? e4 : roundOnce(e4, currency)) as A

/** Of what is not known no share is known, but none of it is nothing. */
const share = (e4: number | null, ratio: number) => (ratio === 0 ? 0 : e4 === null ? null : e4 * ratio)

const plus = (a: number | null, b: number | null) => (a === null || b === null ? null : a + b)

/** Nothing is 0, never −0, which would stand on a screen with its sign. */
function minus(e4: number | null): number | null {
  return e4 === null ? null : 0 - e4
}
