import type { CostInputs } from './cost-inputs'
import type { FeeBases } from './fee-line'

/** What the fees of one sale are taken of. Where prices are stated without tax, fees 'with tax' are still taken of what the buyer pays. @param paidE4 price after discount */
export function saleBases(inputs: CostInputs, paidE4: number): FeeBases {
  const { taxRatio, pricesIncludeTax, postageChargedE4 } = inputs
  const taxOf = (e4: number) => (pricesIncludeTax ? (e4 * taxRatio) / (1 + taxRatio) : e4 * taxRatio)
  const withTax = (e4: number) => (pricesIncludeTax ? e4 : e4 + taxOf(e4))
  return {
    priceE4: withTax(paidE4),
    postageE4: withTax(postageChargedE4),
    taxE4: taxOf(paidE4 + postageChargedE4),
    priceTaxE4: taxOf(paidE4),
    items: inputs.packSold,
    salesPerListing: inputs.salesPerListing,
    salesPerMonth: inputs.salesPerMonth,
  }
}
