import type { Sorted } from './sorted-places'

/** The rows that fail nothing, by a sorted column, one by one; unknown values last, whichever way it is sorted. */
export function* inOrder(mask: Uint32Array, { places, known }: Sorted, descending: boolean): Generator<number> {
  for (let i = 0; i < places.length; i++) {
    const place = places[descending && i < known ? known - 1 - i : i] as number
    if (mask[place] === 0) yield place
  }
}

/**
 * The first rows of that order without putting all in order: what a screen shows at first, in one pass. Ties stand as in `inOrder`.
 *
 * @param values the column itself, NaN where unknown
 */
export function firstInOrder(mask: Uint32Array, values: Float64Array, descending: boolean, count: number): Int32Array {
  const best: number[] = []
  if (count <= 0) return new Int32Array(0)
  // Of equal values the later place comes first where it goes down, as the order is then read from its end.
  const isAfter = (value: number, other: number) => (descending ? value < other : value >= other)
  for (let place = 0; place < values.length; place++) {
    const value = values[place] as number
    if (mask[place] !== 0 || value !== value) continue
    if (best.length === count && isAfter(value, values[best[count - 1] as number] as number)) continue
    let at = best.length === count ? count - 1 : best.length
    for (; at > 0 && !isAfter(value, values[best[at - 1] as number] as number); at--) best[at] = best[at - 1] as number
    best[at] = place
  }
  for (let place = 0; place < values.length && best.length < count; place++)
    if (mask[place] === 0 && Number.isNaN(values[place])) best.push(place)
  return Int32Array.from(best)
}
