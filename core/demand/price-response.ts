import { leastSquares, type Coefficient } from './least-squares'

/** Units of a day or week with the price of that time, and whether (or for which share of it) the listing was promoted. */
export interface PricedUnits {
  units: number
  /** in any one unit of money */
  price: number
  /** 0–1; null is not known */
  promoted: number | null
}

export interface PriceResponse {
  /** % more units for each % more of price, so mostly below zero */
  elasticity: Coefficient
  /** units when promoted throughout / when not at all, less 1, at the same price; null where that is not known or never differed */
  promotion: Coefficient | null
  r2: number
  of: number
}

/** fewer periods, or prices that hardly moved, say nothing */
const [leastPeriods, leastSpread] = [20, 0.05]

/**
 * How units went with price, and with promotion at the same price: least squares of log units on log price and promotion, over periods
 * in which something sold. What went together need not have caused it.
 *
 * @returns null with fewer than 20 periods or where no two prices differ by 5 %
 */
export function priceResponse(periods: readonly PricedUnits[]): PriceResponse | null {
  const usable = periods.filter((p) => p.units > 0 && p.price > 0)
  const prices = usable.map((p) => p.price)
  if (usable.length < leastPeriods || Math.max(...prices) < Math.min(...prices) * (1 + leastSpread)) return null
  const [units, price] = [usable.map((p) => Math.log(p.units)), prices.map(Math.log)]
  const promoted = usable.map((p) => p.promoted ?? NaN)
  const full = promoted.some(Number.isNaN) ? null : leastSquares(units, [price, promoted])
  const fit = full ?? leastSquares(units, [price])
  const [, elasticity, promotion] = fit?.coefficients ?? []
  if (!fit || !elasticity) return null
  return { elasticity, promotion: promotion ? asChange(promotion) : null, r2: fit.r2, of: fit.of }
}

function asChange({ value, low, high }: Coefficient): Coefficient {
  return { value: Math.expm1(value), low: Math.expm1(low), high: Math.expm1(high) }
}
