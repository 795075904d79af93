import { munkres } from 'munkres'

/** where gains are equal, columns are taken in the order of the rows, and the first of them */
const forOrder = 1e-9

/**
 * Gives each row one column, or none, for the greatest total gain (the assignment problem; Kuhn 1955, Munkres 1957). A gain of 0 or less
 * is left out.
 *
 * @param gains by row and column; -Infinity where they cannot go together
 * @returns by row: its column, or -1
 */
export function bestAssignment(gains: readonly (readonly number[])[]): number[] {
  const found = new Array<number>(gains.length).fill(-1)
  // what gains nothing costs nothing: it stands for none
  const costs = gains.map((row, r) => row.map((gain, c) => (gain > 0 ? -gain + forOrder * c * (gains.length - r) : 0)))
  for (const [row, column] of munkres(costs)) if ((costs[row]?.[column] as number) < 0) found[row] = column
  return found
}
