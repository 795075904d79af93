import { isSaidOtherwise, tells } from './difference'
import { wordsOfForm, type TitleForms } from './title-forms'
import { lessonName, type WordLesson, type WordPair } from './word-lesson'

/** barcodes that must show something before it is believed, and what may speak against it for each that shows it */
const [leastShown, mostAgainst] = [3, 0.1]
/** what one saying of the seller counts as, in barcodes */
export const sayingCounts = 2
/** words of one side */
const mostWords = 3

/** What shows a lesson, and what speaks against it. */
interface Evidence {
  barcodes: number
  byHand: number
  against: number
  example: readonly [number, number]
}

type Says = WordLesson['says']
type ByWords = ReadonlyMap<string, Evidence>

/** Counts what shows each lesson. */
export class LessonEvidence {
  readonly forms: TitleForms
  /** by what is said: the words of a lesson, as `textOf` has them, and what shows it */
  readonly #found: Record<Says, Map<string, Evidence>> = { same: new Map(), apart: new Map() }
  readonly #before: LessonEvidence | null

  /** @param before what is shown already: what comes is counted on top of it, and it stays as it is */
  constructor(forms: TitleForms, before: LessonEvidence | null = null) {
    this.forms = forms
    this.#before = before
  }

  wordsOf(form: number): Int32Array {
    return wordsOfForm(this.forms, form)
  }

  /** The words that either form has alone, the lower first. */
  difference(a: number, b: number): WordPair {
    const [first, second] = alone(this.forms, a, b)
    const isInOrder = second.length === 0 || (first.length > 0 && (first[0] as number) < (second[0] as number))
    return isInOrder ? { these: first, those: second } : { these: second, those: first }
  }

  /** @param text of the pair, where it is made already */
  show(
    says: Says,
    pair: WordPair,
    by: Partial<Pick<Evidence, 'barcodes' | 'byHand'>>,
    example: Evidence['example'],
    text = textOf(pair),
  ): void {
    let known = this.#own(says, text)
    if (!known) this.#found[says].set(text, (known = { barcodes: 0, byHand: 0, against: 0, example }))
    known.barcodes += by.barcodes ?? 0
    known.byHand += by.byHand ?? 0
  }

  /** So much speaks against a lesson, if it is one. */
  contradict(says: Says, pair: WordPair, by: number, text = textOf(pair)): void {
    const known = this.#own(says, text)
    if (known) known.against += by
  }

  lessons(takenBack: ReadonlySet<string>): WordLesson[] {
    return [...this.#lessonsThat('same', takenBack), ...this.#lessonsThat('apart', takenBack)]
  }

  *#lessonsThat(says: Says, takenBack: ReadonlySet<string>): Generator<WordLesson> {
    for (const [text, { against, ...shown }] of this.#all(says)) {
      const counts = shown.barcodes + sayingCounts * shown.byHand
      if (counts < leastShown || against > mostAgainst * counts) continue
      const [these = [], those = []] = text.split('|').map((side) => (side === '' ? [] : side.split(' ').map(Number)))
      const lesson = { says, these, those, ...shown }
      // mostly nothing is taken back, and no name is needed
      const isTakenBack = takenBack.size > 0 && takenBack.has(lessonName(lesson, this.forms.words))
      yield { ...lesson, isTakenBack }
    }
  }

  /** What shows a lesson, to be counted on; what was shown before is copied first. */
  #own(says: Says, text: string): Evidence | undefined {
    const own = this.#found[says].get(text)
    const before = own ? undefined : this.#shownBefore(says).get(text)
    if (!before) return own
    const copy = { ...before }
    this.#found[says].set(text, copy)
    return copy
  }

  #shownBefore(says: Says): ByWords {
    return this.#before ? this.#before.#found[says] : new Map<string, Evidence>()
  }

  *#all(says: Says): Generator<[string, Evidence]> {
    const own = this.#found[says]
    for (const entry of this.#shownBefore(says)) if (!own.has(entry[0])) yield entry
    yield* own
  }
}

/** The words that either of two forms has alone. */
function alone({ starts, wordIds }: TitleForms, x: number, y: number): [number[], number[]] {
  const [first, second]: [number[], number[]] = [[], []]
  let [i, j] = [starts[x] as number, starts[y] as number]
  const [endOfX, endOfY] = [starts[x + 1] as number, starts[y + 1] as number]
  while (i < endOfX || j < endOfY) {
    const a = i < endOfX ? (wordIds[i] as number) : Infinity
    const b = j < endOfY ? (wordIds[j] as number) : Infinity
    if (a < b) first.push(a)
    else if (b < a) second.push(b)
    if (a <= b) i++
    if (b <= a) j++
  }
  return [first, second]
}

/** One text for a pair of words. */
export const textOf = ({ these, those }: WordPair) => `${these.join(' ')}|${those.join(' ')}`
const isFew = (side: readonly number[]) => side.length > 0 && side.length <= mostWords
/** Whether titles that differ so may say the same. */
export const areFew = ({ these, those }: WordPair) => isFew(these) && isFew(those)

/** Words that are known to tell goods apart need no lesson, nor does what no title would be joined over. */
export function isWorthTelling({ these, those }: WordPair, words: readonly string[]): boolean {
  const text = (ids: readonly number[]) => ids.map((id) => words[id] as string)
  if (those.length === 0) return these.length === 1 && !tells(words[these[0] as number] as string)
  return these.length === 1 && those.length === 1 && isSaidOtherwise(text(these), text(those))
}
