import { stemsOf } from '../words'

/** Whether a title or a longer phrase has every word of a phrase, in whatever form and order. */
export function hasWords(text: string, wanted: readonly string[]): boolean {
  if (wanted.length === 0) return false
  const there = new Set(stemsOf(text))
  return wanted.every((stem) => there.has(stem))
}
