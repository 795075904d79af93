/** Cubic centimetres that a courier charges as a kilogram: common practice, from memory. */
export const volumetricDivisor = 5000

/** What a parcel is. */
export interface Parcel {
  weightG: number | null
  /** three lengths in centimetres */
  box: readonly [number, number, number] | null
}

/**
 * Kilograms that freight by weight is charged for: the greater of the weight and of length × width × height over the divisor. Of a parcel whose
 * size is not known its weight counts, and the other way round: it may be charged for more.
 *
 * @param divisor cm³ per kg, above 0
 * @returns null where neither is known
 */
export function chargedKg({ weightG, box }: Parcel, divisor: number = volumetricDivisor): number | null {
  const known = [
    ...(weightG === null ? [] : [weightG / 1000]),
    ...(box === null ? [] : [(box[0] * box[1] * box[2]) / divisor]),
  ]
  return known.length === 0 ? null : Math.max(...known)
}
