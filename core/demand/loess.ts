/** How one smoothing is done. */
export interface Smoothing {
  /** points a fit looks at, odd; more than there are widens its reach */
  span: number
  /** what is fitted to the points about a place */
  fit: 'mean' | 'line'
  /** every how many points a fit is made; between them lies a straight line */
  jump: number
}

/**
 * Local fits at the places 1 … n of an even series, by tricube weights (Cleveland 1979), in the form of STL's own smoother
 * (Cleveland, Cleveland, McRae & Terpenning 1990).
 *
 * @param y values, without gaps
 */
export function loess(y: Float64Array, how: Smoothing): Float64Array {
  const n = y.length
  if (n < 2) return y.slice()
  const { span } = how
  const jump = Math.min(how.jump, n - 1)
  const smooth = new Float64Array(n)
  const half = (span + 1) >> 1
  let [left, right] = [1, Math.min(span, n)]
  const reach = (at: number) => {
    if (span >= n) return
    if (at < half) [left, right] = [1, span]
    else if (at >= n - half + 1) [left, right] = [n - span + 1, n]
    else [left, right] = [at - half + 1, span + at - half]
  }
  const fit = (at: number) => {
    smooth[at - 1] = loessAt(y, how, at, [left, right]) ?? (y[at - 1] as number)
  }
  for (let at = 1; at <= n; at += jump) {
    reach(at)
    fit(at)
  }
  if (jump === 1) return smooth
  const last = Math.floor((n - 1) / jump) * jump + 1
  for (let at = 1; at < last; at += jump) joinUp(smooth, at, at + jump)
  if (last !== n) {
    fit(n)
    joinUp(smooth, last, n)
  }
  return smooth
}

/**
 * One fit at `x`, which may lie outside the points; null where all weights are zero.
 *
 * @param reach first and last point that count, from 1
 */
export function loessAt(
  y: Float64Array,
  { span, fit }: Smoothing,
  x: number,
  [left, right]: [number, number],
): number | null {
  const n = y.length
  const h = Math.max(x - left, right - x) + (span > n ? (span - n) >> 1 : 0)
  const w = new Float64Array(right - left + 1)
  let total = 0
  for (let j = left; j <= right; j++) {
    const r = Math.abs(j - x)
    if (r > 0.999 * h) continue
    const tricube = r <= 0.001 * h ? 1 : (1 - (r / h) ** 3) ** 3
    w[j - left] = tricube
    total += w[j - left] as number
  }
  if (total <= 0) return null
  const even = w.map((v) => v / total)
  const used = h > 0 && fit === 'line' ? tilted(even, left, x, n) : even
  return used.reduce((sum, v, i) => sum + v * (y[left + i - 1] as number), 0)
}

/** Weights of a mean turned into those of a line's value at `x`. */
function tilted(w: Float64Array, left: number, x: number, n: number): Float64Array {
  const centre = w.reduce((sum, v, i) => sum + v * (left + i), 0)
  const spread = w.reduce((sum, v, i) => sum + v * (left + i - centre) ** 2, 0)
  if (Math.sqrt(spread) <= 0.001 * (n - 1)) return w
  const slope = (x - centre) / spread
  return w.map((v, i) => v * (slope * (left + i - centre) + 1))
}

/** A straight line between two places, from 1. */
function joinUp(values: Float64Array, from: number, to: number): void {
  const first = values[from - 1] as number
  const step = ((values[to - 1] as number) - first) / (to - from)
  for (let j = from + 1; j < to; j++) values[j - 1] = first + step * (j - from)
}
