import { isoDay } from '../identity'
import type { StoreListing } from './store-listing'

/** Listings that a store put up in one month, of those still up that say when. */
export interface MonthPutUp {
  /** '2026-05' */
  month: string
  count: number
  /** of them those that sold in the last 30 days */
  sold: number
}

export interface PutUp {
  /** from the first month to the last one, oldest first, at most 24; months without any are there with 0 */
  months: MonthPutUp[]
  /** a month over the last six whole ones; null where nothing says when listings were put up */
  perMonth: number | null
  known: number
}

const [mostMonths, recent] = [24, 6]

/** When a store puts its listings up. What it took down since is not in it: of the past these are the least. */
export function putUp(listings: readonly StoreListing[]): PutUp {
  const known = listings.filter((l) => l.listedOn !== null)
  if (known.length === 0) return { months: [], perMonth: null, known: 0 }
  const counts = new Map<string, { count: number; sold: number }>()
  let [first, last] = [Infinity, -Infinity]
  // many are put up on one day
  const months = new Map<number, string>()
  for (const { listedOn, units, end } of known) {
    const month = months.get(listedOn as number) ?? isoDay(listedOn as number).slice(0, 7)
    months.set(listedOn as number, month)
    const of = counts.get(month) ?? { count: 0, sold: 0 }
    of.count++
    if ((units ?? 0) > 0) of.sold++
    counts.set(month, of)
    first = Math.min(first, listedOn as number)
    last = Math.max(last, end)
  }
  const all = monthsBetween(first, last).map((month) => ({ month, ...(counts.get(month) ?? { count: 0, sold: 0 }) }))
  // the month that the window ends in is not over
  const whole = all.slice(0, -1).slice(-recent)
  const perMonth = whole.length === 0 ? null : whole.reduce((sum, m) => sum + m.count, 0) / whole.length
  return { months: all.slice(-mostMonths), perMonth, known: known.length }
}

function monthsBetween(first: number, last: number): string[] {
  const months: string[] = []
  const to = isoDay(last).slice(0, 7)
  let [year, month] = isoDay(first).split('-').map(Number) as [number, number]
  for (;;) {
    const name = `${year}-${String(month).padStart(2, '0')}`
    months.push(name)
    if (name >= to) return months
    ;[year, month] = month === 12 ? [year + 1, 1] : [year, month + 1]
  }
}
