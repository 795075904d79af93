/** The values that are known, in their order; NaN is a gap and left out. The list is the caller's own. */
export function knownValues(values: ArrayLike<number>): number[] {
  const known: number[] = []
  for (let i = 0; i < values.length; i++) {
    const v = values[i] as number
    if (v === v) known.push(v)
  }
  return known
}
