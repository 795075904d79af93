import { bin, scaleLinear } from 'd3'
import type { PricedSale } from '@sickle/core/room'

export interface PriceBar {
  fromE4: number
  toE4: number
  x: number
  width: number
  /** share of the listings that ask a price in here, and of the units that sold at one */
  asked: number
  sold: number
  askedHeight: number
  soldHeight: number
}

/** Asking prices and prices of what sold, as shares of all, side by side over the same steps. */
export function priceBars(
  prices: readonly PricedSale[],
  width: number,
  height: number,
): { bars: PriceBar[]; at: (e4: number) => number } {
  const values = prices.filter((p) => p.priceE4 > 0)
  const [low, high] = [Math.min(...values.map((p) => p.priceE4)), Math.max(...values.map((p) => p.priceE4))]
  // Even steps from the lowest to the highest: round ones would leave a sliver at either end.
  const top = Math.max(high, low + 1)
  const x = scaleLinear([low, top], [0, width])
  const many = Math.min(16, Math.max(4, values.length))
  const edges = Array.from({ length: many - 1 }, (_, i) => low + ((top - low) * (i + 1)) / many)
  const steps = bin<PricedSale, number>()
    .value((p) => p.priceE4)
    .domain([low, top])
    .thresholds(edges)(values)
  const units = values.reduce((sum, p) => sum + (p.units ?? 0), 0)
  const shares = steps.map((step) => ({
    asked: step.length / Math.max(1, values.length),
    sold: units === 0 ? 0 : step.reduce((sum, p) => sum + (p.units ?? 0), 0) / units,
  }))
  const y = scaleLinear([0, Math.max(0.01, ...shares.flatMap((s) => [s.asked, s.sold]))], [0, height])
  const bars = steps.map((step, i): PriceBar => {
    const { asked, sold } = shares[i] as { asked: number; sold: number }
    const [from, to] = [step.x0 ?? low, step.x1 ?? high]
    return {
      fromE4: from,
      toE4: to,
      x: x(from),
      width: Math.max(1, x(to) - x(from) - 2),
      asked,
      sold,
      askedHeight: y(asked),
      soldHeight: y(sold),
    }
  })
  return { bars, at: (e4) => x(e4) }
}
