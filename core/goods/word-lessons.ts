import { shownByBarcodes } from './barcode-lessons'
import { areFew, isWorthTelling, LessonEvidence, sayingCounts } from './lesson-evidence'
import type { TitleForms } from './title-forms'
import type { WordLesson, WordPair } from './word-lesson'

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

/** All that listings teach of words, those taken back too. */
export function learnLessons({ forms, gtins, said = nothingSaid, takenBack = new Set() }: LessonSource): WordLesson[] {
  const shown = new LessonEvidence(forms, shownByBarcodes(forms, gtins))
  fromSeller(shown, said)
  againstBySeller(shown, said)
  return shown.lessons(takenBack)
}

/** The seller said it of two listings whose figures agree: what they differ in means the same, or sets apart. */
function fromSeller(shown: LessonEvidence, { together, apart }: SaidOfListings): void {
  for (const { pair, example } of differencesOf(shown, together))
    if (areFew(pair)) shown.show('same', pair, { byHand: 1 }, example)
  for (const { pair, example } of differencesOf(shown, apart))
    if (isWorthTelling(pair, shown.forms.words)) shown.show('apart', pair, { byHand: 1 }, example)
}

function againstBySeller(shown: LessonEvidence, { together, apart }: SaidOfListings): void {
  for (const { pair } of differencesOf(shown, together)) shown.contradict('apart', pair, sayingCounts)
  for (const { pair } of differencesOf(shown, apart)) shown.contradict('same', pair, sayingCounts)
}

function differencesOf(
  shown: LessonEvidence,
  pairs: SaidOfListings['apart'],
): { pair: WordPair; example: [number, number] }[] {
  const { formOf, figuresOf } = shown.forms
  return pairs.flatMap(([listing, other]) => {
    const [a, b] = [formOf[listing] as number, formOf[other] as number]
    const isTelling = a >= 0 && b >= 0 && a !== b && figuresOf[a] === figuresOf[b]
    return isTelling ? [{ pair: shown.difference(a, b), example: [a, b] as [number, number] }] : []
  })
}
