import {
  isNothingLeft,
  isOneRoot,
  lacksHead,
  leastShared,
  likenessOf,
  saidByOneAlone,
  saysNoOther,
  tells,
  type Difference,
} from './difference'
import { wordsOfForm, wordWeights, type TitleForms } from './title-forms'
import type { WordLesson } from './word-lesson'

/** more words than these are not only written otherwise */
const mostOtherwise = 3
const mostRemembered = 1_000_000

/** What is left of words that only either has, by weight. @field isOtherwise all words of either are the other's, written otherwise */
type LeftAlone = Pick<Difference, 'clashes'> & { weights: [number, number]; isOtherwise: boolean }

const keyOf = (a: readonly number[], b: readonly number[]) => `${a.join()} ${b.join()}`

/** Compares the words of forms, each word weighed by how few forms have it. */
export class FormDifference {
  readonly #forms: TitleForms
  readonly #weights: Float64Array
  readonly #weightOf: (word: string) => number
  /** what is left of words that only either has: the same few are met over and over */
  readonly #left = new Map<string, LeftAlone>()

  /** pairs of words that listings teach to mean the same, and to be of two goods; words that set apart by themselves */
  readonly #same = new Set<string>()
  readonly #apart = new Set<string>()
  readonly #setsApart: Uint8Array
  /** which words mean something that other words mean too, or that must agree: 1 for those */
  readonly #tells: Uint8Array

  /** @param lessons what listings teach of words, as far as it is in force */
  constructor(forms: TitleForms, lessons: readonly WordLesson[] = [], weights = wordWeights(forms)) {
    this.#forms = forms
    this.#setsApart = new Uint8Array(forms.words.length)
    for (const lesson of lessons) this.#learn(lesson)
    this.#weights = weights
    this.#tells = Uint8Array.from(forms.words, (word) => Number(tells(word)))
    const numberOf = new Map(forms.words.map((word, id) => [word, id]))
    this.#weightOf = (word) => weights[numberOf.get(word) as number] as number
  }

  /** As `differenceOf` tells of their words. */
  of(a: number, b: number): Difference {
    const { shared, only } = this.#parted(a, b)
    const { weights, clashes } = this.#leftOf(...only)
    return { shared: shared + this.#weightOfAll(only[0]) - weights[0], alone: weights, clashes }
  }

  /** Weight of the words that both have, and those that only either has. */
  #parted(a: number, b: number): { shared: number; only: [number[], number[]] } {
    const { starts, wordIds } = this.#forms
    let [i, j] = [starts[a] as number, starts[b] as number]
    const [endOfA, endOfB] = [starts[a + 1] as number, starts[b + 1] as number]
    const only: [number[], number[]] = [[], []]
    let shared = 0
    while (i < endOfA || j < endOfB) {
      const x = i < endOfA ? (wordIds[i] as number) : Infinity
      const y = j < endOfB ? (wordIds[j] as number) : Infinity
      if (x < y) only[0].push(x)
      else if (y < x) only[1].push(y)
      else shared += this.#weights[x] as number
      if (x <= y) i++
      if (y <= x) j++
    }
    return { shared, only }
  }

  /** What is left of words that only either has. */
  #leftOf(a: readonly number[], b: readonly number[]): LeftAlone {
    const key = keyOf(a, b)
    const known = this.#left.get(key)
    if (known) return known
    if (this.#left.size > mostRemembered) this.#left.clear()
    const alone = saidByOneAlone(this.#textOf(a), this.#textOf(b))
    const { left, clashes } = alone
    const sum = (words: readonly string[]) => words.reduce((all, word) => all + this.#weightOf(word), 0)
    const isOtherwise = isNothingLeft(alone)
    const found: LeftAlone = { weights: [sum(left[0]), sum(left[1])], clashes, isOtherwise }
    this.#left.set(key, found)
    return found
  }

  /** Whether two forms that share enough of their words name the same goods. */
  areSame(a: number, b: number): boolean {
    const alone = this.#parted(a, b).only
    if (alone.every((words) => words.length > mostOtherwise)) return false
    if (this.#areTaughtApart(...alone) || this.#isForOther(a, b) || this.#isForOther(b, a)) return false
    if (this.#same.size > 0 && this.#same.has(keyOf(...alone))) return true
    const isSame = saysNoOther(this.#weightOfAll(alone[0]), this.#weightOfAll(alone[1])) || this.#isOtherwise(...alone)
    return isSame && likenessOf(this.of(a, b)) >= leastShared
  }

  /** Whether one says what it is for, and the other names nothing of what it is. */
  #isForOther(a: number, b: number): boolean {
    const heads = this.#forms.heads.get(a)
    return heads !== undefined && lacksHead(this.#textOf(heads), this.#wordsOf(b))
  }

  #textOf = (ids: Iterable<number>) => Array.from(ids, (id) => this.#forms.words[id] as string)

  #learn({ says, these, those }: WordLesson): void {
    if (those.length === 0) for (const id of these) this.#setsApart[id] = 1
    const pairs = says === 'same' ? this.#same : this.#apart
    pairs.add(keyOf(these, those)).add(keyOf(those, these))
  }

  #areTaughtApart(a: readonly number[], b: readonly number[]): boolean {
    if (this.#apart.size === 0) return false
    if (this.#apart.has(keyOf(a, b))) return true
    return !this.#same.has(keyOf(a, b)) && [...a, ...b].some((id) => this.#setsApart[id] === 1)
  }

  #weightOfAll(ids: readonly number[]): number {
    let weight = 0
    for (const id of ids) weight += this.#weights[id] as number
    return weight
  }

  /** The one that has more words. */
  fuller(a: number, b: number): number {
    const { starts } = this.#forms
    const length = (form: number) => (starts[form + 1] as number) - (starts[form] as number)
    return length(b) > length(a) ? b : a
  }

  #isOtherwise(a: number[], b: number[]): boolean {
    const { words } = this.#forms
    const [first, second] = [a[0] as number, b[0] as number]
    // most pairs by far differ in one plain word on either side
    const isPlain = a.length === 1 && b.length === 1 && !this.#tells[first] && !this.#tells[second]
    if (isPlain) return isOneRoot(words[first] as string, words[second] as string)
    return this.#leftOf(a, b).isOtherwise
  }

  #wordsOf(form: number): string[] {
    return this.#textOf(wordsOfForm(this.#forms, form))
  }
}
