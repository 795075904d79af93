/**
 * The least whole number, from 0 on, at which a condition holds that holds from there on: found by halving.
 *
 * @param most the last number that is looked at, 0 or more
 * @returns null where it holds nowhere
 */
export function leastWhere(holds: (n: number) => boolean, most: number): number | null {
  if (!holds(most)) return null
  let [from, to] = [0, most]
  while (from < to) {
    const middle = Math.floor((from + to) / 2)
    if (holds(middle)) to = middle
    else from = middle + 1
  }
  return to
}
