import { shownGtin } from '../identity'
import { writeCsv } from '../notation'
import { questionsOf } from './answer-questions'
import { askedFinder, type Asked } from './asked'
import { statusOf, type ListingStatus } from './status-of'

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
 * Reads what a market answered, however it is laid out: a table with or without headings, one line an item, lists under headings that say
 * 'restricted' or 'allowed', or an answer below each item. Each line is searched for what was asked; what else it says is the answer.
 */
export function pastedAnswers(text: string, asked: readonly Asked[]): PastedAnswers {
  const find = askedFinder(asked)
  const lines = text.split(/\r\n|[\r\n]/).map((line) => line.replaceAll('""', '"').trim())
  const legend = legendOf(lines)
  const found = new Map<string, PastedAnswer>()
  const unread: string[] = []
  let under: ListingStatus = 'unknown'
  let questions: ReturnType<typeof questionsOf> = null
  /** items of the line before, as long as nothing was said of them */
  let open: { line: string; met: Asked[] } | null = null
  const take = (met: Asked[], status: ListingStatus, note: string) => {
    for (const a of met) found.set(a.item, { asked: a, status, note: tidied(note) })
  }
  const close = () => {
    if (open) unread.push(open.line)
    open = null
  }
  for (const [i, line] of lines.entries()) {
    if (!/[\p{L}\p{N}]/u.test(line)) continue
    const { met, rest } = find(line)
    const says = legend.get(rest.replace(/[^\p{L}\p{N}]/gu, '')) ?? saidBy(rest)
    if (met.length === 0) {
      const asks = found.size === 0 && !open ? questionsOf(line) : null
      if (asks) questions = asks
      else if (says !== 'unknown' && isAnswerAlone(line)) {
        // below an item of which nothing is said it is the answer, else the heading of a list
        if (open?.met.length === 1) take(open.met, says, line)
        else under = says
        open = null
      } else if (i > 0 && !isLegend(line)) unread.push(line)
      continue
    }
    close()
    const status = questions?.(line) ?? (says === 'unknown' ? under : says)
    if (status === 'unknown') open = { line, met }
    else take(met, status, rest)
  }
  close()
  return { answers: [...found.values()], unread }
}

/** Short, and no row of a table. */
const isAnswerAlone = (line: string) => line.split(/\s+/).length <= 5 && !/[,;\t|]/.test(line)

/** What words say, or a mark that stands without any. */
function saidBy(words: string): ListingStatus {
  const says = statusOf(words)
  if (says !== 'unknown') return says
  const [isYes, isNo] = [/[✓✔✅☑]/u.test(words), /[✗✘✖❌⛔🚫]/u.test(words)]
  return isYes === isNo ? 'unknown' : isYes ? 'allowed' : 'restricted'
}

const signs = /(?:^|[\s,;])([\p{L}\p{N}]{1,3})\s*[=:]\s*([^,;]+)/gu
const isLegend = (line: string) => [...line.matchAll(signs)].length >= 2

/** What short signs stand for, where a line says so: 'Y = may be listed, N = may not be'. */
function legendOf(lines: readonly string[]): Map<string, ListingStatus> {
  const pairs = lines.filter(isLegend).flatMap((line) => [...line.matchAll(signs)])
  return new Map(
    pairs.flatMap(([, sign = '', words = '']) => (statusOf(words) === 'unknown' ? [] : [[sign, statusOf(words)]])),
  )
}

const tidied = (rest: string) =>
  rest
    .replace(/["\t;,|]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 200)

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
