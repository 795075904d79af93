import cdf from '@stdlib/stats-base-dists-normal-cdf'

export interface MannKendall {
  /** concordant less discordant pairs */
  s: number
  /** variance of S under no trend, ties corrected */
  variance: number
  /** with continuity correction */
  z: number
  /** two-sided */
  p: number
}

/**
 * Mann–Kendall test for a trend with correction for ties (Kendall 1975). S is counted by merging, n log n.
 *
 * @param values in order of time; NaN is a gap and left out
 * @returns null with fewer than three values
 */
export function mannKendall(values: ArrayLike<number>): MannKendall | null {
  const x = known(values)
  const n = x.length
  if (n < 3) return null
  const pairs = (n * (n - 1)) / 2
  // Counting sorts x, so that ties then stand side by side.
  const discordant = countInversionsInPlace(x, new Float64Array(n))
  let tied = 0
  let tieVariance = 0
  for (let i = 0, run = 1; i < n; i++, run++) {
    if (i + 1 < n && x[i + 1] === x[i]) continue
    tied += (run * (run - 1)) / 2
    tieVariance += run * (run - 1) * (2 * run + 5)
    run = 0
  }
  const s = pairs - tied - 2 * discordant
  const variance = (n * (n - 1) * (2 * n + 5) - tieVariance) / 18
  const z = s === 0 || variance === 0 ? 0 : (s - Math.sign(s)) / Math.sqrt(variance)
  return { s, variance, z, p: Math.min(1, 2 * cdf(-Math.abs(z), 0, 1)) }
}

function known(values: ArrayLike<number>): Float64Array {
  const x = new Float64Array(values.length)
  let n = 0
  for (let i = 0; i < values.length; i++) if (!Number.isNaN(values[i])) x[n++] = values[i] as number
  return x.subarray(0, n)
}

const block = 12

/** Pairs in falling order; sorts `x` on the way: short blocks by insertion, then merged upwards. */
function countInversionsInPlace(x: Float64Array, scratch: Float64Array): number {
  const n = x.length
  let count = 0
  for (let from = 0; from < n; from += block) count += insertionInversions(x, from, Math.min(n, from + block))
  for (let width = block; width < n; width *= 2) {
    for (let from = 0; from + width < n; from += 2 * width) {
      count += mergeInversions(x, scratch, from, from + width, Math.min(n, from + 2 * width))
    }
  }
  return count
}

function insertionInversions(x: Float64Array, from: number, to: number): number {
  let count = 0
  for (let i = from + 1; i < to; i++) {
    const value = x[i] as number
    let j = i - 1
    while (j >= from && (x[j] as number) > value) {
      x[j + 1] = x[j] as number
      j--
    }
    x[j + 1] = value
    count += i - 1 - j
  }
  return count
}

function mergeInversions(x: Float64Array, scratch: Float64Array, from: number, middle: number, to: number): number {
  let count = 0
  let left = from
  let right = middle
  for (let k = from; k < to; k++) {
    if (right >= to || (left < middle && (x[left] as number) <= (x[right] as number))) scratch[k] = x[left++] as number
    else {
      count += middle - left
      scratch[k] = x[right++] as number
    }
  }
  for (let k = from; k < to; k++) x[k] = scratch[k] as number
  return count
}
