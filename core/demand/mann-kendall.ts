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
  const x = Float64Array.from(values).filter((v) => !Number.isNaN(v))
  const n = x.length
  if (n < 3) return null
  const pairs = (n * (n - 1)) / 2
  const discordant = countInversions(x.slice(), new Float64Array(n), 0, n)
  let tied = 0
  let tieVariance = 0
  for (const t of tieSizes(x)) {
    tied += (t * (t - 1)) / 2
    tieVariance += t * (t - 1) * (2 * t + 5)
  }
  const s = pairs - tied - 2 * discordant
  const variance = (n * (n - 1) * (2 * n + 5) - tieVariance) / 18
  const z = s === 0 || variance === 0 ? 0 : (s - Math.sign(s)) / Math.sqrt(variance)
  return { s, variance, z, p: Math.min(1, 2 * cdf(-Math.abs(z), 0, 1)) }
}

/** Pairs in falling order; sorts `x` on the way. */
function countInversions(x: Float64Array, scratch: Float64Array, from: number, to: number): number {
  if (to - from < 2) return 0
  const middle = (from + to) >> 1
  let count = countInversions(x, scratch, from, middle) + countInversions(x, scratch, middle, to)
  let left = from
  let right = middle
  for (let k = from; k < to; k++) {
    if (right >= to || (left < middle && (x[left] as number) <= (x[right] as number))) scratch[k] = x[left++] as number
    else {
      count += middle - left
      scratch[k] = x[right++] as number
    }
  }
  x.set(scratch.subarray(from, to), from)
  return count
}

function* tieSizes(x: Float64Array): Generator<number> {
  const sorted = x.slice().sort()
  let run = 1
  for (let i = 1; i <= sorted.length; i++) {
    if (i < sorted.length && sorted[i] === sorted[i - 1]) run++
    else {
      yield run
      run = 1
    }
  }
}
