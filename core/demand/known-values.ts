/** The values that are known, in their order; NaN is a gap and left out. The list is the caller's own. */
export function knownValues(values: ArrayLike<number>): number[] {
  return knownPoints(values).known
}

/** The values that are known, and where each stands. Shape: two lists of one length. */
export function knownPoints(values: ArrayLike<number>): { places: number[]; known: number[] } {
  const [places, known]: [number[], number[]] = [[], []]
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number
    if (value !== value) continue
    places.push(i)
    known.push(value)
  }
  return { places, known }
}
