import { asLengths, lengthsApart, TitleSizes } from './sizes'

const withoutSizes = (text: string) => {
  const read = new TitleSizes().read(text)
  const ends = [0, ...read.places, text.length]
  const parts = ends.flatMap((from, i) => (i % 2 === 0 ? [text.slice(from, ends[i + 1])] : []))
  return { rest: parts.join(' '), sizes: read.sizes }
}
const sizes = (text: string) => withoutSizes(text).sizes

// the inch, foot, yard and pound are exact by the international agreement of 1959; ounces and gallons follow from it (from memory)
test.each([
  ['60 cm', '0.6 m', '600mm'],
  ['1,5 l', '1500 ml', '1500ml'],
  ['1 kg', '1000 grams', '1000g'],
  ['10 inch', '10"', '250mm'],
  ['10 zoll', '25 cm', '250mm'],
  ['5 ft', '1.5 m', '1500mm'],
  ['1 yard', '91 cm', '910mm'],
  ['16 oz', '450 g', '450g'],
  ['2 lbs', '910 g', '910g'],
  ['10 fl oz', '300 ml', '300ml'],
  ['1 tb', '1000gb', '1000000mb'],
  ['20 ah', '20000mah', '20000mah'],
  ['2 kw', '2000 watt', '2000w'],
  ['400 lumens', '400lm', '400lm'],
])('%s is %s', (a, b, as) => {
  expect(sizes(a)).toEqual([as])
  expect(sizes(b)).toEqual([as])
})

test.each([
  ['7 millimetres', '7mm'],
  ['7 cm', '70mm'],
  ['7 m', '7000mm'],
  ['3 in', '76mm'],
  ['3 ft', '910mm'],
  ['3 yards', '2700mm'],
  ['7 ml', '7ml'],
  ['7 cl', '70ml'],
  ['7 litres', '7000ml'],
  ['3 fl. oz', '89ml'],
  ['3 gallons', '11000ml'],
  ['7 gr', '7g'],
  ['7 kilos', '7000g'],
  ['3 ounces', '85g'],
  ['3 pounds', '1400g'],
  ['7 watts', '7w'],
  ['7 kw', '7000w'],
  ['7 volts', '7v'],
  ['7 ah', '7000mah'],
  ['7 mah', '7mah'],
  ['7 mb', '7mb'],
  ['7 gb', '7000mb'],
  ['7 tb', '7000000mb'],
  ['7 hz', '7hz'],
  ['7 ghz', '7000000000hz'],
  ['7 lm', '7lm'],
  ['7 psi', '7psi'],
  ['7 bar', '7bar'],
  ['7 gsm', '7gsm'],
  ['7 kelvin', '7kelvin'],
  ['1.234 cm', '12.34mm'],
  ['0.12345 cm', '1.23mm'],
])('%s is kept as %s', (text, as) => expect(sizes(text)).toEqual([as]))

test('sides in any order, each with its unit or all with one', () => {
  expect(sizes('30 x 45 cm')).toEqual(['450x300mm'])
  expect(sizes('45cm x 30cm')).toEqual(['450x300mm'])
  expect(sizes('45×30×2,5 cm')).toEqual(['450x300x25mm'])
  expect(sizes('tube 26 x 1.95')).toEqual(['26x1.95'])
})

test('figures without a unit stay figures; letters with figures are names', () => {
  expect(withoutSizes('zone 7, 12pockets')).toEqual({ rest: 'zone  ,  pockets', sizes: ['7#', '12#'] })
  expect(withoutSizes('a4 3d h7')).toEqual({ rest: 'a4 3d h7', sizes: [] })
  expect(withoutSizes('no figures')).toEqual({ rest: 'no figures', sizes: [] })
})

test('sides by themselves: however they are told, and each once', () => {
  expect(lengthsApart(['1830x610x6mm'])).toEqual(['1830mm', '610mm', '6mm'])
  expect(lengthsApart(['1830x610mm', '6mm', '500g'])).toEqual(['1830mm', '610mm', '6mm', '500g'])
  expect(lengthsApart(['300x300mm', '300mm'])).toEqual(['300mm'])
  // without a unit they are taken for centimetres where they are compared
  expect(lengthsApart(['183x61', '7#'])).toEqual(['1830mm', '610mm', '7#'])
  expect(lengthsApart(['26x1.95'])).toEqual(['260mm', '19.5mm'])
  expect(lengthsApart(['40x30ml', '7#'])).toEqual(['40x30ml', '7#'])
})

test('sides without a unit as lengths; all else stays', () => {
  expect(['183x61', '12.5x3x0.25', '183x61mm', '7#', '500ml'].map(asLengths)).toEqual([
    '1830x610mm',
    '125x30x2.5mm',
    '183x61mm',
    '7#',
    '500ml',
  ])
})

test('what is measured is not said of the goods', () => {
  expect(withoutSizes('mat 6mm thick 183 x 61 cm wide, 5 m')).toEqual({
    rest: 'mat    ,  ',
    sizes: ['1830x610mm', '6mm', '5000mm'],
  })
  expect(withoutSizes('6 mm thickness').rest).toBe('  thickness')
})

test('a long figure, or one with a fraction, and the letters at it are a figure and a word', () => {
  expect(withoutSizes('9000pa 2700k 1.5a')).toEqual({ rest: ' pa  k  a', sizes: ['9000#', '2700#', '1.5#'] })
  expect(withoutSizes('9000 pa').sizes).toEqual(['9000#'])
  expect(withoutSizes('100er led 12er')).toEqual({ rest: '  led  ', sizes: ['100#', '12#'] })
  // how many lines a picture has is its name
  expect(withoutSizes('1080p 4k 10x')).toEqual({ rest: '1080p 4k 10x', sizes: [] })
})
