/** Plurals go. @param word case folded, without accents */
export function singular(word: string): string {
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`
  if (word.length > 4 && /(?:ch|sh|x|ss|ns)es$/.test(word)) return word.slice(0, -2)
  return word.length > 3 && word.endsWith('s') && !/(?:ss|us|is|lens)$/.test(word) ? word.slice(0, -1) : word
}
