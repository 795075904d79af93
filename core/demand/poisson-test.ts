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
  const log = (k: number) =>
    gammaln(n + 1) - gammaln(k + 1) - gammaln(n - k + 1) + k * Math.log(share) + (n - k) * Math.log1p(-share)
  // R's own slack against rounding
  const seen = log(first) + Math.log1p(1e-7)
  let p = 0
  for (let k = 0; k <= n; k++) {
    const at = log(k)
    if (at <= seen) p += Math.exp(at)
  }
  return Math.min(1, p)
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
