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

/** The month a day lies in, as months since the year 0: its remainder by 12 is the month of the year from January = 0. */
export function monthOf(day: number): number {
  const [year = 0, month = 1] = isoDay(day).split('-').map(Number)
  return year * 12 + month - 1
}
