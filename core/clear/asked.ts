import { normaliseGtin, shownGtin } from '../identity'

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

/** What a line speaks of, and what it says beside that. */
export interface Met {
  met: Asked[]
  rest: string
}

/** Finds by barcode, listing number or whole title what a line speaks of: one item, or a list of several side by side. */
export function askedFinder(asked: readonly Asked[]): (line: string) => Met {
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
  const named = (token: string) =>
    byWord.get(normaliseGtin(token) ?? '') ?? byWord.get(withoutStop(token).toLowerCase())
  return (line) => {
    const run = namedInARow(line, named)
    if (run.met.length > 0) return { met: run.met, rest: withoutTitles(run.rest, run.met) }
    const low = line.toLowerCase()
    const title = titles.find(([t]) => t.length > 5 && low.includes(t))
    return title ? { met: [title[1]], rest: without(line, title[0]) } : { met: [], rest: line }
  }
}

/** shorter numbers may be anything in a line, such as a price beside the number that is meant */
const surelyANumber = 4

/** The first identifier of a line, and those that follow it directly. */
function namedInARow(line: string, named: (token: string) => Asked[] | undefined): Met {
  const met = new Set<Asked>()
  let [from, end] = [-1, -1]
  for (const token of line.matchAll(/[^\s,;|"'()[\]]+/g)) {
    const [word, at] = [token[0], token.index]
    const found = named(word)
    const isLast = line.slice(at + word.length).trim() === ''
    if (found && (from < 0 || word.length >= surelyANumber || isLast)) {
      if (from < 0) from = at
      for (const a of found) met.add(a)
      end = at + word.length
    } else if (from >= 0) break
  }
  return { met: [...met], rest: from < 0 ? line : `${line.slice(0, from)} ${line.slice(end)}` }
}

/** 'MG-100:' is MG-100. */
const withoutStop = (token: string) => (/[:.]$/.test(token) ? token.slice(0, -1) : token)

/** A title that stands beside its number is no answer: 'stop sign, no parking' says nothing of whether it may be listed. */
function withoutTitles(rest: string, met: readonly Asked[]): string {
  const low = rest.toLowerCase()
  const title = met.map((a) => a.title.toLowerCase()).find((t) => t !== '' && low.includes(t))
  return title === undefined ? rest : without(rest, title)
}

function without(line: string, words: string): string {
  const at = line.toLowerCase().indexOf(words)
  return `${line.slice(0, at)} ${line.slice(at + words.length)}`
}
