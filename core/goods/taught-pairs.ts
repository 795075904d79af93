import { wordsOfForm, type TitleForms } from './title-forms'
import type { WordLesson, WordPair } from './word-lesson'
import { SumPlaces } from './sum-places'
import { WordSums } from './word-sums'

/** Words that may stand for others, wherever all of those stand. */
interface Exchange {
  from: readonly number[]
  to: readonly number[]
}

/** One of them as forms are gone through. */
interface Exchanged extends Exchange {
  /** of those that go: forms that have it are looked at */
  word: number
  /** what it changes in the sum of a form's words */
  change: number
  /** its place among all */
  order: number
}
type Looked = Omit<Exchanged, 'change' | 'order'>

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
  // each pair has one side of a lesson in one form and the other in the other: the forms with the rarer side are enough to go through
  const bySum = new FormsBySum(forms, list)
  const exchanges = bySum.exchangesByWord(same.map((lesson) => fromTheRarer(lesson, forms.counts)))
  // form by form, as its words are at hand then; told lesson by lesson, as what is joined first speaks for its group
  const found = same.map((): [number, number][] => [])
  for (let at = 0; at < list.length; at++) {
    const form = list[at] as number
    const end = forms.starts[form + 1] as number
    for (let i = forms.starts[form] as number; i < end; i++) {
      const mine = exchanges[forms.wordIds[i] as number]
      for (let e = 0; mine !== undefined && e < mine.length; e++) {
        const exchange = mine[e] as Exchanged
        const other = bySum.saidOtherwise(at, exchange)
        if (other !== null) found[exchange.order]?.push(form < other ? [form, other] : [other, form])
      }
    }
  }
  for (const pairs of found) yield* pairs
}

/** Lessons all of whose words some forms have: most are of other goods than a few forms are. */
function lessonsOf<T extends WordPair>(forms: TitleForms, some: readonly number[], lessons: readonly T[]): T[] {
  const words = new Set(some.flatMap((form) => [...wordsOfForm(forms, form)]))
  return lessons.filter(({ these, those }) => [...these, ...those].every((word) => words.has(word)))
}

/** the share of all forms from which on it is quicker to go through all from the rarer sides than through some from both */
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
  const exchanges = bySum.exchangesByWord(same.flatMap(inBothDirections))
  for (const form of some)
    for (const word of wordsOfForm(forms, form))
      for (const exchange of exchanges[word] ?? []) {
        const other = bySum.saidOtherwise(form, exchange)
        // of two of them each would tell the pair
        if (other !== null && !(some.has(other) && other < form)) yield form < other ? [form, other] : [other, form]
      }
}

const inBothDirections = ({ these, those }: WordPair): Looked[] => [
  { from: these, to: those, word: these[0] as number },
  { from: those, to: these, word: those[0] as number },
]

/** From the side that fewer forms have, by its rarest word. */
function fromTheRarer({ these, those }: WordPair, counts: Int32Array): Looked {
  const [one, other] = [rarestOf(these, counts), rarestOf(those, counts)]
  return (counts[one] as number) <= (counts[other] as number)
    ? { from: these, to: those, word: one }
    : { from: those, to: these, word: other }
}

/** The word of a side that the fewest forms have. */
function rarestOf(side: readonly number[], counts: Int32Array): number {
  return side.reduce((rarest, word) => ((counts[word] as number) < (counts[rarest] as number) ? word : rarest))
}

/** Forms of a list by the sum of their words; forms of one sum are looked at before they are taken for the same. */
class FormsBySum {
  readonly #forms: TitleForms
  readonly #list: readonly number[]
  readonly #words: WordSums
  /** place in the list → its sum */
  readonly #sums: Float64Array
  readonly #places: SumPlaces

  constructor(forms: TitleForms, list: readonly number[]) {
    this.#forms = forms
    this.#list = list
    this.#words = new WordSums(forms)
    this.#sums = Float64Array.from(list, (form) => this.#words.of(form))
    this.#places = new SumPlaces(list.length)
    this.#sums.forEach((sum, at) => this.#places.put(sum, at))
  }

  /** Word → the exchanges that are looked for by it, undefined where there are none. */
  exchangesByWord(exchanges: readonly Looked[]): readonly (readonly Exchanged[] | undefined)[] {
    const byWord: Exchanged[][] = Array.from({ length: this.#forms.words.length })
    const sum = (ids: readonly number[]) => ids.reduce((all, id) => all + this.#words.ofWord(id), 0)
    exchanges.forEach((exchange, order) => {
      const change = sum(exchange.to) - sum(exchange.from)
      ;(byWord[exchange.word] ??= []).push({ ...exchange, change, order })
    })
    return byWord
  }

  /** The form that says one's words after an exchange; null where there is none, or nothing to exchange. @param at the one's place in the list */
  saidOtherwise(at: number, exchange: Exchanged): number | null {
    const form = this.#list[at] as number
    for (const id of exchange.from) if (id !== exchange.word && !has(this.#forms, form, id)) return null
    const other = this.#after(at, exchange)
    return other !== null && isExchanged(this.#forms, form, other, exchange) ? other : null
  }

  /** A form of the sum that one's words would have after an exchange. */
  #after(at: number, { to, change }: Exchanged): number | null {
    const form = this.#list[at] as number
    let sum = (this.#sums[at] as number) + change
    for (const id of to) if (has(this.#forms, form, id)) sum -= this.#words.ofWord(id)
    const found = this.#places.find(sum)
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
