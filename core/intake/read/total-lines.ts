import { isBlank, type Cell } from '../../notation'
import { fold } from '../recognise/heading'

/** Words for a line of totals, in the languages that are read, without accents. */
const totalWords = new Set(
  'total|totals|sum|sums|subtotal|grand total|overall|summe|gesamt|gesamtsumme|insgesamt|zwischensumme|endsumme|somme|sous-total|total general|ensemble|suma|suma total|subtotales|totales|totale|somma|subtotale|totale generale|totali|totaal|subtotaal|eindtotaal|som|razem|ogolem|lacznie|suma calkowita|soma|total geral|totais'
    .split('|')
    .map(fold),
)
const longest = 40

/** May a first cell begin a line of totals? */
export function isTotalWord(text: string): boolean {
  return text.length <= longest && totalWords.has(wordsOf(text).split(/[ :(]/)[0] ?? '')
}

/**
 * The words of a line of totals, null where a row is none: its first cell that holds something is a word for it, or begins with one
 * where the row lacks what a record needs ('Total May').
 *
 * @param isWhole the row has all that its kind needs
 */
export function totalIn(cells: readonly Cell[], isWhole: boolean): string | null {
  const first = cells.find((c) => !isBlank(c))
  if (typeof first !== 'string' || first.length > longest) return null
  if (totalWords.has(wordsOf(first))) return first.trim()
  return !isWhole && isTotalWord(first) ? first.trim() : null
}

function wordsOf(text: string): string {
  return fold(text).replace(/[:.…]/g, ' ').trim()
}
