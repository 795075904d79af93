/** How two prices of what may be the same goods compare, each for one piece and in one currency. */
export interface PriceLikeness {
  /** the other price / this one */
  ratio: number
  isPlausible: boolean
}

/** Asked by two sellers: beyond a factor of three it is hardly the same goods. A rule of thumb of ours. */
const sellers: [number, number] = [1 / 3, 3]
/** Asked by a supplier for what a seller sells: above the selling price nobody buys it; under a thirtieth it is another thing. Ours too. */
const supplier: [number, number] = [1 / 30, 1]

/**
 * @param mine E4 a piece @param other E4 a piece, same currency @param isSupplier whether the other one is what a supplier asks
 * @returns null where either is not known, or is nothing
 */
export function priceLikeness(mine: number | null, other: number | null, isSupplier = false): PriceLikeness | null {
  if (mine === null || other === null || mine <= 0 || other <= 0) return null
  const ratio = other / mine
  const [low, high] = isSupplier ? supplier : sellers
  return { ratio, isPlausible: ratio >= low && ratio <= high }
}
