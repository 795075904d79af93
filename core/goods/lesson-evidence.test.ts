import { LessonEvidence } from './lesson-evidence'
import { titleForms } from './title-forms'

const forms = titleForms(['Oak patio trough', 'Oak patio planter'])
const [trough, planter] = ['trough', 'planter'].map((word) => forms.words.indexOf(word)) as [number, number]
const pair = { these: [Math.min(trough, planter)], those: [Math.max(trough, planter)] }

/** Whether it is believed that the two words mean the same, shown so often. */
function isBelieved(barcodes: number, byHand: number, against = 0): boolean {
  const shown = new LessonEvidence(forms)
  shown.show('same', pair, { barcodes, byHand }, [0, 1])
  shown.contradict('same', pair, against)
  return shown.lessons(new Set()).length === 1
}

test('three barcodes show it, or two sayings of the seller, each of which counts as two barcodes', () => {
  expect([isBelieved(2, 0), isBelieved(3, 0)]).toEqual([false, true])
  expect([isBelieved(0, 1), isBelieved(0, 2), isBelieved(1, 1)]).toEqual([false, true, true])
})

test('of ten that show it one may speak against it, and no more', () => {
  expect([isBelieved(9, 0, 1), isBelieved(10, 0, 1), isBelieved(10, 0, 2)]).toEqual([false, true, false])
  expect([isBelieved(8, 1, 1), isBelieved(7, 1, 1)]).toEqual([true, false])
})

test('one that the seller took back is told with that, under its name', () => {
  const shown = new LessonEvidence(forms)
  shown.show('same', pair, { barcodes: 3 }, [0, 1])
  const isTakenBack = (names: string[]) => shown.lessons(new Set(names)).map((l) => l.isTakenBack)
  expect(isTakenBack([])).toEqual([false])
  expect(isTakenBack(['apart: planter / trough'])).toEqual([false])
  expect(isTakenBack(['same: planter / trough'])).toEqual([true])
})
