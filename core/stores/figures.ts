import type { Grade } from '../catalog'
import { wilsonInterval, type ProportionInterval } from '../demand'
import { runRate } from '../estimates'
import type { StoreSums } from './roll-up'

/** mean length of a month, days (365.25 / 12) */
const monthDays = 30.4375

/** A figure of a store summed from its listings, and from how many of them. */
export interface SummedFigures {
  listings: number
  /** listings whose units are known */
  known: number
  sold: number
  /** share of the known that sold at least once in the window, with its 95 % interval (Wilson) */
  sellThrough: ProportionInterval | null
  /** units in the window; null where none of a listing are known */
  units: number | null
  unitsPerListing: number | null
  /** at asking prices, E4 of the home currency: an upper bound where a listing has variations */
  revenueE4: number | null
  averagePriceE4: number | null
  /** units of a year at the window's pace: window × 365 / days */
  runRate: number | null
  /** units since they were put up, over the listings that say so: what a store sold at the least */
  unitsTotal: number | null
  grade: Grade | null
}

/** What the sums say of one store. */
export function summedFigures(sums: StoreSums, store: number): SummedFigures {
  const of = (name: Exclude<keyof StoreSums, 'days'>) => sums[name][store] as number
  const [listings, known, sold, units] = [of('listings'), of('known'), of('sold'), of('units')]
  const priced = of('pricedUnits')
  const none = known === 0
  return {
    listings,
    known,
    sold,
    sellThrough: wilsonInterval(sold, known),
    units: none ? null : units,
    unitsPerListing: none ? null : units / known,
    revenueE4: none ? null : Math.round(of('revenueE4')),
    averagePriceE4: priced === 0 ? null : Math.round(of('revenueE4') / priced),
    runRate: none ? null : runRate(units, sums.days),
    unitsTotal: of('knownTotal') === 0 ? null : of('unitsTotal'),
    grade: none ? null : gradeOf(known, of('counted'), of('reported')),
  }
}

/** How the weakest of the units is known: one estimated listing makes the sum an estimate. */
function gradeOf(known: number, counted: number, reported: number): Grade {
  if (counted + reported < known) return 'estimated'
  return reported > 0 ? 'reported' : 'counted'
}

/** Whole and part months from the day a store opened to the end of its window; null where it is not known or lies behind the end. */
export function ageInMonths(since: number | null, end: number): number | null {
  return since === null || since > end ? null : (end - since) / monthDays
}
