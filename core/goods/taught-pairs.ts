import type { TitleForms } from './title-forms'
import type { WordLesson, WordPair } from './word-lessons'

/** Words that may stand for others, wherever all of those stand. */
interface Exchange {
  from: readonly number[]
  to: readonly number[]
}

/**
 * Forms that differ in nothing but words that are taught to mean the same, each pair once. Short titles share too little else to be found by
 * likeness.
 *
 * @param lessons what is in force @param among the forms that are looked through
 */
export function* taughtPairs(
  forms: TitleForms,
  lessons: readonly WordLesson[],
  among: Iterable<number> = forms.figuresOf.keys(),
): Generator<[number, number]> {
  const same = lessons.filter((l) => l.says === 'same')
  if (same.length === 0) return
  const sums = new SetSums(forms)
  const formBySum = new Map<number, number>()
  const formsWith = new Map<number, number[]>(same.flatMap((l) => [...l.these, ...l.those].map((word) => [word, []])))
  for (const form of among) {
    let isOfLessons = false
    for (const word of wordsOf(forms, form)) if (formsWith.get(word)?.push(form)) isOfLessons = true
    if (isOfLessons) formBySum.set(sums.of(form), form)
  }
  for (const exchange of same.map((lesson) => fromTheRarer(lesson, formsWith)))
    for (const form of rarest(exchange.from, formsWith)) {
      const words = wordsOf(forms, form)
      if (!exchange.from.every((id) => words.includes(id))) continue
      const other = formBySum.get(sums.after(sums.of(form), words, exchange))
      if (other === undefined || !isAlike(forms, form, other, exchanged(words, exchange))) continue
      yield form < other ? [form, other] : [other, form]
    }
}

/** Each pair has one side of a lesson in one form and the other in the other: the forms with the rarer side are enough to go through. */
function fromTheRarer({ these, those }: WordPair, formsWith: ReadonlyMap<number, readonly number[]>): Exchange {
  return rarest(these, formsWith).length <= rarest(those, formsWith).length
    ? { from: these, to: those }
    : { from: those, to: these }
}

/** Of the words of a side those forms that have the rarest one. */
function rarest(side: readonly number[], formsWith: ReadonlyMap<number, readonly number[]>): readonly number[] {
  return side
    .map((word) => formsWith.get(word) as readonly number[])
    .reduce((few, list) => (list.length < few.length ? list : few))
}

/**
 * A number for the words and figures of a form: the sum of one for each, which no order changes and which a word that goes or comes changes by
 * its own. Forms of one sum are looked at before they are taken for the same.
 */
class SetSums {
  readonly #forms: TitleForms
  readonly #ofWord: Float64Array

  constructor(forms: TitleForms) {
    this.#forms = forms
    this.#ofWord = Float64Array.from({ length: forms.words.length }, (_, id) => scattered(id))
  }

  of(form: number): number {
    const figures = scattered(-1 - (this.#forms.figuresOf[form] as number))
    return wordsOf(this.#forms, form).reduce((sum, id) => sum + (this.#ofWord[id] as number), figures)
  }

  /** The sum that words of this one would have after an exchange. */
  after(sum: number, words: Int32Array, { from, to }: Exchange): number {
    let other = sum
    for (const id of from) other -= this.#ofWord[id] as number
    for (const id of to) if (!words.includes(id) || from.includes(id)) other += this.#ofWord[id] as number
    return other
  }
}

/** 46 bits of a number that say nothing of its neighbours: sums of a hundred of them are whole. */
function scattered(id: number): number {
  // nought would stay nought
  const a = Math.imul((id ^ (id >>> 16)) + 0x3c6ef372, 0x7feb352d)
  const b = Math.imul(a ^ (a >>> 15), 0x846ca68b)
  const c = Math.imul(b ^ (b >>> 16), 0x9e3779b1)
  return ((b ^ (b >>> 16)) >>> 0) * 0x4000 + (c >>> 18)
}

function wordsOf({ wordIds, starts }: TitleForms, form: number): Int32Array {
  return wordIds.subarray(starts[form], starts[form + 1])
}

/** Whether a form has the figures of one and these words. */
function isAlike(forms: TitleForms, one: number, other: number, words: readonly number[]): boolean {
  const its = wordsOf(forms, other)
  const isOfOneSize = forms.figuresOf[one] === forms.figuresOf[other] && its.length === words.length
  return isOfOneSize && words.every((id, i) => id === its[i])
}

/** @returns ascending */
function exchanged(words: ArrayLike<number>, { from, to }: Exchange): number[] {
  const kept = Array.from(words).filter((id) => !from.includes(id))
  return [...new Set([...kept, ...to])].sort((x, y) => x - y)
}

/** Every way of saying a set of words with one exchange of words that mean the same. @param words ascending */
export function saidOtherwise(words: readonly number[], same: readonly WordPair[]): number[][] {
  const has = (some: readonly number[]) => some.every((id) => words.includes(id))
  return same.flatMap(({ these, those }) => [
    ...(has(these) ? [exchanged(words, { from: these, to: those })] : []),
    ...(has(those) ? [exchanged(words, { from: those, to: these })] : []),
  ])
}
