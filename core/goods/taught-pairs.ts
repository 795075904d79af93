import { wordsOfForm, type TitleForms } from './title-forms'
import type { WordLesson, WordPair } from './word-lesson'
import { WordSums } from './word-sums'

/** Words that may stand for others, wherever all of those stand. */
interface Exchange {
  from: readonly number[]
  to: readonly number[]
}

/**
 * Forms that differ in nothing but words that are taught to mean the same, each pair once. Short titles share too little else to be found by
 * likeness.
 *
 * @param lessons what is in force @param among the forms that are looked through, all without
 */
export function* taughtPairs(
  forms: TitleForms,
  lessons: readonly WordLesson[],
  among: readonly number[] | null = null,
): Generator<[number, number]> {
  const same = (among === null ? lessons : lessonsOf(forms, among, lessons)).filter((l) => l.says === 'same')
  if (same.length === 0) return
  const list = among ?? [...forms.figuresOf.keys()]
  const exchanges = same.map((lesson) => fromTheRarer(lesson, forms.counts))
  const formsWith = formsByWord(
    forms,
    list,
    exchanges.map(({ rarest }) => rarest),
  )
  const bySum = new FormsBySum(forms, list)
  for (const exchange of exchanges)
    for (const at of formsWith.get(exchange.rarest) ?? []) {
      const form = list[at] as number
      const other = bySum.saidOtherwise(at, exchange)
      if (other !== null) yield form < other ? [form, other] : [other, form]
    }
}

/** Lessons all of whose words some forms have: most are of other goods than a few forms are. */
function lessonsOf<T extends WordPair>(forms: TitleForms, some: readonly number[], lessons: readonly T[]): T[] {
  const words = new Set(some.flatMap((form) => [...wordsOfForm(forms, form)]))
  return lessons.filter(({ these, those }) => [...these, ...those].every((word) => words.has(word)))
}

/** the share of all forms from which on it is quicker to go through every lesson than through each form's words */
const many = 1 / 16

/** Those of the pairs that have one of some forms. */
export function* taughtPairsOf(
  forms: TitleForms,
  lessons: readonly WordLesson[],
  some: ReadonlySet<number>,
): Generator<[number, number]> {
  const same = lessons.filter((l) => l.says === 'same')
  if (same.length === 0 || some.size === 0) return
  if (some.size > many * forms.figuresOf.length) {
    for (const pair of taughtPairs(forms, same)) if (pair.some((form) => some.has(form))) yield pair
    return
  }
  const bySum = new FormsBySum(forms, [...forms.figuresOf.keys()])
  const exchanges = exchangesByWord(same)
  for (const form of some)
    for (const word of wordsOfForm(forms, form))
      for (const exchange of exchanges.get(word) ?? []) {
        const other = bySum.saidOtherwise(form, exchange)
        // of two of them each would tell the pair
        if (other !== null && !(some.has(other) && other < form)) yield form < other ? [form, other] : [other, form]
      }
}

/** First word of what is exchanged → the exchanges, in both directions. */
function exchangesByWord(lessons: readonly WordPair[]): Map<number, Exchange[]> {
  const byWord = new Map<number, Exchange[]>()
  const both = lessons.flatMap(({ these, those }) => [
    { from: these, to: those },
    { from: those, to: these },
  ])
  for (const exchange of both) {
    const first = exchange.from[0] as number
    byWord.set(first, [...(byWord.get(first) ?? []), exchange])
  }
  return byWord
}

/** Word → the places in a list of forms that have it. */
function formsByWord(
  { starts, wordIds, words }: TitleForms,
  list: readonly number[],
  wanted: readonly number[],
): ReadonlyMap<number, readonly number[]> {
  const formsWith = new Map(wanted.map((word): [number, number[]] => [word, []]))
  const isWanted = new Uint8Array(words.length)
  for (const word of wanted) isWanted[word] = 1
  list.forEach((form, at) => {
    // without a view for each of a million forms
    const end = starts[form + 1] as number
    for (let i = starts[form] as number; i < end; i++) {
      const word = wordIds[i] as number
      if (isWanted[word] === 1) formsWith.get(word)?.push(at)
    }
  })
  return formsWith
}

/** Each pair has one side of a lesson in one form and the other in the other: the forms with the rarer side are enough to go through. */
function fromTheRarer({ these, those }: WordPair, counts: Int32Array): Exchange & { rarest: number } {
  const [one, other] = [rarestOf(these, counts), rarestOf(those, counts)]
  return (counts[one] as number) <= (counts[other] as number)
    ? { from: these, to: those, rarest: one }
    : { from: those, to: these, rarest: other }
}

/** The word of a side that the fewest forms have. */
function rarestOf(side: readonly number[], counts: Int32Array): number {
  return side.reduce((rarest, word) => ((counts[word] as number) < (counts[rarest] as number) ? word : rarest))
}

/** Forms of a list by the sum of their words, found by open addressing; forms of one sum are looked at before they are taken for the same. */
class FormsBySum {
  readonly #forms: TitleForms
  readonly #list: readonly number[]
  readonly #words: WordSums
  /** place in the list → its sum */
  readonly #sums: Float64Array
  /** slot → place in the list, -1 where it is free */
  readonly #slots: Int32Array

  constructor(forms: TitleForms, list: readonly number[]) {
    this.#forms = forms
    this.#list = list
    this.#words = new WordSums(forms)
    this.#sums = Float64Array.from(list, (form) => this.#words.of(form))
    this.#slots = new Int32Array(2 ** Math.ceil(Math.log2(list.length * 2 + 2))).fill(-1)
    list.forEach((_, at) => (this.#slots[this.#slot(this.#sums[at] as number)] = at))
  }

  /** The slot of a sum, a free one where no form has it. */
  #slot(sum: number): number {
    const last = this.#slots.length - 1
    let slot = sum & last
    for (;;) {
      const at = this.#slots[slot] as number
      if (at < 0 || this.#sums[at] === sum) return slot
      slot = (slot + 1) & last
    }
  }

  /** The form that says one's words after an exchange; null where there is none, or nothing to exchange. @param at the one's place in the list */
  saidOtherwise(at: number, exchange: Exchange): number | null {
    const form = this.#list[at] as number
    if (!exchange.from.every((id) => has(this.#forms, form, id))) return null
    const other = this.#after(at, exchange)
    return other !== null && isExchanged(this.#forms, form, other, exchange) ? other : null
  }

  /** A form of the sum that one's words would have after an exchange. */
  #after(at: number, { from, to }: Exchange): number | null {
    const form = this.#list[at] as number
    let sum = this.#sums[at] as number
    for (const id of from) sum -= this.#words.ofWord(id)
    for (const id of to) if (!has(this.#forms, form, id) || from.includes(id)) sum += this.#words.ofWord(id)
    const found = this.#slots[this.#slot(sum)] as number
    return found < 0 ? null : (this.#list[found] as number)
  }
}

function has({ wordIds, starts }: TitleForms, form: number, word: number): boolean {
  const end = starts[form + 1] as number
  // ascending
  for (let i = starts[form] as number; i < end && (wordIds[i] as number) <= word; i++)
    if (wordIds[i] === word) return true
  return false
}

/** Whether a form has the figures of one, and its words after an exchange: all that are kept, all that come, and no more. */
function isExchanged(forms: TitleForms, one: number, other: number, { from, to }: Exchange): boolean {
  const { starts, wordIds, figuresOf } = forms
  if (figuresOf[one] !== figuresOf[other]) return false
  let words = 0
  const end = starts[one + 1] as number
  for (let i = starts[one] as number; i < end; i++) {
    const word = wordIds[i] as number
    if (from.includes(word)) continue
    if (!has(forms, other, word)) return false
    words++
  }
  for (const word of to) {
    if (!has(forms, other, word)) return false
    if (from.includes(word) || !has(forms, one, word)) words++
  }
  return words === (starts[other + 1] as number) - (starts[other] as number)
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
