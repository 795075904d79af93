import fc from 'fast-check'
import { titleForms } from './title-forms'
import { TitleIndex } from './title-index'
import { asWritten, titleSignature } from './title-signature'

const same = (a: string, b: string) => expect(said(a)).toEqual(said(b))
const said = (title: string) => {
  const { words, colours, marks } = titleSignature(title)
  return { words, colours, marks }
}

test('what a title is, what comes with it, what it is for and what it is without', () => {
  expect(said('Kettle with lid')).toEqual({ words: ['+lid', 'kettle'], colours: [], marks: ['lid'] })
  expect(said('Lid for kettle')).toEqual({ words: ['!lid', 'kettle'], colours: [], marks: ['lid'] })
  expect(said('Kettle without lid')).toEqual({ words: ['kettle'], colours: [], marks: ['-lid'] })
  expect(said('Schnellkocher ohne Deckel')).toEqual({ words: ['schnellkocher'], colours: [], marks: ['-lid'] })
  expect(said('Kettle, lid, drip')).toEqual({ words: ['+lid', 'drip', 'kettle'], colours: [], marks: ['lid'] })
  expect(said('Replacement filter for jug').marks).toEqual(['filter', 'instead'])
  expect(said('Case K7 Lite')).toEqual({ words: ['case', 'k7', 'lite'], colours: [], marks: ['cover', 'lite'] })
  expect(said('Jacket size L').marks).toEqual(['size l'])
  expect(said('Rear lamp').marks).toEqual(['rear'])
})

test('colours are told in all languages, with their shade', () => {
  for (const name of ['grey', 'gray', 'grau', 'graue', 'gris', 'grigio', 'grijze', 'szary', 'cinza'])
    expect([name, titleSignature(`cushion ${name}`).colours]).toEqual([name, ['grey']])
  for (const name of ['light grey', 'hellgrau', 'lichtgrijs'])
    expect([name, titleSignature(`cushion ${name}`).colours]).toEqual([name, ['light grey']])
  expect(titleSignature('light cushion').words).toContain('light')
})

test('letters of any alphabet are words', () => {
  expect(said('Łopatka zielna Γλάστρα').words).toEqual(['lopatk', 'zieln', 'γλαστρα'])
  expect(said('Лопата садовая').words).toEqual(['лопата', 'садовая'])
})

test('words as titles write them, in their order; what no title has stands last as it is', () => {
  expect(asWritten(['zinc', 'tub', 'colour'], ['Tubs and Zínc'])).toEqual(['tubs', 'zinc', 'colour'])
})

test('gaps of any kind are one space: sizes, packs and words of two parts are read across them', () => {
  const plain = titleSignature('Fruit net 4 x 6 m, power bank, pack of 3')
  expect(plain.sizes).toEqual(['6000x4000mm'])
  expect(plain.pack).toBe(3)
  for (const title of [
    'Fruit  net 4x  6 m, power  bank, pack  of 3',
    'Fruit_net 4\u00a0x\u00a06 m,\tpower_bank, pack_of 3',
  ])
    expect(titleSignature(title)).toEqual(plain)
})

test('one spelling of a word, one word of two parts', () => {
  same('Organizer bags', 'organiser bag')
  same('Non-stick pan', 'Nonstick pans')
  same('Bicycle tires', 'bike tyre')
  same("Men's padded gloves", 'Men padding glove')
  same('USB-C cable', 'usb c cables')
  same('Batteries power bank', 'battery powerbank')
  expect(said('USB-C cable')).not.toEqual(said('USB-A cable'))
  expect(said('cat litter').words).toEqual(['cat', 'litter'])
  expect(said('cat 6 cable').words).toEqual(['cable', 'cat6'])
})

test('a gun is no nozzle, but a spray gun is one', () => {
  same('Hose with spray gun', 'Hose with nozzle')
  expect(said('Heat gun').marks).toEqual(['gun'])
  expect(said('Heat gun with nozzle').marks).toEqual(['gun', 'nozzle'])
})

test('two words that are one thing are that, in one, in two and by another name', () => {
  same('Solar fairy lights', 'Solar string light')
  same('Fairylights solar', 'Solar Lichterkette')
  same('Hair-dryer black', 'Black hairdryer')
  same('Skipping rope red', 'Red jump ropes')
  same('Blow dryer black', 'Black hair dryers')
  same('Boîte repas', 'Lunch box')
  same('Tapis salle de bain', 'Tapis salle de bains')
  same('Watch band red', 'Watch straps red')
  same('Espuma de memoria', 'Memory foam')
  same('Vase of stainless steel', 'Steel vase')
  // a sign between them parts them
  expect(said('Jump, rope').words).toEqual(['+rope', 'jump'])
  expect(said('Jump rope').words).toEqual(['jump', 'rope'])
  expect(said('Set with string').words).toEqual(['string'])
})

test('compounds say what their parts say, and what comes with a good is seen in them', () => {
  expect(said('Wärmflasche mit Strick-Bezug')).toEqual(said('Wärmflasche mit Strickbezug'))
  expect(said('Strickbezug für Krug')).toEqual({ words: ['!bezug', 'krug', 'strick'], colours: [], marks: ['cover'] })
  expect(said('Hantelset').words).toEqual(['dumbbell'])
  expect(said('Silikon Armband').words).toEqual(said('Silikonarmband').words)
})

test('a colour and what sort of it are one; two with anything between them are two', () => {
  const colours = (title: string) => titleSignature(title).colours
  expect(colours('Navy blue vest')).toEqual(['navy'])
  expect(colours('Gilet bleu marine')).toEqual(['navy'])
  expect(colours('Arch sage green and gold')).toEqual(['gold', 'sage'])
  expect(colours('Arch green and sage')).toEqual(['green', 'sage'])
  expect(colours('Vest red blue')).toEqual(['blue', 'red'])
  expect(colours('Vest light navy blue')).toEqual(['blue', 'light navy'])
  expect(colours('Case rose gold')).toEqual(['rosegold'])
})

test('what is said not to be included is without it', () => {
  for (const title of [
    'Hanger, pot not included',
    'Hanger (pot is not included)',
    'Hanger without pot',
    'Hanger ohne Topf',
  ])
    expect([title, said(title).marks]).toEqual([title, ['-pot']])
  expect(said('Pot included').marks).toEqual([])
})

test('promises say nothing; a house is a thing in every language', () => {
  for (const promise of [
    'ideal gift',
    'idée cadeau',
    'qualité supérieure',
    'calidad',
    'hochwertig',
    'kwaliteit',
    'prezent',
  ])
    expect([promise, said(`Robin ${promise}`).words]).toEqual([promise, ['robin']])
  for (const house of ['casa', 'maison', 'huis', 'house']) expect(said(`Robin ${house}`).words).toHaveLength(2)
})

test('letters before a frame are what it is', () => {
  expect(said('Stand X-frame').words).toEqual(said('Stand x frame').words)
  expect(said('Stand X frame').words).not.toEqual(said('Stand Z frame').words)
})

test('equal titles are of one form however little they say; others of few words are not', () => {
  const { formOf } = titleForms(['Kettle', 'kettle ', 'Kettle 2 l', '12', '12', '', 'Jug'])
  expect(formOf[0]).toBe(formOf[1])
  expect(formOf[3]).toBe(formOf[4])
  expect(new Set(formOf).size).toBe(5)
  expect(formOf[5]).toBe(-1)
})

test('of two figures that clash one that agrees makes nothing good; marks must agree', () => {
  const verdict = (a: string, b: string) =>
    new TitleIndex([titleSignature(b)]).find(titleSignature(a), 1, 0)[0]?.likeness.verdict
  expect(verdict('robin box 30 cm 5 kg', 'robin box 30 cm 5 kg')).toBe('same')
  expect(verdict('robin box 30 cm 40 cm', 'robin box 30 cm 50 cm')).toBe('variant')
  expect(verdict('robin box 30 cm 40 cm', 'robin box 30 cm')).toBe('same')
  expect(verdict('robin box grey', 'robin box blue')).toBe('variant')
  expect(verdict('robin box lid', 'robin box')).toBe('similar')
  expect(verdict('robin box oak', 'robin box walnut')).toBe('similar')
})

test('the order of words says nothing', () => {
  const words = ['mug', 'stone', 'red', 'blue', 'grey', '30cm', '500g', '2l', 'rear', 'lite', 'replacement']
  const whole = titleSignature(words.join(' '))
  expect([whole.colours, whole.sizes.length, whole.marks.length]).toEqual([['blue', 'grey', 'red'], 3, 3])
  fc.assert(
    fc.property(fc.shuffledSubarray(words, { minLength: words.length }), (mixed) =>
      expect(titleSignature(mixed.join(' '))).toEqual(whole),
    ),
    { numRuns: 60 },
  )
})
