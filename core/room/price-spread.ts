/** A price that is asked, with what sold at it. Money in E4 of one currency. */
export interface PricedSale {
  priceE4: number
  /** units sold in the window; null is not known */
  units: number | null
}

export interface PriceSpread {
  of: number
  lowE4: number
  highE4: number
  /** quartiles of what is asked */
  quartersE4: [number, number, number]
  /** middle price of the units that sold: half of all units went for no more; null where none sold */
  soldE4: number | null
  /** the same for the dearest and cheapest tenth of units left out */
  soldMostE4: [number, number] | null
}

/** How asking prices and prices of what sold are spread; null without a price. Quantiles as R's type 1: always a price that is there. */
export function priceSpread(prices: readonly PricedSale[]): PriceSpread | null {
  const sorted = prices.filter((p) => p.priceE4 > 0).sort((a, b) => a.priceE4 - b.priceE4)
  const [first, last] = [sorted[0], sorted.at(-1)]
  if (!first || !last) return null
  const asked = (q: number) =>
    quantile(
      sorted.map((p) => [p.priceE4, 1]),
      q,
    ) as number
  const sold = sorted.flatMap((p): [number, number][] => (p.units ? [[p.priceE4, p.units]] : []))
  const [low, middle, high] = [0.1, 0.5, 0.9].map((q) => quantile(sold, q))
  return {
    of: sorted.length,
    lowE4: first.priceE4,
    highE4: last.priceE4,
    quartersE4: [asked(0.25), asked(0.5), asked(0.75)],
    soldE4: middle ?? null,
    soldMostE4: low != null && high != null ? [low, high] : null,
  }
}

/** The smallest value that at least the share q of all weight lies at or below; null without weight. */
function quantile(sorted: readonly (readonly [value: number, weight: number])[], q: number): number | null {
  const total = sorted.reduce((sum, [, w]) => sum + w, 0)
  let sum = 0
  for (const [value, weight] of sorted) {
    sum += weight
    if (sum >= q * total - 1e-9) return value
  }
  return null
}
