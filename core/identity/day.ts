const dayMs = 86_400_000

/** Days since 1970-01-01 of a calendar date; null where no such date exists. @example dayNumber(2026, 2, 31) // null */
export function dayNumber(year: number, month: number, day: number): number | null {
  const ms = Date.UTC(year, month - 1, day)
  const d = new Date(ms)
  if (d.getUTCFullYear() !== year || d.getUTCMonth() !== month - 1 || d.getUTCDate() !== day) return null
  return ms / dayMs
}

/** ISO form of a day number. @example isoDay(20604) // '2026-05-31' */
export function isoDay(day: number): string {
  return new Date(day * dayMs).toISOString().slice(0, 10)
}

/** Day number of an ISO date; null where it is none. */
export function dayOfIso(iso: string): number | null {
  const m = /^(\d{4})-(\d{2})-(\d{2})/.exec(iso)
  return m ? dayNumber(Number(m[1]), Number(m[2]), Number(m[3])) : null
}

/** Day number of an instant, in universal time. */
export function dayOfMs(ms: number): number {
  return Math.floor(ms / dayMs)
}

/** Day of the week, 0 = Monday (1970-01-01 was a Thursday). */
export function weekday(day: number): number {
  return (((day + 3) % 7) + 7) % 7
}

/**
 * The month a day lies in, as months since the year 0 (its remainder by 12 is the month of the year from January = 0), and the day of
 * that month from 1. By whole numbers alone, since it is asked for every day of every series.
 * Source: Hinnant, chrono-compatible low-level date algorithms, `civil_from_days`.
 */
export function calendarDay(day: number): { month: number; of: number } {
  const z = day + 719_468
  const era = Math.floor(z / 146_097)
  const ofEra = z - era * 146_097
  const year = Math.floor(
    (ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365,
  )
  const ofYear = ofEra - (365 * year + Math.floor(year / 4) - Math.floor(year / 100))
  // The year begins with March here, so that a leap day is its last.
  const march = Math.floor((5 * ofYear + 2) / 153)
  const of = ofYear - Math.floor((153 * march + 2) / 5) + 1
  return { month: (year + era * 400) * 12 + march + 2, of }
}

/** Months since the year 0. */
export function monthOf(day: number): number {
  return calendarDay(day).month
}
