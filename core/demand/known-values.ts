/** The values that are known, in their order; NaN is a gap and left out. The array is the caller's own. */
export function knownValues(values: ArrayLike<number>): Float64Array {
  const known = new Float64Array(values.length)
  let n = 0
  for (let i = 0; i < values.length; i++) {
    const v = values[i] as number
    if (v === v) known[n++] = v
  }
  return known.subarray(0, n)
}
