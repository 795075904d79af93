import { languages } from '../../records/field'
import { recordKinds } from '../../records/record-kinds'
import { readHeading } from './heading'
import { Vocabulary } from './vocabulary'

const vocabulary = new Vocabulary(recordKinds)
const best = (heading: string, kind: string) =>
  [...vocabulary.fits(readHeading(heading)).fits]
    .filter(([field]) => field.startsWith(`${kind}.`))
    .sort((a, b) => b[1] - a[1])
    .map(([field, fit]) => [field.slice(kind.length + 1), fit] as const)[0]

test('every phrase of every field names it, in every language', () => {
  for (const kind of recordKinds)
    for (const field of kind.fields)
      for (const language of languages)
        for (const phrase of (field.headings[language] ?? '')
          .split(', ')
          .filter((p) => readHeading(p).words.length > 0)) {
          const fit = vocabulary.fits(readHeading(phrase)).fits.get(`${kind.name}.${field.name}`) ?? 0
          expect([kind.name, field.name, phrase, fit > 0.7]).toEqual([kind.name, field.name, phrase, true])
        }
})

test.each([
  ['Angebotspreis', 'listings', 'price'],
  ['Verkaufspreis brutto', 'listings', 'price'],
  ['Artikelbezeichnung', 'listings', 'title'],
  ['ARTIKELNUMMER', 'listings', 'id'],
  ['haendler', 'stores', 'store'],
  ['Prz. vend.', 'listings', 'price'],
  ['Anz. Bewertungen', 'listings', 'reviews'],
  ['Nombre d’avis', 'listings', 'reviews'],
  ['Szt. sprzedane', 'listings', 'units'],
  ['Fecha de publicación', 'clips', 'day'],
])('%s of %s is %s', (heading, kind, field) => {
  expect(best(heading, kind)?.[0]).toBe(field)
})

test('words that look alike and are not', () => {
  expect(vocabulary.fits(readHeading('Ratio')).fits.get('listings.rating') ?? 0).toBeLessThan(0.5)
  expect(best('Xyzzy', 'listings')).toBeUndefined()
})
