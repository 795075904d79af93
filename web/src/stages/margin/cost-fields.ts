import type { GoodsKind } from '@sickle/core/catalog'
import type { CostInputs } from '@sickle/core/margin'

export interface CostField {
  name: keyof CostInputs
  label: string
  type: 'money' | 'ratio' | 'count' | 'number'
  /** does it concern goods that are made and sent? */
  goods?: boolean
}

/** The costs a seller can change, in the order in which they arise. */
const fields: readonly CostField[] = [
  { name: 'orderQuantity', label: 'Packs in one order', type: 'count', goods: true },
  { name: 'supplierDeliveryE4', label: 'Delivery of an order', type: 'money', goods: true },
  { name: 'inboundFreightE4', label: 'Freight a pack', type: 'money', goods: true },
  { name: 'dutyRatio', label: 'Duty', type: 'ratio', goods: true },
  { name: 'importTaxRatio', label: 'Import tax', type: 'ratio', goods: true },
  { name: 'taxRatio', label: 'Tax on sales', type: 'ratio' },
  { name: 'postageChargedE4', label: 'Postage charged', type: 'money', goods: true },
  { name: 'postageOutE4', label: 'Postage out', type: 'money', goods: true },
  { name: 'packingE4', label: 'Packing', type: 'money', goods: true },
  { name: 'fulfilmentE4', label: 'Fulfilment', type: 'money', goods: true },
  { name: 'storagePerMonthE4', label: 'Storage a month', type: 'money', goods: true },
  { name: 'storageMonths', label: 'Months in store', type: 'number', goods: true },
  { name: 'advertisingE4', label: 'Advertising a sale', type: 'money' },
  { name: 'commissionRatio', label: 'Creator commission', type: 'ratio' },
  { name: 'discountRatio', label: 'Discount', type: 'ratio' },
  { name: 'returnRatio', label: 'Returns', type: 'ratio' },
  { name: 'costPerReturnE4', label: 'Cost of a return', type: 'money', goods: true },
  { name: 'recoveredRatio', label: 'Goods worth after return', type: 'ratio', goods: true },
  { name: 'feesRefundedRatio', label: 'Fees given back', type: 'ratio' },
  { name: 'salesPerListing', label: 'Sales a listing', type: 'count' },
  { name: 'salesPerMonth', label: 'Sales a month, all', type: 'count' },
]

export function costFields(kind: GoodsKind): readonly CostField[] {
  return kind === 'digital' ? fields.filter((f) => !f.goods) : fields
}
