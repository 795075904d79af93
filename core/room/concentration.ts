export interface Concentration {
  /** share of the largest, 0–1 */
  top: number
  /** share of the largest fifth (at least one) */
  topFifth: number
  /** Herfindahl–Hirschman index, 0–10 000 (US Merger Guidelines) */
  hhi: number
  /** how many of the largest make 80 % */
  makeMost: number
  /** Gini coefficient over all, those that sold nothing too: 0 where all sell alike, near 1 where one sells all */
  gini: number
}

/** How sales are spread over listings or sellers; null where nothing sold. @example concentration([30, 30, 20, 20])?.hhi // 2600 */
export function concentration(sales: readonly number[]): Concentration | null {
  const sorted = sales.filter((s) => s > 0).sort((a, b) => b - a)
  const total = sorted.reduce((a, b) => a + b, 0)
  if (total === 0) return null
  const shares = sorted.map((s) => s / total)
  const fifth = Math.max(1, Math.floor(sales.length / 5))
  let sum = 0
  const makeMost = shares.findIndex((s) => (sum += s) >= 0.8 - 1e-12) + 1
  return {
    top: shares[0] as number,
    topFifth: shares.slice(0, fifth).reduce((a, b) => a + b, 0),
    hhi: Math.round(shares.reduce((a, s) => a + s * s, 0) * 1e8) / 1e4,
    makeMost,
    gini: giniOf(sales, total),
  }
}

/** Twice the area between the line of equal shares and the Lorenz curve. Source: Gini 1912; check: R's `ineq::Gini`, by its definition. */
function giniOf(sales: readonly number[], total: number): number {
  const rising = sales.map((s) => Math.max(0, s)).sort((a, b) => a - b)
  const n = rising.length
  return rising.reduce((sum, s, i) => sum + (2 * (i + 1) - n - 1) * s, 0) / (n * total)
}
