import type { StoreListing } from './store-listing'

/** Listings of a store that the newest look at it did not meet any more. */
export interface Dropped {
  listings: StoreListing[]
  /** day of that look; null where there was only one */
  since: number | null
}

/** share of what was known before that a look must have met to be one at the whole store */
const leastMet = 0.5

/**
 * Listings that were there before and were not in the newest list of the store. A list that met less than half of them was no look at
 * the whole store, and says of none that it is gone.
 */
export function droppedListings(listings: readonly StoreListing[]): Dropped {
  let newest = -Infinity
  for (const { seenOn } of listings) newest = Math.max(newest, seenOn)
  const gone = listings.filter((l) => l.seenOn < newest)
  const met = listings.length - gone.length
  if (gone.length === 0 || met < leastMet * listings.length) return { listings: [], since: null }
  return { listings: [...gone].sort((a, b) => (b.unitsTotal ?? -1) - (a.unitsTotal ?? -1)), since: newest }
}
