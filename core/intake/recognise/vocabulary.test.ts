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
  const wrong = recordKinds.flatMap((kind) =>
    kind.fields.flatMap((field) =>
      languages.flatMap((language) =>
        (field.headings[language] ?? '')
          .split(', ')
          .map(readHeading)
          .filter((heading) => heading.words.length > 0)
          .filter((heading) => !((vocabulary.fits(heading).fits.get(`${kind.name}.${field.name}`) ?? 0) > 0.7))
          .map(({ joined }) => [kind.name, field.name, joined]),
      ),
    ),
  )
  expect(wrong).toEqual([])
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

/** Four fields of one kind; each of their words belongs to one of them alone, but for 'count', which merely counts. */
const small = new Vocabulary([
  {
    name: 'listings',
    fields: [
      { name: 'price', label: 'Price', headings: { en: 'price, asking price', de: 'preis', it: 'prezzo' } },
      { name: 'reviews', label: 'Reviews', headings: { en: 'review count' } },
      { name: 'stock', label: 'Stock', headings: { nl: 'voorraad', fr: 'stock, stock' } },
      { name: 'day', label: 'Day', headings: { en: 'day of sale' } },
    ],
  },
] as unknown as ConstructorParameters<typeof Vocabulary>[0])
const fitOf = (heading: string, field: string, spoken = {}) =>
  small.fits(readHeading(heading), spoken).fits.get(`listings.${field}`)

// A heading is a phrase as far as it covers it (to the power of 1.5), and as the phrase explains the heading (three tenths are free);
// nine tenths where nobody knows that the language is spoken in the file. Worked by hand from those rules.
test.each([
  ['Price', 'price', 0.9],
  ['Asking price', 'price', 0.9 * 0.996],
  // an unknown word weighs 0.7, one that joins 0.1
  ['price newest', 'price', 0.9 * (0.3 + 0.7 / 1.7)],
  ['price of', 'price', 0.9 * (0.3 + 0.7 / 1.1)],
  // another form of the word, the same but for its end, its beginning, its end in a compound, its skeleton
  ['preise', 'price', 0.9 * 0.92 ** 1.5],
  ['preisxyz', 'price', 0.9 * 0.78 ** 1.5],
  ['revi', 'reviews', 0.9 * 0.7 ** 1.5 * 0.996],
  ['rev', 'reviews', 0.9 * 0.62 ** 1.5 * 0.996],
  ['Angebotspreis', 'price', 0.9 * 0.72 ** 1.5],
  ['prz', 'price', 0.9 * 0.56 ** 1.5 * (0.3 + 0.7 * 0.56)],
  ['vrd', 'stock', 0.9 * 0.56 ** 1.5 * (0.3 + 0.7 * 0.56)],
  // the count weighs 0.3 beside the 1 of what is counted
  ['reviewwxyz count', 'reviews', 0.9 * ((0.42 + 0.3) / 1.3) ** 1.5 * (0.3 + (0.7 * (0.7 * 0.42 + 0.3)) / 1)],
])('%s names %s by as much as is worked out by hand', (heading, field, wanted) => {
  expect(fitOf(heading, field)).toBeCloseTo(wanted, 9)
})

test('what is less than half a phrase, or hardly like a word of it, names nothing', () => {
  expect(fitOf('count', 'reviews')).toBeUndefined()
  expect(fitOf('pr', 'price')).toBeUndefined()
  expect(fitOf('reviewwxyz', 'reviews')).toBeUndefined()
  // vowels are no skeleton, nor are letters in another order, nor more than five, nor one letter less
  for (const word of ['pre', 'pzr', 'vrrdxx', 'vorad', 'xprz'])
    expect([word, fitOf(word, word[0] === 'v' ? 'stock' : 'price') ?? 0]).toEqual([
      word,
      word === 'pre' ? expect.any(Number) : 0,
    ])
  // of a word with one letter more nothing was left out
  expect(fitOf('stck', 'stock') ?? 0).toBe(0)
  expect(small.fits(readHeading('')).fits.size).toBe(0)
})

test('a language that is spoken in the file counts for the tenth that is left, half of it for a quarter', () => {
  expect(fitOf('Price', 'price', { en: 1 })).toBeCloseTo(1, 9)
  expect(fitOf('Price', 'price', { en: 0.5 })).toBeCloseTo(1, 9)
  expect(fitOf('Price', 'price', { en: 0.25 })).toBeCloseTo(0.95, 9)
  expect(fitOf('Price', 'price', { de: 1 })).toBeCloseTo(0.9, 9)
  const { by } = small.fits(readHeading('Stock'))
  expect(by.get('fr')).toBeCloseTo(0.9, 9)
  expect(by.get('nl')).toBeUndefined()
})

test('a word of many fields says less of each', () => {
  const own = (i: number) => `p${'abcdefghijklmnopqrstuvwxyz'[i]}q`
  const fields = (many: number) =>
    Array.from({ length: many }, (_, i) => ({ name: `f${own(i)}`, label: own(i), headings: { de: `datum ${own(i)}` } }))
  const of = (many: number) =>
    new Vocabulary([{ name: 'listings', fields: fields(many) }] as unknown as ConstructorParameters<
      typeof Vocabulary
    >[0])
      .fits(readHeading('datum'))
      .fits.get('listings.fpaq')
  // beside a word of its own, which weighs 1: 1 of one field, 1 / 1.12 of two. Below 0.55 of a phrase nothing is said
  expect(of(1)).toBeUndefined()
  const two = new Vocabulary([
    {
      name: 'listings',
      fields: [
        { name: 'a', label: 'Total', headings: { de: 'anzahl wert' } },
        { name: 'b', label: 'b', headings: { de: 'wert' } },
      ],
    },
  ] as unknown as ConstructorParameters<typeof Vocabulary>[0])
  // 'anzahl' counts and weighs 0.3, 'wert' is of two fields and weighs 1 / 1.12
  const wert = 1 / 1.12
  expect(two.fits(readHeading('wert')).fits.get('listings.a')).toBeCloseTo(0.9 * (wert / (wert + 0.3)) ** 1.5, 9)
})
