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
