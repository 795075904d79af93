import { sumWindow, type UnitSeries } from '../demand'
import type { Grade } from './grade'
import type { Listing } from './listing'

export interface KnownUnits {
  units: number
  grade: Grade
}

/** units that a market reported count for so many days after their own */
export const reportedForDays = 45

/**
 * Units of a listing in the 30 days that end with `end`. Days that were all counted add up; with a few gaps the sum is scaled up
 * and becomes an estimate; else what the market reported, scaled where its window is another.
 */
export function unitsInWindow(listing: Listing, series: UnitSeries | null, end: number): KnownUnits | null {
  if (series) {
    const sum = sumWindow(series, end, 30)
    if (sum.known === 30 && series.stepDays === 1) return { units: sum.units, grade: 'counted' }
    if (sum.known >= 21) return { units: (sum.units * 30) / sum.known, grade: 'estimated' }
  }
  if (listing.units === null || listing.unitsDay === null || end - listing.unitsDay > reportedForDays) return null
  if (listing.windowDays === 30) return { units: listing.units, grade: 'reported' }
  return { units: (listing.units * 30) / (listing.windowDays ?? 30), grade: 'estimated' }
}
