import {
  findPackCount,
  FormNumbering,
  inForce,
  learnLessons,
  lessonName,
  type TitleForms,
  type WordLesson,
} from '../goods'
import type { MatchJudgement } from '../supply'
import { tellLessons, type ToldLesson } from './title-lessons'

/** An item's title beside an offer's, and what the seller said the one is to the other. */
export interface JudgedTitles {
  item: string
  offer: string
  judgement: MatchJudgement
}

/** What the seller's judgements of offers teach of words: titles of their own, since an offer is no listing. */
export interface OfferLessons {
  lessons: readonly WordLesson[]
  forms: TitleForms
  /** the titles that were judged: those of items and of offers in turn */
  titles: readonly string[]
}

/**
 * What two judgements and more agree on: words that mean the same where an offer is the item's goods, words that set apart where it is not.
 *
 * @param takenBack names of lessons that the seller took back
 */
export function learnOfOffers(judged: readonly JudgedTitles[], takenBack: ReadonlySet<string>): OfferLessons {
  const titles = judged.flatMap(({ item, offer }) => [item, offer])
  const numbering = new FormNumbering()
  const forms = numbering.finish(Int32Array.from(titles, (title) => numbering.form(withoutPack(title))))
  const pairs = (isSame: boolean) =>
    judged.flatMap(({ judgement }, i) =>
      (judgement === 'same' || judgement === 'pack') === isSame ? [[2 * i, 2 * i + 1] as const] : [],
    )
  const said = { together: pairs(true), apart: pairs(false) }
  const gtins = new Int32Array(titles.length).fill(-1)
  return { lessons: learnLessons({ forms, gtins, said, takenBack }), forms, titles }
}

/** An offer of the same goods may come in any pack. */
function withoutPack(title: string): string {
  const from = findPackCount(title)?.from ?? ''
  return from === '' ? title : title.replace(from, ' ')
}

/** Whether the same is believed by both. */
export function areOfferLessonsSame(a: OfferLessons, b: OfferLessons): boolean {
  const names = ({ lessons, forms }: OfferLessons) =>
    inForce(lessons)
      .map((l) => lessonName(l, forms.words))
      .sort()
      .join('|')
  return names(a) === names(b)
}

/** The lessons in words, each with two of the titles that show it. */
export function tellOfferLessons({ lessons, forms, titles }: OfferLessons): ToldLesson[] {
  const titleOf = (form: number) => titles[forms.formOf.indexOf(form)] ?? ''
  return tellLessons(lessons, forms.words, titleOf)
}
