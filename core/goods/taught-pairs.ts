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
  const exchanges = byFirstWord(lessons.filter((l) => l.says === 'same'))
  if (exchanges.size === 0) return
  const sums = new SetSums(forms)
  const formBySum = new Map<number, number>()
  for (const form of among)
    if (wordsOf(forms, form).some((word) => exchanges.has(word))) formBySum.set(sums.of(form), form)
  for (const [sum, form] of formBySum) {
    const words = wordsOf(forms, form)
    for (const word of words)
      for (const exchange of exchanges.get(word) ?? []) {
        if (!exchange.from.every((id) => words.includes(id))) continue
        const other = formBySum.get(sums.after(sum, words, exchange))
        if (other !== undefined && form < other && isSaidBy(forms, other, exchanged(words, exchange)))
          yield [form, other]
      }
  }
}

/** The first word of what may be exchanged → the exchanges. */
function byFirstWord(same: readonly WordPair[]): Map<number, Exchange[]> {
  const found = new Map<number, Exchange[]>()
  for (const { these, those } of same)
    for (const exchange of [
      { from: these, to: those },
      { from: those, to: these },
    ]) {
      const first = exchange.from[0] as number
      const its = found.get(first)
      if (its) its.push(exchange)
      else found.set(first, [exchange])
    }
  return found
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
  const a = Math.imul(id ^ (id >>> 16), 0x7feb352d)
  const b = Math.imul(a ^ (a >>> 15), 0x846ca68b)
  const c = Math.imul(b ^ (b >>> 16), 0x9e3779b1)
  return ((b ^ (b >>> 16)) >>> 0) * 0x4000 + (c >>> 18)
}

function wordsOf({ wordIds, starts }: TitleForms, form: number): Int32Array {
  return wordIds.subarray(starts[form], starts[form + 1])
}

function isSaidBy(forms: TitleForms, form: number, words: readonly number[]): boolean {
  const its = wordsOf(forms, form)
  return its.length === words.length && words.every((id, i) => id === its[i])
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
