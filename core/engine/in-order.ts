import type { Sorted } from './sorted-places'

/** The rows that fail nothing, by a sorted column, one by one; unknown values last, whichever way it is sorted. */
export function* inOrder(mask: Uint32Array, { places, known }: Sorted, descending: boolean): Generator<number> {
  for (let i = 0; i < places.length; i++) {
    const place = places[descending && i < known ? known - 1 - i : i] as number
    if (mask[place] === 0) yield place
  }
}
