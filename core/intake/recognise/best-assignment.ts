/**
 * Gives each row one column, or none, for the greatest total gain (the assignment problem; Kuhn 1955, Munkres 1957, in the form with
 * potentials, O(rows² × columns)). A gain of 0 or less is left out.
 *
 * @param gains by row and column; -Infinity where they cannot go together
 * @returns by row: its column, or -1
 */
export function bestAssignment(gains: readonly (readonly number[])[]): number[] {
  const rows = gains.length
  const real = gains[0]?.length ?? 0
  // One column more for each row, worth nothing: "none".
  const columns = real + rows
  const costOf = (r: number, c: number) => (c < real ? -Math.max(gains[r]?.[c] ?? -1, -1e6) : 0)
  const u = new Float64Array(rows + 1)
  const v = new Float64Array(columns + 1)
  const rowOf = new Int32Array(columns + 1)
  const way = new Int32Array(columns + 1)
  for (let r = 1; r <= rows; r++) {
    rowOf[0] = r
    let at = 0
    const least = new Float64Array(columns + 1).fill(Infinity)
    const used = new Uint8Array(columns + 1)
    do {
      used[at] = 1
      const row = rowOf[at] as number
      let delta = Infinity
      let next = 0
      for (let c = 1; c <= columns; c++) {
        if (used[c] === 1) continue
        const cost = costOf(row - 1, c - 1) - (u[row] as number) - (v[c] as number)
        if (cost < (least[c] as number)) {
          least[c] = cost
          way[c] = at
        }
        if ((least[c] as number) < delta) {
          delta = least[c] as number
          next = c
        }
      }
      for (let c = 0; c <= columns; c++) {
        if (used[c] === 1) {
          const held = rowOf[c] as number
          u[held] = (u[held] as number) + delta
          v[c] = (v[c] as number) - delta
        } else least[c] = (least[c] as number) - delta
      }
      at = next
    } while (rowOf[at] !== 0)
    do {
      const before = way[at] as number
      rowOf[at] = rowOf[before] as number
      at = before
    } while (at !== 0)
  }
  const found = new Array<number>(rows).fill(-1)
  for (let c = 1; c <= real; c++) {
    const row = (rowOf[c] as number) - 1
    if (row >= 0 && (gains[row]?.[c - 1] ?? 0) > 0) found[row] = c - 1
  }
  return found
}
