import type { Schema } from 'yup'
import { currency, listOf, moneyE4, orNull, ratio, record, span, truth, whole } from '../schema'
import type { CostInputs } from './cost-inputs'
import { feeScheduleSchema } from './fee-schema'

/** One part of what decides the profit of a sale; whatever is said of it in words, forms, checks and sums follows from here. */
export interface CostPart {
  /** what it is called in the sum of a sale and where it is asked what moves the profit */
  label: string
  /** what a form calls it, where it has to say of what it is the amount (default: its label) */
  asked?: string
  /** how it is written; left out, no plain form field has it */
  format?: 'money' | 'ratio' | 'count' | 'number'
  schema: Schema
  /** in a sale without any cost */
  blank: unknown
  /** does it concern goods that are made and sent? */
  goods?: boolean
}

const money = (label: string, more: Partial<CostPart> = {}): CostPart => ({
  label,
  format: 'money',
  schema: moneyE4(),
  blank: 0,
  ...more,
})
const share = (label: string, more: Partial<CostPart> = {}): CostPart => ({
  label,
  format: 'ratio',
  schema: ratio(),
  blank: 0,
  ...more,
})
const number = (label: string, more: Partial<CostPart> = {}): CostPart => ({
  label,
  format: 'count',
  schema: span(1, 1e6),
  blank: 1,
  ...more,
})
const other = (label: string, schema: Schema, blank: unknown): CostPart => ({ label, schema, blank })
const goods = true

/** In the order in which they arise. */
export const costParts: Readonly<Record<keyof CostInputs, CostPart>> = {
  currency: other('Currency', currency(), 'EUR'),
  packSold: other('Pieces sold', whole(1, 5000), 1),
  packBought: other('Pieces bought', whole(1, 5000), 1),
  tiers: other('Goods', orNull(listOf(record({ from: span(1, 1e9), priceE4: moneyE4() }), 100)), null),
  orderQuantity: number('Packs in one order', { goods }),
  supplierDeliveryE4: money('Delivery from supplier', { asked: 'Delivery of an order', goods }),
  inboundFreightE4: money('Inbound freight', { asked: 'Freight a pack', goods }),
  freightPerKgE4: money('Freight by weight', { asked: 'Freight a kilogram', goods }),
  chargedKg: number('Weight charged, kg a pack', { format: 'number', schema: span(0, 1e5), blank: 0, goods }),
  dutyRatio: share('Duty', { schema: ratio(5), goods }),
  importTaxRatio: share('Import tax', { goods }),
  importTaxRecoverable: other('Import tax comes back', truth(), true),
  taxRatio: share('Tax on sales'),
  pricesIncludeTax: other('Prices include tax', truth(), true),
  postageChargedE4: money('Postage charged', { goods }),
  fees: other('Fees', (feeScheduleSchema.fields as { lines: Schema }).lines, []),
  postageOutE4: money('Postage out', { goods }),
  packingE4: money('Packing', { goods }),
  fulfilmentE4: money('Fulfilment', { goods }),
  storagePerMonthE4: money('Storage', { asked: 'Storage a month', goods }),
  storageMonths: number('Months in store', { format: 'number', schema: span(0, 1200), blank: 0, goods }),
  advertisingE4: money('Advertising', { asked: 'Advertising a sale' }),
  commissionRatio: share('Creator commission'),
  discountRatio: share('Discount', { schema: ratio(0.99) }),
  returnRatio: share('Returns'),
  costPerReturnE4: money('Cost of a return', { goods }),
  recoveredRatio: share('Goods worth after return', { goods }),
  feesRefundedRatio: share('Fees given back'),
  salesPerListing: number('Sales a listing'),
  salesPerMonth: number('Sales a month, all'),
} // prettier-ignore

export const costNames = Object.keys(costParts) as (keyof CostInputs)[]

/** What each part may hold: a field of the form, what rests, and what a backup may bring. */
export const costSchemas = Object.fromEntries(costNames.map((name) => [name, costParts[name].schema])) as Record<
  keyof CostInputs,
  Schema
>

/** Costs of one item alone: some of the parts. */
export const ownCostSchema = record(
  Object.fromEntries(costNames.map((name) => [name, costSchemas[name].optional() as Schema])),
)

/** A sale without any cost; the ground on which inputs are built. */
export function blankInputs(currency: string): CostInputs {
  return { ...blank, fees: [], currency }
}
const blank = Object.fromEntries(costNames.map((name) => [name, costParts[name].blank])) as unknown as CostInputs

/** Parts of the costs that a rule is made for; the others go with the item, its offer and its market. */
const ofOneSale = ['currency', 'tiers', 'fees', 'packSold', 'packBought', 'supplierDeliveryE4', 'chargedKg'] as const
export type RuleCosts = Omit<CostInputs, (typeof ofOneSale)[number]>

/** Of something that is there for each part what is there for those that a rule is made for. */
export function ofRules<T extends { [N in keyof CostInputs]: unknown }>(parts: T): Pick<T, keyof RuleCosts> {
  const without: readonly string[] = ofOneSale
  return Object.fromEntries(Object.entries(parts).filter(([name]) => !without.includes(name))) as Pick<
    T,
    keyof RuleCosts
  >
}
