/**
 * Theil–Sen slope: the median of the slopes of all pairs (Theil 1950, Sen 1968). NaN values are gaps and left out.
 *
 * @returns change per step, or null with fewer than two values
 */
export function theilSenSlope(values: ArrayLike<number>): number | null {
  const slopes: number[] = []
  for (let i = 0; i < values.length; i++) {
    const a = values[i] as number
    if (Number.isNaN(a)) continue
    for (let j = i + 1; j < values.length; j++) {
      const b = values[j] as number
      if (!Number.isNaN(b)) slopes.push((b - a) / (j - i))
    }
  }
  return slopes.length === 0 ? null : median(slopes)
}

function median(list: number[]): number {
  const sorted = Float64Array.from(list).sort()
  const middle = sorted.length >> 1
  const high = sorted[middle] as number
  return sorted.length % 2 ? high : ((sorted[middle - 1] as number) + high) / 2
}
