import { parseDay, type DateOrderGuess, type NumberStyleGuess } from '../../notation'
import type { OpenedFile } from '../open/opened-file'
import type { Mapping } from '../mapping'
import type { StyleGuess } from './column-style'
import { kindDoubt, leastScore } from './guess-columns'
import type { ColumnUse, KindGuess } from './guess'
import { isoDay } from '../../identity'
import { holdingOf } from './holding'
import { recordKind, type Field } from '../../records'

export interface FoundFileCurrency {
  currency: string | null
  sure: boolean
  why: string
}

/** What only the user can know. */
export interface Question {
  /** by which an answer is remembered in `Mapping.said` */
  id: string
  about: 'kind' | 'order' | 'number' | 'currency' | 'market' | 'supplier' | 'ratio' | 'future'
  text: string
  options: { label: string; value: string }[]
  /** the column it is about, where it is about one */
  column?: number
}

interface Asked {
  file: OpenedFile
  best: KindGuess
  kinds: readonly KindGuess[]
  number: NumberStyleGuess
  order: DateOrderGuess
  currency: FoundFileCurrency
  styled: readonly StyleGuess[]
  /** days since 1970 */
  now: number
}

/** All questions that a file may raise; which of them are open depends on what its columns are taken for (`openQuestions`). */
export function fileQuestions({ file, best, kinds, number, order, currency, styled, now }: Asked): Question[] {
  const questions: Question[] = []
  const [, second] = kinds
  const isNear = second !== undefined && best.score - second.score < kindDoubt
  const isWeak = best.missing.length > 0 || best.score < leastScore
  if (isWeak || isNear) questions.push(kindQuestion(isWeak ? kinds : kinds.slice(0, 3)))
  if (!order.sure) questions.push(orderQuestion(order.example ?? ''))
  if (!number.sure) questions.push(numberQuestion(number.example ?? ''))
  if (!currency.sure) questions.push(currencyQuestion(currency.currency))
  styled.forEach(({ ratioDoubt }, at) => {
    if (ratioDoubt !== null) questions.push(ratioQuestion(file.headings[at] as string, ratioDoubt, at))
  })
  file.headings.forEach((heading, at) => {
    const later = laterDay(file, at, now, order.order)
    if (later !== null) questions.push(futureQuestion(heading, later, at))
  })
  questions.push(fromQuestion('market'), fromQuestion('supplier'))
  return questions
}

/** Questions to which a mapping still has no answer. */
export function openQuestions(questions: readonly Question[], mapping: Mapping): Question[] {
  const kind = recordKind(mapping.kind)
  const has = (field: string) => mapping.columns.some((c) => c.as === 'field' && c.field === field)
  const typeAt = (at: number) => fieldAt(mapping.columns[at], kind.fields)?.type
  return questions.filter(({ id, about, column = -1 }) => {
    switch (about) {
      case 'market':
      case 'supplier':
        return kind.from === about && mapping[about] === null && !has(about)
      case 'currency':
        return mapping.currency === null && !has('currency') && hasMoney(mapping)
      case 'ratio':
        return typeAt(column) === 'ratio' && !mapping.said?.includes(id)
      case 'future':
        return typeAt(column) === 'day' && mapping.latestDay !== null && !mapping.said?.includes(id)
      default:
        return !mapping.said?.includes(id)
    }
  })
}

/** What a mapping becomes by an answer to a question of choice (but that for the kind, whose columns are proposed anew). */
export function answerTo({ id, about, column = -1 }: Question, value: string, mapping: Mapping): Partial<Mapping> {
  const said = [...(mapping.said ?? []).filter((s) => s !== id), id]
  switch (about) {
    case 'order':
      return { order: value as Mapping['order'], said }
    case 'number':
      return { number: { decimal: value as '.' | ',', group: value === '.' ? ',' : '.' }, said }
    case 'ratio': {
      const ratio = value as 'percent' | 'share'
      return { styles: mapping.styles.map((s, at) => (at === column ? { ...s, ratio } : s)), said }
    }
    case 'future':
      return { latestDay: value === 'take' ? null : mapping.latestDay, said }
    default:
      return {}
  }
}

/** The answer that a mapping holds to a question of choice; null while it is open. */
export function answerOf({ id, about, column = -1 }: Question, mapping: Mapping): string | null {
  if (!mapping.said?.includes(id) && !(about === 'future' && mapping.latestDay === null)) return null
  if (about === 'order') return mapping.order
  if (about === 'number') return mapping.number.decimal
  if (about === 'ratio') return mapping.styles[column]?.ratio ?? null
  return about === 'future' ? (mapping.latestDay === null ? 'take' : 'unknown') : null
}

function fieldAt(use: ColumnUse | undefined, fields: readonly Field[]): Field | undefined {
  return use?.as === 'field' ? fields.find((f) => f.name === use.field) : undefined
}

function hasMoney({ kind, columns }: Mapping): boolean {
  const { fields } = recordKind(kind)
  return columns.some((c) => c.as === 'tier' || fieldAt(c, fields)?.type === 'money')
}

/** A day of the sample that lies after today. */
function laterDay(
  file: OpenedFile,
  at: number,
  now: number,
  order: 'dmy' | 'mdy',
): { row: number; day: number } | null {
  if (holdingOf(file.sample.slice(0, 30).map((r) => r.cells[at] ?? null)) !== 'days') return null
  let days = 0
  let later: { row: number; day: number } | null = null
  for (const { row, cells } of file.sample) {
    const cell = cells[at]
    const day = typeof cell === 'string' ? parseDay(cell, order) : null
    if (day === null) continue
    days++
    if (day > now + 1) later ??= { row, day }
  }
  return days > file.sample.length * 0.5 ? later : null
}

function kindQuestion(kinds: readonly KindGuess[]): Question {
  return {
    id: 'kind',
    about: 'kind',
    text: 'What does this file hold?',
    options: kinds.map((k) => ({ label: recordKind(k.kind).label, value: k.kind })),
  }
}

function fromQuestion(from: 'market' | 'supplier'): Question {
  const text = from === 'market' ? 'Which market is this file from?' : 'Which supplier is this price list from?'
  return { id: from, about: from, text, options: [] }
}

function orderQuestion(example: string): Question {
  return {
    id: 'order',
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
    id: 'number',
    about: 'number',
    text: `Does ${example} mean ${thousands} or ${decimal}?`,
    options: [
      { label: thousands, value: mark === ',' ? '.' : ',' },
      { label: decimal, value: mark },
    ],
  }
}

function ratioQuestion(heading: string, example: string, column: number): Question {
  const asPercent = `${example} %`
  const asShare = `${Math.round(Number(example) * 1e4) / 100} %`
  return {
    id: `ratio:${column}`,
    about: 'ratio',
    text: `Under '${heading}', does ${example} mean ${asPercent} or ${asShare}?`,
    options: [
      { label: asPercent, value: 'percent' },
      { label: asShare, value: 'share' },
    ],
    column,
  }
}

function futureQuestion(heading: string, { row, day }: { row: number; day: number }, column: number): Question {
  return {
    id: `future:${column}`,
    about: 'future',
    text: `Under '${heading}', row ${row} says ${isoDay(day)}, which is still to come. What about such days?`,
    options: [
      { label: 'A mistake: not known', value: 'unknown' },
      { label: 'Right: take them', value: 'take' },
    ],
    column,
  }
}

function currencyQuestion(likely: string | null): Question {
  const common = ['EUR', 'GBP', 'USD', 'CAD', 'AUD', 'PLN', 'SEK', 'CHF', 'JPY']
  const order = likely ? [likely, ...common.filter((c) => c !== likely)] : common
  return {
    id: 'currency',
    about: 'currency',
    text: 'Which currency are the amounts in?',
    options: order.map((c) => ({ label: c, value: c })),
  }
}
