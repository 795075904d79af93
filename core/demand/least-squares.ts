import tQuantile from '@stdlib/stats-base-dists-t-quantile'

export interface Coefficient {
  value: number
  /** 95 % interval, Student's t */
  low: number
  high: number
}

export interface Fit {
  /** intercept first, then one for each column */
  coefficients: Coefficient[]
  /** share of the variance that is explained, 0–1 */
  r2: number
  of: number
}

/**
 * Ordinary least squares of y on an intercept and some columns. Check: R's `lm` with `confint`.
 *
 * @param columns each as long as y
 * @returns null with fewer than two more values than coefficients, or where a column is a mixture of the others
 */
export function leastSquares(y: readonly number[], columns: readonly (readonly number[])[]): Fit | null {
  const [n, k] = [y.length, columns.length + 1]
  if (n < k + 2) return null
  const row = (i: number) => [1, ...columns.map((c) => c[i] as number)]
  // Normal equations beside the unit matrix: solving them gives the coefficients' covariance too.
  const system = Array.from({ length: k }, (_, a) =>
    Array.from({ length: 2 * k + 1 }, (_x, b) => (b === k + 1 + a ? 1 : 0)),
  )
  for (let i = 0; i < n; i++) {
    const x = row(i)
    for (let a = 0; a < k; a++) {
      const line = system[a] as number[]
      for (let b = 0; b < k; b++) line[b] = (line[b] as number) + (x[a] as number) * (x[b] as number)
      line[k] = (line[k] as number) + (x[a] as number) * (y[i] as number)
    }
  }
  if (!solveInPlace(system, k)) return null
  const beta = system.map((line) => line[k] as number)
  const mean = y.reduce((a, b) => a + b, 0) / n
  let [rest, all] = [0, 0]
  for (let i = 0; i < n; i++) {
    rest += ((y[i] as number) - row(i).reduce((sum, v, a) => sum + v * (beta[a] as number), 0)) ** 2
    all += ((y[i] as number) - mean) ** 2
  }
  const t = tQuantile(0.975, n - k)
  const coefficients = beta.map((value, a) => {
    const reach = t * Math.sqrt((rest / (n - k)) * ((system[a] as number[])[k + 1 + a] as number))
    return { value, low: value - reach, high: value + reach }
  })
  return { coefficients, r2: all === 0 ? 0 : 1 - rest / all, of: n }
}

/** Gauss–Jordan with the largest pivot first; false where there is none. */
function solveInPlace(system: number[][], k: number): boolean {
  for (let column = 0; column < k; column++) {
    const sizeOf = (line: readonly number[]) => Math.abs(line[column] as number)
    const pivot = system.slice(column).reduce((best, line) => (sizeOf(line) > sizeOf(best) ? line : best))
    const best = system.indexOf(pivot)
    if (Math.abs(pivot[column] as number) < 1e-9) return false
    system[best] = system[column] as number[]
    system[column] = pivot
    const by = pivot[column] as number
    for (let c = 0; c < pivot.length; c++) pivot[c] = (pivot[c] as number) / by
    for (const line of system) {
      if (line === pivot) continue
      const factor = line[column] as number
      for (let c = 0; c < line.length; c++) line[c] = (line[c] as number) - factor * (pivot[c] as number)
    }
  }
  return true
}
