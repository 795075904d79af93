import type { Letter } from './quote'

const listed = new Intl.ListFormat('en-GB')

/** An item as a supplier is asked about it. */
export interface Asking {
  title: string
  /** the number of the supplier's own offer; null where none is known */
  number: string | null
  /** whether that offer is the same goods, as far as is known; else it is only like them */
  isSame: boolean
  quantities: readonly number[]
}

/**
 * A message to one supplier about one or several items: numbered where there are several, so that an answer can be told apart by its numbers.
 */
export function quoteMessage(items: readonly Asking[], letter: Pick<Letter, 'opening' | 'questions' | 'closing'>): string {
  const lines = items.map(({ title, number, isSame, quantities }, i) => {
    const name = number === null ? title : `${title} (${isSame ? '' : 'like '}your number ${number})`
    const first = items.length === 1 ? '' : `${i + 1}. `
    return `${first}${name}: ${listed.format(quantities.map(String))} ${Math.max(...quantities) === 1 ? 'pack' : 'packs'}`
  })
  const asked = letter.questions.filter((q) => q.trim() !== '').map((q) => `- ${q}`)
  const parts = [letter.opening, lines.join('\n'), asked.join('\n'), letter.closing]
  return `${parts
    .map((p) => p.trim())
    .filter((p) => p !== '')
    .join('\n\n')}\n`
} // prettier-ignore
