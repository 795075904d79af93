/** What somebody asks, E4 of the home currency: with delivery where that is stated, the price alone where it is not. */
export interface Asked {
  deliveredE4: number | null
  isDeliveryKnown: boolean
}

/**
 * Of several who ask a price, those that can be compared: delivered with delivered. A price whose delivery is not stated is not taken for
 * one with free delivery; only where nobody states it the prices alone are compared, and that is to be said.
 */
export function comparable<T extends Asked>(all: readonly T[]): { list: T[]; isDelivered: boolean } {
  const priced = all.filter((a) => a.deliveredE4 !== null && a.deliveredE4 > 0)
  const delivered = priced.filter((a) => a.isDeliveryKnown)
  return delivered.length > 0 ? { list: delivered, isDelivered: true } : { list: priced, isDelivered: false }
}
