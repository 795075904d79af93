import type { Holding } from './holding'
import type { OpenedFile } from '../open/opened-file'
import type { Mapping } from '../mapping'
import type { ColumnUse, KindGuess } from './guess'
import { readHeading } from './heading'
import { recordKind, type KindName } from '../../records'
import { shapeOf } from './shape-of'

/** One column as the seller once corrected it. */
export interface LearnedColumn {
  kind: KindName
  /** the heading's words, joined by spaces */
  heading: string
  /** the heading as it stood in the file, to be shown */
  shown: string
  holds: Holding
  use: ColumnUse
}

/** What the seller answered for files of one shape; only what was answered. */
export type FileAnswers = Partial<
  Pick<Mapping, 'kind' | 'market' | 'supplier' | 'currency' | 'number' | 'order' | 'windowDays' | 'said'>
> & { file: string }

/** All that the intake has learned, from the seller alone: nothing that was only guessed is in it. */
export interface Learned {
  columns: LearnedColumn[]
  /** by `shapeOf` the headings */
  files: Record<string, FileAnswers>
}

export const nothingLearned: Learned = { columns: [], files: {} }

export function headingKey(heading: string): string {
  return readHeading(heading).words.join(' ') || heading.trim().toLowerCase().slice(0, 200)
}

/** What the seller's corrections say of a column of this heading under a kind; null where nothing. */
export function learnedUse(learned: Learned | null, kind: KindName, heading: string, holds: Holding): ColumnUse | null {
  if (!learned || learned.columns.length === 0) return null
  const key = headingKey(heading)
  return learned.columns.find((c) => c.kind === kind && c.heading === key && c.holds === holds)?.use ?? null
}

/** The guess with what the seller said of files of the same shape: kind and answers. */
export function applyLearned(learned: Learned | null, file: OpenedFile, kinds: KindGuess[]) {
  const answers: Partial<FileAnswers> = { ...(learned?.files[shapeOf(file.headings)] ?? {}) }
  delete answers.file
  const { kind } = answers
  const sorted = kind ? [...kinds.filter((k) => k.kind === kind), ...kinds.filter((k) => k.kind !== kind)] : kinds
  const places = (sorted[0]?.columns ?? []).flatMap((c, at) => (c.surety === 'said' ? [at] : []))
  return { kinds: sorted, answers: answers as Partial<Mapping>, places, answered: Object.keys(answers).length > 0 }
}

/**
 * What is learned when a file comes in: the columns whose use the seller changed, and what was answered. Asked again for the same
 * heading, the last word counts.
 *
 * @param proposed the mapping as it was proposed
 * @param guess the columns as they were proposed under the kind that was chosen in the end
 */
export function learnFrom(
  before: Learned,
  { headings, holds, file }: { headings: readonly string[]; holds: readonly Holding[]; file: string },
  { proposed, guess, final }: { proposed: Mapping; guess: readonly ColumnUse[]; final: Mapping },
): Learned {
  const changed = headings.flatMap((shown, at): LearnedColumn[] => {
    const use = final.columns[at]
    if (!use || use.as === 'day' || same(use, guess[at])) return []
    return [
      { kind: final.kind, heading: headingKey(shown), shown: shown.slice(0, 120), holds: holds[at] ?? 'nothing', use },
    ]
  })
  const isNew = (c: LearnedColumn) =>
    !changed.some((n) => n.kind === c.kind && n.heading === c.heading && n.holds === c.holds)
  const answers = answersOf(proposed, final)
  const shape = shapeOf(headings)
  const known = before.files[shape]
  const files =
    Object.keys(answers).length === 0 ? before.files : { ...before.files, [shape]: { ...known, ...answers, file } }
  return { columns: [...before.columns.filter(isNew), ...changed], files }
}

function answersOf(proposed: Mapping, final: Mapping): Partial<FileAnswers> {
  const { from } = recordKind(final.kind)
  const answers: Partial<FileAnswers> = {}
  if (final.kind !== proposed.kind) answers.kind = final.kind
  if (final[from] !== proposed[from] && final[from] !== null) answers[from] = final[from]
  if (final.currency !== proposed.currency && final.currency !== null) answers.currency = final.currency
  if (final.windowDays !== proposed.windowDays) answers.windowDays = final.windowDays
  const said = (final.said ?? []).filter((id) => id === 'order' || id === 'number')
  if (said.length > 0) {
    answers.said = said
    if (said.includes('order')) answers.order = final.order
    if (said.includes('number')) answers.number = final.number
  }
  return answers
}

function same(a: ColumnUse, b: ColumnUse | undefined): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}

/** Without what was learned of one column. */
export function forgetColumn(learned: Learned, { kind, heading, holds }: LearnedColumn): Learned {
  return {
    ...learned,
    columns: learned.columns.filter((c) => c.kind !== kind || c.heading !== heading || c.holds !== holds),
  }
}
