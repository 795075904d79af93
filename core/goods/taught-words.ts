import type { TitleSignature } from './title-signature'
import type { WordLesson } from './word-lesson'

/**
 * What listings teach of words, for titles that are no listings': supplier offers. A lesson holds of the whole difference of two titles, never
 * of a word wherever it stands: 'feeder' is 'holder' behind 'suet', and nowhere else.
 */
export class TaughtWords {
  readonly #same = new Set<string>()
  /** word → the lessons of which it begins a side */
  readonly #sides = new Map<string, { from: readonly string[]; to: readonly string[] }[]>()
  readonly #apart = new Set<string>()
  readonly #setsApart = new Set<string>()

  /** @param lessons those in force @param words what the numbers of their words stand for @param before what was taught besides */
  constructor(lessons: readonly WordLesson[], words: readonly string[], before: TaughtWords | null = null) {
    if (before) this.#takeOver(before)
    const inWords = (ids: readonly number[]) => ids.map((id) => words[id] as string)
    for (const { says, these, those } of lessons) {
      const [a, b] = [inWords(these), inWords(those)]
      if (b.length === 0) for (const word of a) this.#setsApart.add(word)
      const pairs = says === 'same' ? this.#same : this.#apart
      pairs.add(keyOf(a, b)).add(keyOf(b, a))
      if (says === 'same')
        for (const [from, to] of [
          [a, b],
          [b, a],
        ] as const)
          this.#exchange(from, to)
    }
  }

  #takeOver(before: TaughtWords): void {
    for (const pair of before.#same) this.#same.add(pair)
    for (const pair of before.#apart) this.#apart.add(pair)
    for (const word of before.#setsApart) this.#setsApart.add(word)
    for (const [word, sides] of before.#sides) this.#sides.set(word, [...sides])
  }

  #exchange(from: readonly string[], to: readonly string[]): void {
    const first = from[0] as string
    this.#sides.set(first, [...(this.#sides.get(first) ?? []), { from, to }])
  }

  /** Every way of saying a title's words with one exchange of words that mean the same, each in alphabetical order. */
  otherwise({ words }: TitleSignature): string[][] {
    const sides = words.flatMap((word) => this.#sides.get(word) ?? [])
    return sides
      .filter(({ from }) => from.every((w) => words.includes(w)))
      .map(({ from, to }) => [...new Set([...words.filter((w) => !from.includes(w)), ...to])].sort())
  }

  /** Whether two titles differ in nothing but words that mean the same. */
  areSame(a: TitleSignature, b: TitleSignature): boolean {
    return this.#same.size > 0 && this.#same.has(keyOf(...alone(a, b)))
  }

  /** Whether words that only either title has are taught to set goods apart. */
  areApart(a: TitleSignature, b: TitleSignature): boolean {
    if (this.#apart.size === 0) return false
    const [x, y] = alone(a, b)
    return this.#apart.has(keyOf(x, y)) || [...x, ...y].some((word) => this.#setsApart.has(word))
  }
}

export const nothingTaught = new TaughtWords([], [])

function alone(a: TitleSignature, b: TitleSignature): [string[], string[]] {
  const only = (mine: readonly string[], theirs: readonly string[]) => mine.filter((w) => !theirs.includes(w))
  return [only(a.words, b.words), only(b.words, a.words)]
}

const keyOf = (a: readonly string[], b: readonly string[]) => `${[...a].sort().join(' ')}|${[...b].sort().join(' ')}`
