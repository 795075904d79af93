import { asWritten, inForce, learnLessons, lessonName, type Joinable, type WordLesson } from '../goods'
import { textAt, textColumn } from '../tables'
import type { Catalog } from './catalog'
import type { ListingIndex } from './find-listing'
import type { SaidOfGoods } from './rules'

/** What titles teach, by barcodes and by what the seller said of listings that are there. @param index made when something was said */
export function titleLessons(
  { forms, gtins }: Pick<Joinable, 'forms' | 'gtins'>,
  { apart, together, unlearned }: SaidOfGoods,
  index: () => ListingIndex,
): WordLesson[] {
  const places = (said: Record<string, string>) =>
    Object.entries(said).flatMap(([key, other]) => {
      const [a, b] = [index().find(key), index().find(other)]
      return a === null || b === null ? [] : [[a, b] as const]
    })
  const said = { together: places(together), apart: places(apart) }
  return learnLessons({ forms, gtins, said, takenBack: new Set(Object.keys(unlearned)) })
}

type Taught = Pick<Catalog, 'lessons' | 'forms'>

const areEqual = (x: readonly number[], y: readonly number[]) => x.length === y.length && x.every((n, i) => n === y[i])
const isSame = (x: WordLesson, y: WordLesson) =>
  x.says === y.says && areEqual(x.these, y.these) && areEqual(x.those, y.those)
const byNumbers = ({ says, these, those }: WordLesson) => `${says} ${these.join()} ${those.join()}`

/** What is believed now and was not before. */
export function newInForce(before: Taught, now: Taught): WordLesson[] {
  const [old, all] = [inForce(before.lessons), inForce(now.lessons)]
  if (before.forms !== now.forms) {
    const known = new Set(old.map((l) => lessonName(l, before.forms.words)))
    return all.filter((l) => !known.has(lessonName(l, now.forms.words)))
  }
  // by numbers, and of few: most is believed in the same order as before
  const [from, less] = alikeAtEnds(old, all)
  const known = new Set(old.slice(from, old.length - less).map(byNumbers))
  return all.slice(from, all.length - less).filter((l) => !known.has(byNumbers(l)))
}

/** How many lessons of two lists are the same in their order from the beginning, and of the others from the end. */
function alikeAtEnds(a: readonly WordLesson[], b: readonly WordLesson[]): [from: number, less: number] {
  const most = Math.min(a.length, b.length)
  let from = 0
  while (from < most && isSame(a[from] as WordLesson, b[from] as WordLesson)) from++
  let less = 0
  while (less < most - from && isSame(a.at(-1 - less) as WordLesson, b.at(-1 - less) as WordLesson)) less++
  return [from, less]
}

/** Whether other lessons are believed now than were before. */
export const isTaughtAnew = (before: Taught, now: Taught): boolean =>
  newInForce(before, now).length + newInForce(now, before).length > 0

/** A lesson in words, for people. */
export interface ToldLesson {
  /** by which it is taken back */
  name: string
  says: WordLesson['says']
  these: readonly string[]
  /** empty where the words set apart by themselves */
  those: readonly string[]
  barcodes: number
  byHand: number
  /** titles of two listings that show it */
  example: readonly [string, string]
  isTakenBack: boolean
}

/** All lessons, those shown most often first. */
export function toldLessons({
  lessons,
  forms,
  listings,
}: Pick<Catalog, 'lessons' | 'forms' | 'listings'>): ToldLesson[] {
  const titles = titlesOfForms({ forms, listings }, new Set(lessons.flatMap((l) => l.example)))
  return tellLessons(lessons, forms.words, (form) => titles.get(form) ?? '')
}

/** @param words what the numbers of lessons' words stand for @param titleOf a title of a form */
export function tellLessons(
  lessons: readonly WordLesson[],
  words: readonly string[],
  titleOf: (form: number) => string,
): ToldLesson[] {
  const told = lessons.map((lesson): ToldLesson => {
    const [a, b] = lesson.example.map(titleOf) as [string, string]
    const written = (ids: readonly number[]) =>
      asWritten(
        ids.map((id) => words[id] as string),
        [a, b],
      )
    return {
      name: lessonName(lesson, words),
      says: lesson.says,
      these: written(lesson.these),
      those: written(lesson.those),
      barcodes: lesson.barcodes,
      byHand: lesson.byHand,
      example: [a, b],
      isTakenBack: lesson.isTakenBack,
    }
  })
  return inOrder(told)
}

/** What listings teach and what judged offers do, each lesson once, those shown most often first. */
export function joinTold(a: readonly ToldLesson[], b: readonly ToldLesson[]): ToldLesson[] {
  const byName = new Map(a.map((lesson) => [lesson.name, lesson]))
  for (const lesson of b) {
    const known = byName.get(lesson.name)
    byName.set(lesson.name, known ? { ...known, byHand: known.byHand + lesson.byHand } : lesson)
  }
  return inOrder([...byName.values()])
}

const inOrder = (told: readonly ToldLesson[]) =>
  [...told].sort((a, b) => b.byHand - a.byHand || b.barcodes - a.barcodes || (a.name < b.name ? -1 : 1))

function titlesOfForms({ forms, listings }: Pick<Catalog, 'forms' | 'listings'>, wanted: ReadonlySet<number>) {
  const title = textColumn(listings, 'title')
  const found = new Map<number, string>()
  for (let i = 0; i < forms.formOf.length && found.size < wanted.size; i++) {
    const form = forms.formOf[i] as number
    if (wanted.has(form) && !found.has(form)) found.set(form, textAt(title, i) ?? '')
  }
  return found
}
