import type { Tier } from '../notation'
import { Problem } from '../problem'
import type { FeeLine } from './fee-line'

/** Everything that decides what one sale earns. Money in E4 of `currency`; ratios plain (0.2 = 20 %). */
export interface CostInputs {
  currency: string
  /** postage the buyer pays on top of the price */
  postageChargedE4: number
  /** tax on sales; 0 for a seller who charges none */
  taxRatio: number
  pricesIncludeTax: boolean
  discountRatio: number
  /** pieces in the listing sold, and in the supplier's pack */
  packSold: number
  packBought: number
  /** price of one supplier's pack from each quantity on; null where the cost is not known, [] for goods that cost nothing */
  tiers: Tier[] | null
  /** supplier's packs in one order */
  orderQuantity: number
  supplierDeliveryE4: number
  /** per supplier's pack */
  inboundFreightE4: number
  /** freight by weight, and the weight that one supplier's pack is charged for */
  freightPerKgE4: number
  chargedKg: number
  /** of goods, delivery and freight together */
  dutyRatio: number
  /** of the same and the duty */
  importTaxRatio: number
  importTaxRecoverable: boolean
  fees: FeeLine[]
  postageOutE4: number
  packingE4: number
  fulfilmentE4: number
  storagePerMonthE4: number
  storageMonths: number
  advertisingE4: number
  /** of the price after discount, without tax */
  commissionRatio: number
  returnRatio: number
  costPerReturnE4: number
  /** share of the landed cost that a returned piece is still worth */
  recoveredRatio: number
  /** share of the market's and payment fees given back on a return */
  feesRefundedRatio: number
  /** over which a listing fee and a monthly fee are spread */
  salesPerListing: number
  salesPerMonth: number
}

/** Inputs that count something: none of them may be 0. */
const counts = new Set(['packSold', 'packBought', 'orderQuantity', 'salesPerListing', 'salesPerMonth'])

/** @throws Problem 'input-invalid' naming the first input that makes no sense */
export function checkInputs(inputs: CostInputs): void {
  // Looked through for every item of a workspace: so without making a list of pairs of it.
  for (const name in inputs) {
    const value = inputs[name as keyof CostInputs]
    if (typeof value !== 'number') continue
    if (value > 0 && value <= 10) continue // fine whatever it is
    const count = counts.has(name)
    const fine = value === 0 ? !count : value > 10 && value < Infinity && !name.endsWith('Ratio')
    if (!fine) throw new Problem('input-invalid', { name, want: count ? 'above 0' : '0 or more', got: value })
  }
  for (const { priceE4 } of inputs.tiers ?? [])
    if (!(priceE4 >= 0 && priceE4 < Infinity))
      throw new Problem('input-invalid', { name: 'price of the goods', want: '0 or more', got: priceE4 })
  if (inputs.discountRatio >= 1)
    throw new Problem('input-invalid', { name: 'discount', want: 'under 100 %', got: inputs.discountRatio })
}
