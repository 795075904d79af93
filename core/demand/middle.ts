/** The middle of some values, the mean of the two middle ones of an even number; null without any. */
export function middleOf(values: Iterable<number>): number | null {
  const sorted = Float64Array.from(values).sort()
  if (sorted.length === 0) return null
  const at = sorted.length >> 1
  const upper = sorted[at] as number
  return sorted.length % 2 === 1 ? upper : ((sorted[at - 1] as number) + upper) / 2
}
