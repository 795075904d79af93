import gammaln from '@stdlib/math-base-special-gammaln'

/**
 * Two-sided p-value that two Poisson counts have one rate: exact, conditional on their total, over all splits that are no more
 * likely than the one seen (as R's `poisson.test`).
 *
 * @param exposure of the first count / of the second
 */
export function poissonP(first: number, second: number, exposure = 1): number {
  const n = first + second
  if (n === 0) return 1
  const share = exposure / (1 + exposure)
  const odds = share / (1 - share)
  const log =
    gammaln(n + 1) - gammaln(first + 1) - gammaln(second + 1) + first * Math.log(share) + second * Math.log1p(-share)
  // Every likelihood as a share of the one seen, step by step from neighbour to neighbour; R's own slack against rounding.
  const seen = 1 + 1e-7
  const up = (k: number) => ((n - k) / (k + 1)) * odds
  let sum = 1
  for (let k = first, at = 1; k < n && at > 0; k++) {
    at *= up(k)
    if (at <= seen) sum += at
    if (at < 1e-18 && up(k) < 1) break
  }
  for (let k = first, at = 1; k > 0 && at > 0; k--) {
    at /= up(k - 1)
    if (at <= seen) sum += at
    if (at < 1e-18 && up(k - 1) > 1) break
  }
  return Math.min(1, Math.exp(log) * sum)
}

/**
 * p-values with the false discovery rate controlled: of those at or under q, at most the share q is expected to be chance.
 * Source: Benjamini & Hochberg 1995, J. R. Statist. Soc. B 57 (as R's `p.adjust(method = "BH")`).
 */
export function falseDiscovery(ps: readonly number[]): number[] {
  const order = ps.map((_, i) => i).sort((a, b) => (ps[b] as number) - (ps[a] as number))
  const adjusted = new Array<number>(ps.length)
  let least = 1
  order.forEach((i, from) => {
    least = Math.min(least, ((ps[i] as number) * ps.length) / (ps.length - from))
    adjusted[i] = least
  })
  return adjusted
}
