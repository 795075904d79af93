import { dayOfMs } from '../../identity'
import { recogniseCurrency } from '../../money'
import { orderOfVotes, orderVotes, parseDay, styleOfVotes, type DateOrder } from '../../notation'
import { applyLearned, type Learned } from './learned'
import type { OpenedFile } from '../open/opened-file'
import { fileQuestions, type FoundFileCurrency, type Question } from './questions'
import { readNotes } from './read-notes'
import { columnStyle, styleVotes } from './column-style'
import type { ColumnUse, KindGuess } from './guess'
import { Recogniser } from './guess-columns'
import type { Mapping } from '../mapping'
import { readHeading } from './heading'
import { recordKind } from '../../records'

export interface Proposal {
  mapping: Mapping
  /** what each kind makes of the columns, best first */
  kinds: KindGuess[]
  questions: Question[]
  /** why capture day, window and currency are what they are */
  reasons: { capturedOn: string; window: string; currency: string }
  /** what is not read although somebody may look for it, in sentences */
  leftAside: string[]
  /** places of the columns that are read as the seller once said */
  learned: number[]
  /** something of the file as a whole is as the seller once said for files of its shape */
  answered: boolean
}

export interface ProposeOptions {
  /** what the seller has corrected in earlier files (default: nothing) */
  learned?: Learned | null
  /** made once, as it knows all words of all fields (default: made anew) */
  recogniser?: Recogniser
}

/** Proposes how a file is to be read, with the questions that are truly open. `now` says what day it is: ms since 1970. */
export function proposeMapping(file: OpenedFile, now: number, options: ProposeOptions = {}): Proposal {
  const { learned = null, recogniser = new Recogniser() } = options
  const rows = spreadRows(file)
  const columns = file.headings.map((heading, at) => {
    const cells = rows.map((r) => r.cells[at] ?? null)
    return { heading, cells, votes: styleVotes(cells) }
  })
  const number = styleOfVotes(columns.map((c) => c.votes.number))
  const order = orderOfVotes([...columns.map((c) => c.votes.order), orderVotes(file.headings)])
  const whole = { number: number.style, order: order.order }
  const styled = columns.map(({ heading, cells, votes }) => columnStyle(heading, cells, votes, whole))
  const known = applyLearned(
    learned,
    file,
    recogniser.guess(file, { ...whole, learned, styles: styled.map((s) => s.style) }),
  )
  const kinds = known.kinds
  const best = kinds[0] as KindGuess
  const noted = readNotes(file.notes, order.order)
  const window = readWindow(file, best, noted.period)
  const currency = findCurrency(file, best)
  const captured = noted.day ?? captureColumn(file, order.order) ?? lastDay(file, best, order.order, dayOfMs(now))
  const split = splitByCurrency(file, best, currency.currency)
  const mapping: Mapping = {
    kind: best.kind,
    columns: split.columns,
    styles: styled.map((s) => s.style),
    number: number.style,
    order: order.order,
    market: null,
    supplier: null,
    currency: currency.sure ? currency.currency : null,
    capturedOn: Math.min(captured?.day ?? Infinity, dayOfMs(now)),
    windowDays: window.days,
    latestDay: dayOfMs(now) + 1,
    ...known.answers,
  }
  return {
    mapping,
    kinds,
    questions: fileQuestions({ file, best, kinds, number, order, currency, styled, now: dayOfMs(now) }),
    reasons: {
      capturedOn: captured?.why ?? 'the day it was brought in',
      window: window.why,
      currency: currency.why,
    },
    leftAside: split.aside,
    learned: known.places,
    answered: known.answered,
  }
}

/** cells that styles are judged by: all of the sample, but for very wide files */
const [mostCells, leastRows] = [60_000, 400]

/** Rows of the sample, spread over all of it. */
function spreadRows({ sample, headings }: OpenedFile): OpenedFile['sample'] {
  const wanted = Math.max(leastRows, Math.floor(mostCells / Math.max(1, headings.length)))
  const step = sample.length / wanted
  return step <= 1
    ? sample
    : Array.from({ length: wanted }, (_, i) => sample[Math.floor(i * step)] as (typeof sample)[number])
}

/** A column that says on which day the file was made, the same on every row. */
function captureColumn(file: OpenedFile, order: DateOrder): { day: number; why: string } | null {
  const at = file.headings.findIndex((h) =>
    /\b(?:captured|exported|as of|snapshot|retrieved)\b/.test(readHeading(h).words.join(' ')),
  )
  const days = new Set(at < 0 ? [] : file.sample.map((r) => parseDay(String(r.cells[at] ?? ''), order)))
  const [day] = days
  return days.size === 1 && typeof day === 'number' ? { day, why: `the column '${file.headings[at]}'` } : null
}

/** For kinds whose rows belong to days, the newest in the sample; a longer file may go on, so the import takes the newest of all rows. */
function lastDay(
  file: OpenedFile,
  guess: KindGuess,
  order: DateOrder,
  today: number,
): { day: number; why: string } | null {
  const { dayMeans, dayField = 'day' } = recordKind(guess.kind)
  if (!dayMeans) return null
  const wide = guess.columns.flatMap(({ use }) => (use.as === 'day' ? [use.day] : []))
  const at = guess.columns.findIndex(({ use }) => use.as === 'field' && use.field === dayField)
  const days = at < 0 ? wide : file.sample.flatMap((r) => parseDay(String(r.cells[at] ?? ''), order) ?? [])
  const past = days.filter((d) => d <= today)
  return past.length === 0 ? null : { day: past.reduce((a, b) => Math.max(a, b)), why: 'the last day in the file' }
}

function readWindow(file: OpenedFile, guess: KindGuess, period: number | null): { days: number; why: string } {
  const at = guess.columns.findIndex(
    ({ use }) => use.as === 'field' && (use.field === 'units' || use.field === 'revenue'),
  )
  const heading = file.headings[at] ?? ''
  const { window } = readHeading(heading)
  if (at >= 0 && window !== null) return { days: window, why: `the heading '${heading}'` }
  if (period !== null) return { days: period, why: 'the period in the file' }
  return { days: 30, why: 'assumed: the file does not say' }
}

/** The currency of the file: of the heading of what it lives on first, then of any heading, the lines above, and the amounts. */
function findCurrency(file: OpenedFile, guess: KindGuess): FoundFileCurrency {
  const first = guess.columns.findIndex(({ use }) => use.as === 'tier' || (use.as === 'field' && use.field === 'price'))
  const headings = first < 0 ? file.headings : [file.headings[first] ?? '', ...file.headings]
  for (const heading of headings) {
    const { currency } = readHeading(heading)
    if (currency) return { currency, sure: true, why: `a heading: ${heading}` }
  }
  let doubtful: { currency: string; why: string } | null = null
  const cells = file.sample.slice(0, 50).flatMap((r) => r.cells.filter((c): c is string => typeof c === 'string'))
  const money = cells.filter((c) => c.length < 24 && /\d/.test(c))
  for (const [texts, where] of [
    [file.headings, 'a heading'],
    [file.notes, 'the lines above the table'],
    [money, 'the amounts'],
  ] as const) {
    for (const text of texts) {
      const found = recogniseCurrency(text)
      if (found?.sure) return { currency: found.currency, sure: true, why: `${where}: ${text.slice(0, 80)}` }
      if (found) doubtful ??= { currency: found.currency, why: `${where}: ${text.slice(0, 80)}` }
    }
  }
  return { currency: doubtful?.currency ?? null, sure: false, why: doubtful?.why ?? 'not said in the file' }
}

/** A row has one currency: amounts whose heading names another are left aside and told of, since adding them would be wrong. */
function splitByCurrency(
  file: OpenedFile,
  guess: KindGuess,
  currency: string | null,
): { columns: ColumnUse[]; aside: string[] } {
  const money = new Set(
    recordKind(guess.kind)
      .fields.filter((f) => f.type === 'money')
      .map((f) => f.name),
  )
  const aside: string[] = []
  const columns = guess.columns.map(({ use }, at): ColumnUse => {
    const named = use.as === 'field' && money.has(use.field) ? readHeading(file.headings[at] as string).currency : null
    if (named === null || currency === null || named === currency) return use
    aside.push(
      `'${file.headings[at]}' is in ${named}, the other amounts in ${currency}: it is left aside, as a row has one currency.`,
    )
    return { as: 'unused' }
  })
  return { columns, aside }
}
