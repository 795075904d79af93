import fc from 'fast-check'
import { saidOtherwise, titleForms, type WordLesson } from '.'
import { taughtPairs, taughtPairsOf } from './taught-pairs'

const trees = ['alder', 'birch', 'cedar', 'larch', 'rowan']
const some = (most: number) => fc.uniqueArray(fc.constantFrom(...trees), { minLength: 1, maxLength: most })
const title = fc.tuple(some(3), fc.constantFrom('', ' 20 cm')).map(([words, size]) => `${words.join(' ')} post${size}`)
/** titles that no lesson is of */
const others = Array.from({ length: 260 }, (_, i) => `gate hinge no${i}`)
/** sides that share no word, as what titles differ in */
const sides = fc.tuple(some(2), some(2)).filter(([a, b]) => !a.some((word) => b.includes(word)))

test('the pairs are those of which either is the other said otherwise, by the definition', () => {
  let met = 0
  fc.assert(
    fc.property(
      fc.uniqueArray(title, { minLength: 8, maxLength: 16 }),
      fc.array(sides, { minLength: 1, maxLength: 3 }),
      (titles, taught) => {
        const forms = titleForms([...titles, ...others])
        const count = Math.max(...forms.formOf.subarray(0, titles.length)) + 1
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
        const few = new Set([...forms.figuresOf.keys()].filter((form) => form < count && form % 3 === 0))
        const ofFew = [...taughtPairsOf(forms, lessons, few)].map((pair) => pair.join())
        // of so many that all lessons are gone through
        const many = new Set([...few, ...[...forms.figuresOf.keys()].slice(count)])
        const ofMany = [...taughtPairsOf(forms, lessons, many)].map((pair) => pair.join())
        for (let a = 0; a < count; a++)
          for (let b = a + 1; b < count; b++) {
            const ways = lessons.map((lesson) => [says(a, b, lesson), says(b, a, lesson)])
            // a title that has some words of both sides may be said as another, and not back again: that may be told or not
            if (ways.some(([there, back]) => there && back)) {
              met++
              expect(found).toContain(`${a},${b}`)
              if (few.has(a) || few.has(b)) for (const found of [ofFew, ofMany]) expect(found).toContain(`${a},${b}`)
            }
            if (!ways.flat().includes(true)) {
              expect(found).not.toContain(`${a},${b}`)
              expect([...ofFew, ...ofMany]).not.toContain(`${a},${b}`)
            }
            if (!few.has(a) && !few.has(b)) expect([...ofFew, ...ofMany]).not.toContain(`${a},${b}`)
          }
      },
    ),
    { numRuns: 400 },
  )
  expect(met).toBeGreaterThan(200)
})
