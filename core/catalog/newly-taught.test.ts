import { titleForms, type WordLesson } from '../goods'
import { isTaughtAnew, newInForce } from './title-lessons'

/** What is taught where titles came in an order, so that words have other numbers. */
function taught(
  titles: string[],
  lessons: { says: WordLesson['says']; these: string; those: string; isTakenBack?: true }[],
) {
  const forms = titleForms(titles)
  const numbers = (words: string) => words.split(' ').map((word) => forms.words.indexOf(word))
  return {
    forms,
    lessons: lessons.map(({ says, these, those, isTakenBack = false }): WordLesson => ({
      ...{ says, these: numbers(these), those: numbers(those) },
      ...{ barcodes: 3, byHand: 0, example: [0, 1], isTakenBack },
    })),
  }
}
const titles = ['oak trough', 'oak planter', 'tin bucket', 'tin pail']
const trough = { says: 'same', these: 'trough', those: 'planter' } as const
const pail = { says: 'same', these: 'bucket', those: 'pail' } as const
const before = taught(titles, [trough, pail])

test('the same words are the same lesson, whatever their numbers and their order', () => {
  const renumbered = taught([...titles].reverse(), [pail, trough])
  expect(newInForce(before, renumbered)).toEqual([])
  expect(isTaughtAnew(before, renumbered)).toBe(false)
  expect(isTaughtAnew(before, { ...before })).toBe(false)
  expect(isTaughtAnew(before, { ...before, lessons: before.lessons.toReversed() })).toBe(false)
})

test('the same numbers of other words are another lesson', () => {
  const others = taught(['copper kettle', 'copper jug', 'oak trough', 'oak planter'], [])
  expect(isTaughtAnew(before, { ...others, lessons: before.lessons })).toBe(true)
})

test('what came, what went, what is said otherwise and what is taken back is taught anew', () => {
  const now = (...lessons: Parameters<typeof taught>[1]) => ({ ...before, lessons: taught(titles, lessons).lessons })
  expect(newInForce(now(trough), before).map((l) => l.those)).toEqual([before.lessons[1]?.those])
  expect(newInForce(before, now(trough))).toEqual([])
  // in the midst, first and last too
  const oak = { says: 'apart', these: 'oak', those: 'tin' } as const
  const all = [trough, oak, pail]
  for (const left of all) {
    const some = all.filter((l) => l !== left)
    expect(newInForce(now(...some), now(...all))).toEqual(taught(titles, [left]).lessons)
    expect(newInForce(now(...all), now(...some))).toEqual([])
    expect(newInForce(now(...all), now(...some.toReversed(), left))).toEqual([])
  }
  for (const other of [
    now(trough),
    now(trough, { ...pail, says: 'apart' }),
    now(trough, { ...pail, isTakenBack: true }),
    now(trough, { ...pail, those: 'planter' }),
    now(trough, { ...pail, those: 'pail planter' }),
  ])
    expect(isTaughtAnew(before, other)).toBe(true)
})
