import fc from 'fast-check'
import { saidOtherwise, titleForms, type WordLesson } from '.'
import { taughtPairs, taughtPairsOf } from './taught-pairs'

const trees = ['alder', 'birch', 'cedar', 'larch', 'rowan']
const some = (most: number) => fc.uniqueArray(fc.constantFrom(...trees), { minLength: 1, maxLength: most })
const title = fc.tuple(some(3), fc.constantFrom('', ' 20 cm')).map(([words, size]) => `${words.join(' ')} post${size}`)
/** sides that share no word, as what titles differ in */
const sides = fc.tuple(some(2), some(2)).filter(([a, b]) => !a.some((word) => b.includes(word)))

test('the pairs are those of which either is the other said otherwise, by the definition', () => {
  let met = 0
  fc.assert(
    fc.property(
      fc.uniqueArray(title, { minLength: 8, maxLength: 16 }),
      fc.array(sides, { minLength: 1, maxLength: 3 }),
      (titles, taught) => {
        const forms = titleForms(titles)
        const ids = (words: readonly string[]) => words.map((w) => forms.words.indexOf(w)).sort((a, b) => a - b)
        const lessons: WordLesson[] = taught
          .filter((pair) => pair.flat().every((w) => forms.words.includes(w)))
          .map(([a, b]) => ({
            says: 'same',
            these: ids(a),
            those: ids(b),
            barcodes: 3,
            byHand: 0,
            example: [0, 1],
            isTakenBack: false,
          }))
        const wordsOf = (form: number) => [...forms.wordIds.subarray(forms.starts[form], forms.starts[form + 1])]
        const says = (a: number, b: number, lesson: WordLesson) =>
          forms.figuresOf[a] === forms.figuresOf[b] &&
          saidOtherwise(wordsOf(a), [lesson]).some((words) => words.join() === wordsOf(b).join())
        const found = new Set([...taughtPairs(forms, lessons)].map((pair) => pair.join()))
        const few = new Set([...forms.figuresOf.keys()].filter((form) => form % 3 === 0))
        const ofFew = [...taughtPairsOf(forms, lessons, few)].map((pair) => pair.join())
        for (let a = 0; a < forms.figuresOf.length; a++)
          for (let b = a + 1; b < forms.figuresOf.length; b++) {
            const ways = lessons.map((lesson) => [says(a, b, lesson), says(b, a, lesson)])
            // a title that has some words of both sides may be said as another, and not back again: that may be told or not
            if (ways.some(([there, back]) => there && back)) {
              met++
              expect(found).toContain(`${a},${b}`)
              if (few.has(a) || few.has(b)) expect(ofFew).toContain(`${a},${b}`)
            }
            if (!ways.flat().includes(true)) {
              expect(found).not.toContain(`${a},${b}`)
              expect(ofFew).not.toContain(`${a},${b}`)
            }
            if (!few.has(a) && !few.has(b)) expect(ofFew).not.toContain(`${a},${b}`)
          }
      },
    ),
    { numRuns: 400 },
  )
  expect(met).toBeGreaterThan(200)
})
