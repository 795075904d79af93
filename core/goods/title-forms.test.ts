import fc from 'fast-check'
import { FormNumbering, titleForms, wordWeights } from './title-forms'
import { signatureKey, titleSignature, type TitleSignature } from './title-signature'

const title = fc
  .array(fc.constantFrom('oak', 'nest', 'box', 'boxes', '40 cm', '0.4m', 'green', 'pack of 4', 'the', 'robin'), {
    maxLength: 6,
  })
  .map((words) => words.join(' '))
const titles = fc.array(title, { maxLength: 40 })

test('two titles are of one form exactly where their signatures say the same', () => {
  fc.assert(
    fc.property(titles, (list) => {
      const { formOf } = titleForms(list)
      const keys = list.map((t) => titleSignature(t))
      list.forEach((_, i) =>
        list.forEach((_other, j) => {
          const [a, b] = [i, j].map((at) => {
            const said = keys[at] as TitleSignature
            return said.words.length > 1 ? signatureKey(said) : (list[at] as string)
          })
          expect(formOf[i] !== -1 && formOf[i] === formOf[j]).toBe(a !== '' && a === b)
        }),
      )
    }),
  )
})

test('titles that are added later give what all at once give', () => {
  fc.assert(
    fc.property(titles, titles, (first, then) => {
      const before = titleForms(first)
      const forms = new FormNumbering(before)
      const formOf = Int32Array.of(...before.formOf, ...then.map((t) => forms.form(t)))
      expect(forms.finish(formOf)).toEqual(titleForms([...first, ...then]))
    }),
  )
})

test('forms beyond the first room for them are found again', () => {
  const many = Array.from({ length: 5000 }, (_, i) => `nest box n${i}x`)
  const { formOf, figuresOf, counts, words } = titleForms([...many, ...many])
  expect(figuresOf.length).toBe(5000)
  expect(Array.from(formOf.slice(5000))).toEqual(Array.from(formOf.slice(0, 5000)))
  expect(counts[words.indexOf('nest')]).toBe(5000)
})

test('a rare word weighs more', () => {
  const forms = titleForms(['oak nest box', 'oak bird bath', 'oak hanging tray'])
  const weights = wordWeights(forms)
  const of = (w: string) => weights[forms.words.indexOf(w)]
  // three forms: one has it, and all have it
  expect(of('nest')).toBeCloseTo(Math.log(4), 12)
  expect(of('oak')).toBeCloseTo(Math.log(2), 12)
})
