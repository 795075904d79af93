import { normaliseGtin, shownGtin } from '../identity'
import { writeCsv } from '../notation'
import { statusOf, type ListingStatus } from './status-of'

/** By what an item is asked about. */
export type IdentifierForm = 'barcode' | 'listing' | 'title'

/** An item that is asked about: one of its listings, on the market that is asked. */
export interface Asked {
  item: string
  market: string
  id: string
  gtin: string | null
  title: string
}

/** The identifiers of what is asked, one a line, each once; what has none of the form is left out. */
export function identifiersOf(asked: readonly Asked[], form: IdentifierForm): string[] {
  const of = ({ gtin, id, title }: Asked) =>
    form === 'barcode' ? (gtin === null ? null : shownGtin(gtin)) : form === 'listing' ? id : title
  return [...new Set(asked.flatMap((a) => of(a) ?? []))]
}

/** An answer that was pasted back. */
export interface PastedAnswer {
  asked: Asked
  status: ListingStatus
  /** the line's own words beside the identifier */
  note: string
}

export interface PastedAnswers {
  answers: PastedAnswer[]
  /** lines that name something that was not asked, or say nothing that is understood; headings are no such lines */
  unread: string[]
}

/**
 * Reads what a market answered, however it is laid out: a table with or without headings, one line an item, or lists under headings that say
 * 'restricted' or 'allowed'. Each line is searched for an identifier that was asked, by barcode, listing number or whole title; what else it
 * says is the answer.
 */
export function pastedAnswers(text: string, asked: readonly Asked[]): PastedAnswers {
  const find = finder(asked)
  const found = new Map<string, PastedAnswer>()
  const unread: string[] = []
  let under: ListingStatus = 'unknown'
  let isFirst = true
  for (const line of text.split(/\r\n|[\r\n]/)) {
    if (line.trim() === '') continue
    const { met, rest } = find(line)
    const says = statusOf(rest)
    if (met.length === 0) {
      // a line without anything that was asked is a heading: of a column where it stands first, of a list where it says an answer alone
      const isHeading = says !== 'unknown' && line.trim().split(/\s+/).length <= 5 && !/[,;\t|]/.test(line)
      if (isHeading) under = says
      else if (!isFirst) unread.push(line.trim())
      isFirst = false
      continue
    }
    isFirst = false
    const status = says === 'unknown' ? under : says
    if (status === 'unknown') unread.push(line.trim())
    else for (const a of met) found.set(a.item, { asked: a, status, note: tidied(rest) })
  }
  return { answers: [...found.values()], unread }
}

/** 'MG-100:' is MG-100. */
const withoutStop = (token: string) => (/[:.]$/.test(token) ? token.slice(0, -1) : token)

const tidied = (rest: string) =>
  rest
    .replace(/["\t;,|]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 200)

/** Finds what a line speaks of, and what it says beside it. */
function finder(asked: readonly Asked[]): (line: string) => { met: Asked[]; rest: string } {
  const byWord = new Map<string, Asked[]>()
  const put = (word: string, a: Asked) => byWord.set(word, [...(byWord.get(word) ?? []), a])
  const titles: [string, Asked][] = []
  for (const a of asked) {
    if (a.gtin !== null) put(a.gtin, a)
    put(a.id.toLowerCase(), a)
    titles.push([a.title.toLowerCase(), a])
  }
  // longer titles first: one may be the beginning of another
  titles.sort((x, y) => y[0].length - x[0].length)
  return (line) => {
    let rest = line
    for (const token of line.split(/[\s,;|"']+/)) {
      const met = byWord.get(normaliseGtin(token) ?? '') ?? byWord.get(withoutStop(token).toLowerCase())
      if (!met) continue
      rest = rest.replace(token, ' ')
      return { met, rest: withoutTitles(rest, met) }
    }
    const low = line.toLowerCase()
    const title = titles.find(([t]) => t.length > 5 && low.includes(t))
    if (!title) return { met: [], rest }
    const at = low.indexOf(title[0])
    return { met: [title[1]], rest: `${line.slice(0, at)} ${line.slice(at + title[0].length)}` }
  }
}

/** A title that stands beside its number is no answer: 'stop sign, no parking' says nothing of whether it may be listed. */
function withoutTitles(rest: string, met: readonly Asked[]): string {
  const low = rest.toLowerCase()
  const title = met.map((a) => a.title.toLowerCase()).find((t) => t !== '' && low.includes(t))
  if (title === undefined) return rest
  const at = low.indexOf(title)
  return `${rest.slice(0, at)} ${rest.slice(at + title.length)}`
}

/** Answers as a file of the kind `restricted`. @param day ISO day on which they were pasted */
export function answersFile(answers: readonly PastedAnswer[], day: string): string {
  const rows = answers.map(({ asked: { market, id, gtin, title }, status, note }) => [
    market,
    title,
    'item',
    status,
    note,
    day,
    gtin === null ? null : shownGtin(gtin),
    id,
  ])
  return writeCsv([['Market', 'What', 'Sort', 'Status', 'Note', 'Checked on', 'EAN', 'Item ID'], ...rows])
}
/** fields of those columns, in their order */
export const answerFields = ['market', 'what', 'sort', 'status', 'note', 'checked', 'gtin', 'id'] as const
