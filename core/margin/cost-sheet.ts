import { tierPrice } from '../notation'
import { divideRounded, roundToMinor, toMillionths } from '../money'
import { costNames, costParts } from './cost-parts'
import { checkInputs, type CostInputs } from './cost-inputs'
import { feeAmount, type FeeBases } from './fee-line'

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
 * What one sale at a price earns after every cost. Each line is rounded to the minor unit, half away from zero, and the
 * totals are sums of the lines, so the sheet always adds up.
 *
 * @throws Problem 'input-invalid'
 */
export function costSheet(inputs: CostInputs, priceE4: number): CostSheet {
  checkInputs(inputs)
  const lines: CostLine[] = []
  const sums = workOut(inputs, priceE4, true, (line) => lines.push(line))
  const unknown = lines.filter((l) => l.amountE4 === null).map((l) => l.label)
  return {
    currency: inputs.currency,
    priceE4,
    lines: lines.filter((l) => l.amountE4 !== 0 || ['price', 'goods'].includes(l.id)),
    ...sums,
    margin: ratio(sums.profitE4, sums.netRevenueE4),
    returnOnOutlay: ratio(sums.profitE4, sums.outlayE4),
    markUp: ratio(sums.profitE4, sums.landedE4),
    unknown,
  }
}

function ratio(a: number | null, b: number | null): number | null {
  return a === null || b === null || b <= 0 ? null : a / b
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

/** The kernel: clean input, no checks. With `exact` false nothing is rounded, which makes the profit piecewise linear. */
// eslint-disable-next-line max-lines-per-function -- a kernel: one sum, line by line in the order of the sheet
export function workOut(
  inputs: CostInputs,
  priceE4: number,
  exact: boolean,
  emit: ((line: CostLine) => void) | null = null,
): Sums {
  const round = (e4: number) => (exact ? roundToMinor(Math.round(e4), inputs.currency) : e4)
  const times = (e4: number, r: number) => round(exact ? divideRounded(e4, toMillionths(r), 1e6) : e4 * r)
  let profit: number | null = 0
  const put = (id: string, label: string, group: LineGroup, amountE4: number | null) => {
    profit = profit === null || amountE4 === null ? null : profit + amountE4
    emit?.({ id, label, group, amountE4 })
    return amountE4
  }

  const discount = times(priceE4, inputs.discountRatio)
  const paid = priceE4 - discount
  const gross = paid + inputs.postageChargedE4
  const taxOf = (e4: number) =>
    inputs.pricesIncludeTax ? round(share(e4, inputs.taxRatio, 1 + inputs.taxRatio, exact)) : 0
  const tax = taxOf(gross)
  put('price', 'Price', 'revenue', priceE4)
  put('postageCharged', labels.postageChargedE4, 'revenue', inputs.postageChargedE4)
  put('discount', labels.discountRatio, 'revenue', -discount)
  put('tax', 'Tax in the price', 'tax', -tax)
  const net = gross - tax

  const goods = goodsLines(inputs, exact, round, times, put)
  const bases: FeeBases = {
    priceE4: paid,
    postageE4: inputs.postageChargedE4,
    taxE4: tax,
    priceTaxE4: taxOf(paid),
    items: inputs.packSold,
    salesPerListing: inputs.salesPerListing,
    salesPerMonth: inputs.salesPerMonth,
  }
  if (!inputs.pricesIncludeTax) addTaxOnTop(bases, inputs, times)
  let refundable = 0
  let listingFees = 0
  for (const fee of inputs.fees) {
    const amount = round(feeAmount(fee, bases, exact))
    put(`fee:${fee.id}`, fee.label, 'fees', -amount)
    if (fee.kind === 'listing') listingFees += amount
    else refundable += amount
  }
  put('postageOut', labels.postageOutE4, 'delivery', -inputs.postageOutE4)
  put('packing', labels.packingE4, 'delivery', -inputs.packingE4)
  put('fulfilment', labels.fulfilmentE4, 'delivery', -inputs.fulfilmentE4)
  const storage = times(inputs.storagePerMonthE4, inputs.storageMonths)
  put('storage', labels.storagePerMonthE4, 'delivery', -storage)
  put('advertising', labels.advertisingE4, 'selling', -inputs.advertisingE4)
  put(
    'commission',
    labels.commissionRatio,
    'selling',
    -times(paid - bases.priceTaxE4 * (inputs.pricesIncludeTax ? 1 : 0), inputs.commissionRatio),
  )
  const perReturn =
    goods.landed === null && inputs.returnRatio > 0 && inputs.recoveredRatio > 0
      ? null
      : net +
        inputs.costPerReturnE4 -
        times(goods.landed ?? 0, inputs.recoveredRatio) -
        times(refundable, inputs.feesRefundedRatio)
  put('returns', labels.returnRatio, 'returns', perReturn === null ? null : -times(perReturn, inputs.returnRatio))
  const outlay =
    goods.landed === null
      ? null
      : goods.landed + goods.taxGivenBack + inputs.packingE4 + storage + inputs.advertisingE4 + listingFees
  return { netRevenueE4: net, landedE4: goods.landed, outlayE4: outlay, profitE4: profit }
}

type Put = (id: string, label: string, group: LineGroup, amountE4: number | null) => number | null

function goodsLines(
  inputs: CostInputs,
  exact: boolean,
  round: (e4: number) => number,
  times: (e4: number, r: number) => number,
  put: Put,
): { landed: number | null; taxGivenBack: number } {
  const { tiers, packSold, packBought, orderQuantity } = inputs
  const perSale = (e4: number) => round(share(e4, packSold, packBought, exact))
  const free = tiers !== null && tiers.length === 0
  const unit = tiers === null ? null : (tierPrice(tiers, orderQuantity) ?? 0)
  const goods = unit === null ? null : perSale(unit)
  const delivery = free ? 0 : round(share(inputs.supplierDeliveryE4, packSold, packBought * orderQuantity, exact))
  const freight = free ? 0 : perSale(inputs.inboundFreightE4)
  const duty = goods === null ? null : times(goods + delivery + freight, inputs.dutyRatio)
  const importTax =
    goods === null || duty === null ? null : times(goods + delivery + freight + duty, inputs.importTaxRatio)
  const borne = inputs.importTaxRecoverable ? 0 : importTax
  put('goods', labels.tiers, 'goods', minus(goods))
  put('supplierDelivery', labels.supplierDeliveryE4, 'goods', -delivery)
  put('freight', labels.inboundFreightE4, 'goods', -freight)
  put('duty', labels.dutyRatio, 'goods', inputs.dutyRatio === 0 ? 0 : minus(duty))
  put(
    'importTax',
    labels.importTaxRatio,
    'goods',
    inputs.importTaxRatio === 0 || inputs.importTaxRecoverable ? 0 : minus(borne),
  )
  const landed = goods === null ? null : goods + delivery + freight + (duty ?? 0) + (borne ?? 0)
  return { landed, taxGivenBack: inputs.importTaxRecoverable ? (importTax ?? 0) : 0 }
}

function minus(e4: number | null): number | null {
  return e4 === null ? null : -e4
}

/** Where prices are stated without tax, fees 'with tax' are still taken of what the buyer pays. */
function addTaxOnTop(bases: FeeBases, inputs: CostInputs, times: (e4: number, r: number) => number): void {
  const priceTax = times(bases.priceE4, inputs.taxRatio)
  const postageTax = times(bases.postageE4, inputs.taxRatio)
  bases.priceE4 += priceTax
  bases.postageE4 += postageTax
  bases.priceTaxE4 = priceTax
  bases.taxE4 = priceTax + postageTax
}

/** e4 × a / b; exact: by whole thousandths of a and b, so that pack counts and tax ratios stay whole numbers. */
function share(e4: number, a: number, b: number, exact: boolean): number {
  return exact ? divideRounded(e4, Math.round(a * 1e6), Math.round(b * 1e6)) : (e4 * a) / b
}
