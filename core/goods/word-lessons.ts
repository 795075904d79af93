import { isSaidOtherwise, tells } from './difference'
import type { TitleForms } from './title-forms'

/** Words of titles, as numbers into the words of the forms, ascending. */
export interface WordPair {
  these: readonly number[]
  those: readonly number[]
}

/**
 * What listings teach of words: 'same' where these may stand for those ('trough', 'flower box'), 'apart' where a title with these is of
 * other goods than the one with those, or than the one without where there are none ('lite').
 */
export interface WordLesson extends WordPair {
  says: 'same' | 'apart'
  /** pairs of barcodes, or barcodes, that show it */
  barcodes: number
  /** how often the seller said so of two listings */
  byHand: number
  /** two forms of titles that show it */
  example: readonly [number, number]
  /** the seller does not want it */
  isTakenBack: boolean
}

/** What the seller said of two listings, by their places. */
export interface SaidOfListings {
  together: readonly (readonly [listing: number, other: number])[]
  apart: readonly (readonly [listing: number, other: number])[]
}
export const nothingSaid: SaidOfListings = { together: [], apart: [] }

export interface LessonSource {
  forms: TitleForms
  /** listing → number of its barcode, -1 where it has none */
  gtins: Int32Array
  said?: SaidOfListings
  /** names of lessons that the seller took back, as `lessonName` has them */
  takenBack?: ReadonlySet<string>
}

/** barcodes that must show something before it is believed, what one saying of the seller counts as, and barcodes that may speak against it */
const [leastShown, sayingCounts, mostAgainst] = [3, 2, 0.1]
/** forms of one barcode, or alike but for one word, that are compared; words of one side; forms that are looked through for what sets apart */
const [mostForms, mostWords, mostTitles] = [8, 3, 50_000]

/** Names a lesson by its words, whatever their numbers. */
export const lessonName = (
  { says, these, those }: Pick<WordLesson, 'says'> & WordPair,
  words: readonly string[],
): string => {
  const side = (ids: readonly number[]) =>
    ids
      .map((id) => words[id])
      .sort()
      .join(' ')
  return `${says}: ${[side(these), side(those)].sort().join(' / ')}`
}

/** All that listings teach of words, those taken back too. */
export function learnLessons({ forms, gtins, said = nothingSaid, takenBack = new Set() }: LessonSource): WordLesson[] {
  const shown = new Shown(forms, byBarcodes(forms, gtins))
  fromSeller(shown, said)
  againstBySeller(shown, said)
  return shown.lessons(takenBack)
}

/** what barcodes show, by the forms it was learned from: it is asked for anew whenever the seller says something */
const known = new WeakMap<TitleForms, ReadonlyMap<string, Evidence>>()

function byBarcodes(forms: TitleForms, gtins: Int32Array): ReadonlyMap<string, Evidence> {
  const found = known.get(forms)
  if (found) return found
  const shown = new Shown(forms)
  fromOtherBarcodes(shown, gtins)
  // what speaks against a lesson is only counted of those there are
  fromBarcodes(shown, gtins)
  known.set(forms, shown.found)
  return shown.found
}

/** What is believed. */
export const inForce = (lessons: readonly WordLesson[]): WordLesson[] => lessons.filter((l) => !l.isTakenBack)

interface Evidence {
  barcodes: number
  byHand: number
  against: number
  example: readonly [number, number]
}

/** Counts what shows each lesson. */
class Shown {
  readonly forms: TitleForms
  readonly #found: Map<string, Evidence>

  /** @param from what is shown already */
  constructor(forms: TitleForms, from: ReadonlyMap<string, Evidence> = new Map()) {
    this.forms = forms
    this.#found = new Map([...from].map(([key, evidence]) => [key, { ...evidence }]))
  }

  get found(): ReadonlyMap<string, Evidence> {
    return this.#found
  }

  wordsOf(form: number): Int32Array {
    const { wordIds, starts } = this.forms
    return wordIds.subarray(starts[form], starts[form + 1])
  }

  /** The words that either form has alone, the lower first. */
  difference(a: number, b: number): WordPair {
    const [x, y] = [this.wordsOf(a), this.wordsOf(b)]
    const alone = (of: Int32Array, other: Int32Array) => [...of].filter((id) => !other.includes(id))
    const [first, second] = [alone(x, y), alone(y, x)]
    const isInOrder = second.length === 0 || (first.length > 0 && (first[0] as number) < (second[0] as number))
    return isInOrder ? { these: first, those: second } : { these: second, those: first }
  }

  show(
    says: WordLesson['says'],
    { these, those }: WordPair,
    by: Partial<Pick<Evidence, 'barcodes' | 'byHand'>>,
    example: Evidence['example'],
  ): void {
    const key = keyOf(says, { these, those })
    const known = this.#found.get(key) ?? { barcodes: 0, byHand: 0, against: 0, example }
    known.barcodes += by.barcodes ?? 0
    known.byHand += by.byHand ?? 0
    this.#found.set(key, known)
  }

  /** So much speaks against a lesson, if it is one. */
  contradict(says: WordLesson['says'], pair: WordPair, by: number): void {
    const known = this.#found.get(keyOf(says, pair))
    if (known) known.against += by
  }

  lessons(takenBack: ReadonlySet<string>): WordLesson[] {
    return [...this.#found].flatMap(([key, { against, ...shown }]): WordLesson[] => {
      const counts = shown.barcodes + sayingCounts * shown.byHand
      if (counts < leastShown || against > mostAgainst * counts) return []
      const [says, ...sides] = key.split('|')
      const [these = [], those = []] = sides.map((side) => (side === '' ? [] : side.split(' ').map(Number)))
      const lesson = { says: says as WordLesson['says'], these, those, ...shown }
      return [{ ...lesson, isTakenBack: takenBack.has(lessonName(lesson, this.forms.words)) }]
    })
  }
}

const keyOf = (says: WordLesson['says'], { these, those }: WordPair) => `${says}|${these.join(' ')}|${those.join(' ')}`
const isFew = (side: readonly number[]) => side.length > 0 && side.length <= mostWords

/** Two titles of one barcode that differ in a few words on both sides say the same; one that only says more sets nothing apart. */
function fromBarcodes(shown: Shown, gtins: Int32Array): void {
  const { formOf } = shown.forms
  const formsOfGtin = new Map<number, Set<number>>()
  gtins.forEach((gtin, row) => {
    const form = formOf[row] as number
    if (gtin < 0 || form < 0) return
    const known = formsOfGtin.get(gtin)
    if (!known) formsOfGtin.set(gtin, new Set([form]))
    else if (known.size < mostForms) known.add(form)
  })
  for (const forms of formsOfGtin.values()) {
    // many listings of one barcode show it once
    const here = new Map<string, { pair: WordPair; example: [number, number] }>()
    const list = [...forms]
    list.forEach((a, i) =>
      list.slice(i + 1).forEach((b) => {
        const pair = shown.difference(a, b)
        here.set(`${pair.these.join()}/${pair.those.join()}`, { pair, example: [a, b] })
      }),
    )
    for (const { pair, example } of here.values()) {
      if (isFew(pair.these) && isFew(pair.those)) shown.show('same', pair, { barcodes: 1 }, example)
      shown.contradict('apart', pair, 1)
    }
  }
}

/**
 * Two titles that agree in their figures and in all words but one, and are of two barcodes: the word sets apart. Only titles that are of one
 * barcode alone tell that, as a title that many makers use is of many goods anyway.
 */
function fromOtherBarcodes(shown: Shown, gtins: Int32Array): void {
  const { figuresOf } = shown.forms
  const gtinOf = soleBarcodes(shown.forms, gtins)
  const coded = Array.from(gtinOf.keys()).filter((form) => (gtinOf[form] as number) >= 0)
  const step = Math.ceil(coded.length / mostTitles)
  const bySet = new Map<string, { form: number; word: number | null }[]>()
  const add = (key: string, form: number, word: number | null) => {
    const list = bySet.get(key)
    if (!list) bySet.set(key, [{ form, word }])
    else if (list.length < mostForms) list.push({ form, word })
  }
  for (let i = 0; i < coded.length; i += step) {
    const form = coded[i] as number
    const ids = [...shown.wordsOf(form)]
    add(`${figuresOf[form]} ${ids.join(' ')}`, form, null)
    ids.forEach((word, at) => add(`${figuresOf[form]} ${ids.filter((_, j) => j !== at).join(' ')}`, form, word))
  }
  for (const list of bySet.values())
    list.forEach((a, i) =>
      list.slice(i + 1).forEach((b) => {
        if (gtinOf[a.form] === gtinOf[b.form]) return
        const pair = shown.difference(a.form, b.form)
        if (isWorthTelling(pair, shown.forms.words)) shown.show('apart', pair, { barcodes: 1 }, [a.form, b.form])
      }),
    )
}

/** Form → the only barcode that its listings have; -1 without one, -2 where they have several. */
function soleBarcodes({ formOf, figuresOf }: TitleForms, gtins: Int32Array): Int32Array {
  const gtinOf = new Int32Array(figuresOf.length).fill(-1)
  gtins.forEach((gtin, row) => {
    const form = formOf[row] as number
    if (gtin < 0 || form < 0) return
    const known = gtinOf[form] as number
    gtinOf[form] = known === -1 || known === gtin ? gtin : -2
  })
  return gtinOf
}

/** Words that are known to tell goods apart need no lesson, nor does what no title would be joined over. */
function isWorthTelling({ these, those }: WordPair, words: readonly string[]): boolean {
  const text = (ids: readonly number[]) => ids.map((id) => words[id] as string)
  if (those.length === 0) return these.length === 1 && !tells(words[these[0] as number] as string)
  return these.length === 1 && those.length === 1 && isSaidOtherwise(text(these), text(those))
}

/** The seller said it of two listings whose figures agree: what they differ in means the same, or sets apart. */
function fromSeller(shown: Shown, { together, apart }: SaidOfListings): void {
  for (const { pair, example } of differencesOf(shown, together))
    if (isFew(pair.these) && isFew(pair.those)) shown.show('same', pair, { byHand: 1 }, example)
  for (const { pair, example } of differencesOf(shown, apart))
    if (isWorthTelling(pair, shown.forms.words)) shown.show('apart', pair, { byHand: 1 }, example)
}

function againstBySeller(shown: Shown, { together, apart }: SaidOfListings): void {
  for (const { pair } of differencesOf(shown, together)) shown.contradict('apart', pair, sayingCounts)
  for (const { pair } of differencesOf(shown, apart)) shown.contradict('same', pair, sayingCounts)
}

function differencesOf(shown: Shown, pairs: SaidOfListings['apart']): { pair: WordPair; example: [number, number] }[] {
  const { formOf, figuresOf } = shown.forms
  return pairs.flatMap(([listing, other]) => {
    const [a, b] = [formOf[listing] as number, formOf[other] as number]
    const isTelling = a >= 0 && b >= 0 && a !== b && figuresOf[a] === figuresOf[b]
    return isTelling ? [{ pair: shown.difference(a, b), example: [a, b] as [number, number] }] : []
  })
}
