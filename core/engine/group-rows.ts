/** What a group has of the rows that were asked for. */
export interface Groups {
  /** rows of each group */
  rows: Int32Array
  /** per measure: the sum over those of them whose value is known */
  sums: Float64Array[]
  /** per measure: how many values the sum is over */
  known: Int32Array[]
}

/**
 * Rolls rows up by a text column: counts and sums of each group in one pass over each column. A row without a group, or one that
 * fails a limit, is left out; an unknown value (NaN) adds nothing and is not counted as known.
 *
 * @param codes group of each row, 0 to `size - 1`; -1 where it has none
 * @param mask limits that each row fails, see Screen; null takes all rows
 */
export function groupRows(
  codes: Int32Array,
  size: number,
  measures: readonly Float64Array[],
  mask: Uint32Array | null,
): Groups {
  const rows = new Int32Array(size)
  const taken = chosen(codes, mask)
  for (let i = 0; i < taken.length; i++) {
    const code = taken[i] as number
    if (code >= 0) rows[code] = (rows[code] as number) + 1
  }
  const sums: Float64Array[] = []
  const known: Int32Array[] = []
  for (const values of measures) {
    const sum = new Float64Array(size)
    const count = new Int32Array(size)
    addUp(taken, values, sum, count)
    sums.push(sum)
    known.push(count)
  }
  return { rows, sums, known }
}

/** Codes with those of rows that fail a limit taken out. */
function chosen(codes: Int32Array, mask: Uint32Array | null): Int32Array {
  if (!mask) return codes
  const taken = new Int32Array(codes.length)
  for (let i = 0; i < codes.length; i++) taken[i] = mask[i] === 0 ? (codes[i] as number) : -1
  return taken
}

function addUp(codes: Int32Array, values: Float64Array, sums: Float64Array, counts: Int32Array): void {
  for (let i = 0; i < codes.length; i++) {
    const code = codes[i] as number
    const value = values[i] as number
    if (code < 0 || value !== value) continue
    sums[code] = (sums[code] as number) + value
    counts[code] = (counts[code] as number) + 1
  }
}
