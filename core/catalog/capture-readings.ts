import { numbers } from '../tables'
import type { NumberedCapture } from './number-listings'

/** A figure of a listing as a capture had it. */
export interface Reading {
  day: number
  value: number
}

/** days over which reviews and stock are compared: what lies further back speaks of another time */
const span = 90
/** days that must lie between the first and the last look at the reviews */
const leastDays = 14

/** What captures of listings say of a figure over time, for the wanted listings, oldest first. */
export function readingsOf(
  name: string,
  captures: readonly NumberedCapture[],
  wanted: ReadonlySet<number>,
): Map<number, Reading[]> {
  const readings = new Map<number, Reading[]>()
  const telling = captures.filter(({ capture }) => capture.kind === 'listings' && capture.table.columns[name])
  if (telling.length < 2) return readings
  for (const { capture, rows, listings } of telling) {
    const values = numbers(capture.table, name)
    rows.forEach((row, i) => {
      const [listing, value] = [listings[i] as number, values[row] as number]
      if (!wanted.has(listing) || Number.isNaN(value)) return
      const list = readings.get(listing) ?? []
      list.push({ day: capture.capturedOn, value })
      readings.set(listing, list)
    })
  }
  return readings
}

/** Readings of the 90 days that end with the last one. */
export const recent = (readings: readonly Reading[]) =>
  readings.filter((l) => l.day > (readings.at(-1)?.day ?? 0) - span)

/** How far the count of reviews rose over the last 90 days, and from when to when; null where it is not told. */
export function riseOf(all: readonly Reading[]): { rise: number; from: number; to: number } | null {
  const readings = recent(all)
  const [first, last] = [readings[0], readings.at(-1)]
  if (!first || !last || last.day - first.day < leastDays || last.value < first.value) return null
  return { rise: last.value - first.value, from: first.day, to: last.day }
}
