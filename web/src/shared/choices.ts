/** Choices of a select that are named by what they are. */
export function choicesOf<T extends string>(...values: T[]): { label: T; value: T }[] {
  return values.map((value) => ({ label: value, value }))
}
