export interface ProportionInterval {
  ratio: number
  low: number
  high: number
}

/**
 * A share with its Wilson score interval (Wilson 1927), without continuity correction.
 *
 * @param hits how many of `of`; 0 ≤ hits ≤ of
 * @param z normal quantile of the level; 1.959964 is 95 %
 * @returns null where `of` is 0: the share of nothing is unknown
 * @example wilsonInterval(81, 263)?.low // 0.2553 (Newcombe 1998)
 */
export function wilsonInterval(hits: number, of: number, z = 1.959963984540054): ProportionInterval | null {
  if (of <= 0) return null
  const p = hits / of
  const z2 = z * z
  const middle = p + z2 / (2 * of)
  const spread = z * Math.sqrt((p * (1 - p)) / of + z2 / (4 * of * of))
  return {
    ratio: p,
    low: Math.max(0, (middle - spread) / (1 + z2 / of)),
    high: Math.min(1, (middle + spread) / (1 + z2 / of)),
  }
}
