import type { Schema } from 'yup'
import { currency, listOf, moneyE4, orNull, ratio, record, span, truth, whole } from '../schema'
import type { CostInputs } from './cost-inputs'
import { feeScheduleSchema } from './fee-schema'

const pieces = () => whole(1, 5000)
const some = () => span(1, 1e6)

/** Each part of the costs of a sale: what a field of the form may hold is what rests and what a backup may bring. */
export const costParts: Record<keyof CostInputs, Schema> = {
  currency: currency(),
  postageChargedE4: moneyE4(),
  taxRatio: ratio(),
  pricesIncludeTax: truth(),
  discountRatio: ratio(0.99),
  packSold: pieces(),
  packBought: pieces(),
  tiers: orNull(listOf(record({ from: span(1, 1e9), priceE4: moneyE4() }), 100)),
  orderQuantity: some(),
  supplierDeliveryE4: moneyE4(),
  inboundFreightE4: moneyE4(),
  dutyRatio: ratio(5),
  importTaxRatio: ratio(),
  importTaxRecoverable: truth(),
  fees: (feeScheduleSchema.fields as { lines: Schema }).lines,
  postageOutE4: moneyE4(),
  packingE4: moneyE4(),
  fulfilmentE4: moneyE4(),
  storagePerMonthE4: moneyE4(),
  storageMonths: span(0, 1200),
  advertisingE4: moneyE4(),
  commissionRatio: ratio(),
  returnRatio: ratio(),
  costPerReturnE4: moneyE4(),
  recoveredRatio: ratio(),
  feesRefundedRatio: ratio(),
  salesPerListing: some(),
  salesPerMonth: some(),
}

/** Costs of one item alone: some of the parts. */
export const ownCostSchema = record(
  Object.fromEntries(Object.entries(costParts).map(([name, part]) => [name, part.optional() as Schema])),
)
