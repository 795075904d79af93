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
  // the intercept is a column of ones
  const all = [y.map(() => 1), ...columns]
  const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, v, i) => sum + v * (b[i] as number), 0)
  // Normal equations beside the unit matrix: solving them gives the coefficients' covariance too.
  const system = all.map((a) => [...all.map((b) => dot(a, b)), dot(a, y), ...all.map((b) => Number(a === b))])
  if (!solveInPlace(system)) return null
  const beta = system.map((line) => line[k] as number)
  const mean = dot(y, all[0] as number[]) / n
  const squares = (list: readonly number[]) => dot(list, list)
  const rest = squares(
    y.map(
      (v, i) =>
        v -
        dot(
          beta,
          all.map((column) => column[i] as number),
        ),
    ),
  )
  const spread = squares(y.map((v) => v - mean))
  const t = tQuantile(0.975, n - k)
  const coefficients = beta.map((value, a) => {
    const reach = t * Math.sqrt((rest / (n - k)) * ((system[a] as number[])[k + 1 + a] as number))
    return { value, low: value - reach, high: value + reach }
  })
  return { coefficients, r2: spread === 0 ? 0 : 1 - rest / spread, of: n }
}

/** Gauss–Jordan with the largest pivot first; false where there is none. */
function solveInPlace(system: number[][]): boolean {
  for (const column of system.keys()) {
    const sizeOf = (line: readonly number[]) => Math.abs(line[column] as number)
    const pivot = system.slice(column).reduce((best, line) => (sizeOf(line) > sizeOf(best) ? line : best))
    const by = pivot[column] as number
    if (Math.abs(by) < 1e-9) return false
    system[system.indexOf(pivot)] = system[column] as number[]
    const first = pivot.map((v) => v / by)
    system[column] = first
    system.forEach((line, r) => {
      const factor = line[column] as number
      if (r !== column) system[r] = line.map((v, c) => v - factor * (first[c] as number))
    })
  }
  return true
}
