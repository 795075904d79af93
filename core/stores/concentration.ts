/** How a store's sales lie over its listings. */
export interface Concentration {
  /** share of the units that the best-selling fifth of the listings makes; null where nothing sold */
  topFifth: number | null
  /** fewest listings that together make 80 % of the units */
  makes80: number
  /** cumulative share of the units, best-selling listing first; shape: one entry a listing whose units are known */
  curve: Float64Array
}

/**
 * Listings whose units are not known are left out of all three. A fifth of a number that five does not divide is rounded up, so that one
 * listing is its own fifth.
 *
 * @param units of each listing, NaN where not known
 */
export function concentrationOf(units: ArrayLike<number>): Concentration {
  const known = Float64Array.from(Array.from(units).filter((u) => !Number.isNaN(u)))
    .sort()
    .reverse()
  const total = known.reduce((a, b) => a + b, 0)
  const curve = new Float64Array(known.length)
  let [sum, makes80] = [0, 0]
  known.forEach((u, i) => {
    if (total > 0 && sum < 0.8 * total) makes80 = i + 1
    sum += u
    curve[i] = total === 0 ? 0 : sum / total
  })
  return { topFifth: total === 0 ? null : (curve[Math.ceil(known.length / 5) - 1] ?? null), makes80, curve }
}
