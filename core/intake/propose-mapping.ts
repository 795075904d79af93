import { dayOfMs } from '../identity'
import { recogniseCurrency } from '../money'
import { guessDateOrder, parseDay, type DateOrder } from './day-style'
import { guessColumns, headingWords, type ColumnUse, type KindGuess } from './guess-columns'
import { guessNumberStyle, type NumberStyle } from './number-style'
import type { OpenedFile } from './opened-file'
import { recordKind, type KindName } from './record-kinds'

/** How one file is read: all that the user can correct, and all that is remembered for files of the same shape. */
export interface Mapping {
  kind: KindName
  columns: ColumnUse[]
  number: NumberStyle
  order: DateOrder
  /** for the whole file, where no column says it; null is still open */
  market: string | null
  supplier: string | null
  currency: string | null
  /** last day the figures speak of, days since 1970 */
  capturedOn: number
  /** length of the window that 'units' counts, in days */
  windowDays: number
  /** doubts about style that the user has settled */
  said?: ('order' | 'number')[]
}

/** What only the user can know. */
export interface Question {
  about: 'kind' | 'order' | 'number' | 'currency' | 'market' | 'supplier'
  text: string
  options: { label: string; value: string }[]
}

export interface Proposal {
  mapping: Mapping
  certainty: number[]
  kinds: KindGuess[]
  questions: Question[]
  /** why capture day, window and currency are what they are */
  reasons: { capturedOn: string; window: string; currency: string }
}

/** Proposes how a file is to be read, with the questions that are truly open. `now` is used only where the file names no day. */
export function proposeMapping(file: OpenedFile, now: number): Proposal {
  const texts = file.sample.flatMap((r) => r.cells.filter((c) => typeof c === 'string'))
  const number = guessNumberStyle(texts)
  const order = guessDateOrder([...texts, ...file.headings])
  const kinds = guessColumns(file, { number: number.style, order: order.order })
  const best = kinds[0] as KindGuess
  const noted = readNotes(file.notes, order.order)
  const window = readWindow(file, best, noted.period)
  const currency = findCurrency(file)
  const captured = noted.day ?? captureColumn(file, order.order) ?? lastDay(file, best, order.order)
  const mapping: Mapping = {
    kind: best.kind,
    columns: best.columns.map((c) => c.use),
    number: number.style,
    order: order.order,
    market: null,
    supplier: null,
    currency: currency.sure ? currency.currency : null,
    capturedOn: captured?.day ?? dayOfMs(now),
    windowDays: window.days,
  }
  const questions: Question[] = []
  if (best.missing.length > 0) questions.push(kindQuestion(kinds))
  if (!order.sure) questions.push(orderQuestion(order.example ?? ''))
  if (!number.sure) questions.push(numberQuestion(number.example ?? ''))
  if (!currency.sure && !has(best, 'currency') && hasMoney(best)) questions.push(currencyQuestion(currency.currency))
  const { from } = recordKind(best.kind)
  if (!has(best, from)) questions.push(fromQuestion(from))
  const reasons = {
    capturedOn: captured?.why ?? 'the day it was brought in',
    window: window.why,
    currency: currency.why,
  }
  return { mapping, certainty: best.columns.map((c) => c.certainty), kinds, questions, reasons }
}

function hasMoney(guess: KindGuess): boolean {
  const money = recordKind(guess.kind)
    .fields.filter((f) => f.type === 'money')
    .map((f) => f.name)
  return guess.columns.some((c) => c.use.as === 'tier' || (c.use.as === 'field' && money.includes(c.use.field)))
}

/** A column that says on which day the file was made, the same on every row. */
function captureColumn(file: OpenedFile, order: DateOrder): { day: number; why: string } | null {
  const at = file.headings.findIndex((h) => /\b(captured|exported|as of|snapshot|retrieved)\b/.test(headingWords(h)))
  const days = new Set(at < 0 ? [] : file.sample.map((r) => parseDay(String(r.cells[at] ?? ''), order)))
  const [day] = days
  return days.size === 1 && typeof day === 'number' ? { day, why: `the column '${file.headings[at]}'` } : null
}

function has(guess: KindGuess, field: string): boolean {
  return guess.columns.some((c) => c.use.as === 'field' && c.use.field === field)
}

const anyDate = /\d{4}-\d{2}-\d{2}|\d{1,2}\.? \p{L}{3,} \d{4}|\p{L}{3,} \d{1,2}, \d{4}|\d{1,2}[./]\d{1,2}[./]\d{4}/gu

function readNotes(
  notes: string[],
  order: DateOrder,
): { day: { day: number; why: string } | null; period: number | null } {
  for (const note of notes) {
    const range = /(?:^|\s)(\d[^]*?|\p{L}+ \d[^]*?)\s+(?:to|until|–|-|bis)\s+([^]+)$/u.exec(
      note.replace(/^period:?\s*/i, ''),
    )
    const [from, to] = range ? [parseDay(range[1] ?? '', order), parseDay(range[2] ?? '', order)] : [null, null]
    if (from !== null && to !== null && to >= from) {
      return { day: { day: to, why: `the file says: ${note}` }, period: to - from + 1 }
    }
    const one = [...note.matchAll(anyDate)].map(([text]) => parseDay(text, order)).find((d) => d !== null)
    if (one !== undefined && one !== null) return { day: { day: one, why: `the file says: ${note}` }, period: null }
  }
  return { day: null, period: null }
}

/** For kinds whose rows belong to days, the newest in the sample; a longer file may go on, so the import takes the newest of all rows. */
function lastDay(file: OpenedFile, guess: KindGuess, order: DateOrder): { day: number; why: string } | null {
  const { isBy, dayField = 'day' } = recordKind(guess.kind)
  if (!isBy) return null
  const wide = guess.columns.flatMap((c) => (c.use.as === 'day' ? [c.use.day] : []))
  const at = guess.columns.findIndex((c) => c.use.as === 'field' && c.use.field === dayField)
  const days = at < 0 ? wide : file.sample.flatMap((r) => parseDay(String(r.cells[at] ?? ''), order) ?? [])
  return days.length === 0 ? null : { day: Math.max(...days), why: 'the last day in the file' }
}

function readWindow(file: OpenedFile, guess: KindGuess, period: number | null): { days: number; why: string } {
  const at = guess.columns.findIndex((c) => c.use.as === 'field' && c.use.field === 'units')
  const words = at < 0 ? '' : headingWords(file.headings[at] ?? '')
  const m = /(\d{1,3}) ?d(?:ays?)?\b/.exec(words)
  if (m) return { days: Number(m[1]), why: `the heading '${file.headings[at]}'` }
  if (/\bmonth\b/.test(words)) return { days: 30, why: `the heading '${file.headings[at]}'` }
  if (/\bweek\b/.test(words)) return { days: 7, why: `the heading '${file.headings[at]}'` }
  if (period !== null) return { days: period, why: 'the period in the file' }
  return { days: 30, why: 'assumed: the file does not say' }
}

function findCurrency(file: OpenedFile): { currency: string | null; sure: boolean; why: string } {
  let doubtful: { currency: string; why: string } | null = null
  const cells = file.sample.slice(0, 50).flatMap((r) => r.cells.filter((c): c is string => typeof c === 'string'))
  const money = cells.filter((c) => /\d/.test(c) && c.length < 24)
  for (const [texts, where] of [
    [file.headings, 'a heading'],
    [file.notes, 'the lines above the table'],
    [money, 'the amounts'],
  ] as const) {
    for (const text of texts) {
      const found = recogniseCurrency(text)
      if (found?.sure) return { currency: found.currency, sure: true, why: `${where}: ${text}` }
      if (found) doubtful ??= { currency: found.currency, why: `${where}: ${text}` }
    }
  }
  return { currency: doubtful?.currency ?? null, sure: false, why: doubtful?.why ?? 'not said in the file' }
}

function kindQuestion(kinds: KindGuess[]): Question {
  return {
    about: 'kind',
    text: 'What does this file hold?',
    options: kinds.map((k) => ({ label: recordKind(k.kind).label, value: k.kind })),
  }
}

function fromQuestion(from: 'market' | 'supplier'): Question {
  const text = from === 'market' ? 'Which market is this file from?' : 'Which supplier is this price list from?'
  return { about: from, text, options: [] }
}

function orderQuestion(example: string): Question {
  return {
    about: 'order',
    text: `Is ${example} written day first or month first?`,
    options: [
      { label: 'Day first', value: 'dmy' },
      { label: 'Month first', value: 'mdy' },
    ],
  }
}

function numberQuestion(example: string): Question {
  const mark = example.includes(',') ? ',' : '.'
  const [thousands, decimal] = [example.replace(mark, ''), example.replace(mark, '.')]
  return {
    about: 'number',
    text: `Does ${example} mean ${thousands} or ${decimal}?`,
    options: [
      { label: thousands, value: mark === ',' ? '.' : ',' },
      { label: decimal, value: mark },
    ],
  }
}

function currencyQuestion(likely: string | null): Question {
  const common = ['EUR', 'GBP', 'USD', 'CAD', 'AUD', 'PLN', 'SEK', 'CHF', 'JPY']
  const order = likely ? [likely, ...common.filter((c) => c !== likely)] : common
  return {
    about: 'currency',
    text: 'Which currency are the amounts in?',
    options: order.map((c) => ({ label: c, value: c })),
  }
}
