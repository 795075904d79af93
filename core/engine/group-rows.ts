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
 * Rolls rows up by a text column: counts and sums of each group, in one pass for two measures. A row without a group, or one that
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
  const taken = chosen(codes, mask)
  const groups: Groups = { rows: new Int32Array(size), sums: [], known: [] }
  // two measures in one pass over the codes; none at all still counts rows
  for (let m = 0; m === 0 || m < measures.length; m += 2) {
    const pair = measures.slice(m, m + 2)
    const [first = new Float64Array(codes.length), second = first] = pair
    unpack(addUp(taken, size, first, second), groups, pair.length)
  }
  return groups
}

/** Codes with those of rows that fail a limit taken out. */
function chosen(codes: Int32Array, mask: Uint32Array | null): Int32Array {
  if (!mask) return codes
  const taken = new Int32Array(codes.length)
  for (let i = 0; i < codes.length; i++) taken[i] = mask[i] === 0 ? (codes[i] as number) : -1
  return taken
}

/** what a group takes in the sums: rows, then sum and unknown values of either measure; side by side, as they are reached for together */
const stride = 5

function addUp(codes: Int32Array, size: number, a: Float64Array, b: Float64Array): Float64Array {
  const sums = new Float64Array(size * stride)
  for (let i = 0; i < codes.length; i++) {
    const code = codes[i] as number
    if (code < 0) continue
    const at = code * stride
    const x = a[i] as number
    const y = b[i] as number
    sums[at] = (sums[at] as number) + 1
    if (x === x) sums[at + 1] = (sums[at + 1] as number) + x
    else sums[at + 2] = (sums[at + 2] as number) + 1
    if (y === y) sums[at + 3] = (sums[at + 3] as number) + y
    else sums[at + 4] = (sums[at + 4] as number) + 1
  }
  return sums
}

function unpack(packed: Float64Array, groups: Groups, measures: number): void {
  const of = (slot: number) => groups.rows.map((_, g) => packed[g * stride + slot] as number)
  groups.rows = of(0)
  for (let m = 0; m < measures; m++) {
    groups.sums.push(new Float64Array(groups.rows.length).map((_, g) => packed[g * stride + 1 + 2 * m] as number))
    const unknown = of(2 + 2 * m)
    groups.known.push(groups.rows.map((n, g) => n - (unknown[g] as number)))
  }
}
