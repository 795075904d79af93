import { isSmall, stemOf, wordsOf } from '../words'

/**
 * The words of a phrase by their stems, each once: in which form buyers and sellers write a word does not count.
 *
 * @example stems('Feeders for windows') // ['feeder', 'window']
 */
export function stems(phrase: string): string[] {
  return [...new Set(wordsOf(phrase).flatMap((w) => (isSmall(w) ? [] : stemOf(w))))]
}

/** Whether a title or a longer phrase has every word of a phrase, in whatever form and order. */
export function hasWords(text: string, wanted: readonly string[]): boolean {
  if (wanted.length === 0) return false
  const there = new Set(stems(text))
  return wanted.every((stem) => there.has(stem))
}
