/** Places in a list by the number that stands there: those of one are in `places` from `starts[number]` up to `starts[number + 1]`. */
export interface PlacesByNumber {
  starts: Int32Array
  places: Int32Array
}

/**
 * Sorts places by their numbers, those of one number in their own order (a counting sort). A list for each of a quarter of a million numbers
 * would be dear.
 *
 * @param numbers 0 upwards; what is below 0 is left out
 */
export function placesByNumber(numbers: Int32Array): PlacesByNumber {
  // by their places, not one by one: of a million the seller waits for it
  const length = numbers.length
  let most = 0
  for (let at = 0; at < length; at++) if ((numbers[at] as number) >= most) most = (numbers[at] as number) + 1
  const starts = new Int32Array(most + 1)
  for (let at = 0; at < length; at++) if ((numbers[at] as number) >= 0) starts[(numbers[at] as number) + 1]!++
  for (let i = 0; i < most; i++) starts[i + 1]! += starts[i] as number
  const next = starts.slice()
  const places = new Int32Array(starts[most] as number)
  for (let at = 0; at < length; at++) if ((numbers[at] as number) >= 0) places[next[numbers[at] as number]!++] = at
  return { starts, places }
}
