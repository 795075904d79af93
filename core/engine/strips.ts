import type { Measure } from './measures'

/** The strips of the Comb where the seller chose no others. */
export const usualStrips: readonly string[] = ['price', 'units', 'growth', 'sellThrough', 'rating', 'profit']

/** more than this do not fit above the finds */
export const mostStrips = 8

export const bins = 28

/** The bin of a value; beyond the ends the first and last bin. -1 for an unknown value. */
export function binOf(m: Measure, value: number | null): number {
  if (value === null || Number.isNaN(value)) return -1
  return Math.max(0, Math.min(bins - 1, Math.floor(placeOf(m, value) * bins)))
}

/** Where a value lies on a strip, 0 at its left end, 1 at its right. */
export function placeOf(m: Measure, value: number): number {
  const { from, to, kind } = m.scale
  if (kind === 'linear') return (value - from) / (to - from)
  return Math.log(Math.max(value, from / 10) / from) / Math.log(to / from)
}

/** The value at a place of a strip: the other way round. */
export function valueAt(m: Measure, place: number): number {
  const { from, to, kind } = m.scale
  return kind === 'linear' ? from + place * (to - from) : from * (to / from) ** place
}
