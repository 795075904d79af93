import { worstGrade, type Catalog, type Grade } from '../catalog'
import type { StoreListing } from './store-listing'
import { unitsReader, type WindowDays } from './window-units'

/** What a store sold in a window, over the listings that say so. Money in E4 of the home currency. */
export interface StoreWindow {
  days: WindowDays | 'all'
  units: number | null
  /** at asking prices, over listings whose price is known */
  revenueE4: number | null
  /** listings whose units are known, of those that are gathered */
  known: number
  grade: Grade | null
  /**
   * 'upper': some of them come in variations, so that the price that is headed is not what was paid; 'unknown': of some nobody says
   * whether they do
   */
  revenueIs: 'asked' | 'upper' | 'unknown'
}

/** Units and sales over 30, 90 and 180 days, and since the listings were put up. */
export function storeWindows(catalog: Catalog, listings: readonly StoreListing[]): StoreWindow[] {
  const windows = ([30, 90, 180] as const).map((days) => {
    const unitsAt = days === 30 ? null : unitsReader(catalog, days)
    return summed(days, listings, (l) =>
      unitsAt ? unitsAt(l.row) : l.units === null ? null : { units: l.units, grade: l.grade as Grade },
    )
  })
  const all = summed('all', listings, (l) =>
    l.unitsTotal === null ? null : { units: l.unitsTotal, grade: 'reported' },
  )
  return [...windows, all]
}

function summed(
  days: StoreWindow['days'],
  listings: readonly StoreListing[],
  unitsOf: (l: StoreListing) => { units: number; grade: Grade } | null,
): StoreWindow {
  let [units, revenue, known, priced, several, unsaid] = [0, 0, 0, 0, 0, 0]
  const grades = new Set<Grade>()
  for (const l of listings) {
    const of = unitsOf(l)
    if (!of) continue
    known++
    units += of.units
    grades.add(of.grade)
    if (l.priceE4 === null) continue
    priced++
    revenue += of.units * l.priceE4
    if (of.units === 0) continue
    if (l.variations === null) unsaid++
    else if (l.variations > 1) several++
  }
  if (known === 0) return { days, units: null, revenueE4: null, known, grade: null, revenueIs: 'unknown' }
  return {
    days,
    units,
    revenueE4: priced === 0 ? null : Math.round(revenue),
    known,
    grade: worstGrade(grades),
    revenueIs: several > 0 ? 'upper' : unsaid > 0 ? 'unknown' : 'asked',
  }
}
