import Papa from 'papaparse'
import { statusOrder } from './clearer'
import { statusOf, type ListingStatus } from './status-of'

/** Reads a row of a table whose columns ask questions, such as 'Restricted?' or 'Can be listed'; null where it answers none. */
export type RowReader = (line: string) => ListingStatus | null

const yes = new Set('yes y true 1 x ja oui si sí sim tak ✓ ✔ ✅ ☑'.split(' '))
const no = new Set('no n false 0 nein non nee nie não - ✗ ✘ ✖ ❌'.split(' '))
/** what a question comes to where the answer to it is no */
const turned: Record<ListingStatus, ListingStatus> = {
  restricted: 'allowed',
  'needs approval': 'allowed',
  allowed: 'restricted',
  unknown: 'unknown',
}

/** headings of what is asked about, not of an answer */
const namesItems = /^listings?$|title|name|number|\bid\b|\bno\b/i

/**
 * The questions of a heading: only such a table is read by columns, since 'no' below 'Restricted?' is leave, and below 'Can be listed' it is
 * none.
 *
 * @returns null where no column asks anything
 */
export function questionsOf(heading: string): RowReader | null {
  const delimiter = ['\t', ';', '|', ','].find((d) => heading.includes(d))
  if (delimiter === undefined || /\d/.test(heading)) return null
  const cellsOf = (line: string) => (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []).map((c) => c.trim())
  const asked = cellsOf(heading).map((cell) => (namesItems.test(cell) ? 'unknown' : statusOf(cell)))
  if (asked.every((a) => a === 'unknown')) return null
  return (line) => {
    const cells = cellsOf(line)
    const told = asked.map((question, i) => (question === 'unknown' ? 'unknown' : answer(question, cells[i] ?? '')))
    return statusOrder.find((s) => s !== 'unknown' && told.includes(s)) ?? null
  }
}

function answer(question: ListingStatus, cell: string): ListingStatus {
  const word = cell.toLowerCase()
  return yes.has(word) ? question : no.has(word) ? turned[question] : statusOf(cell)
}
