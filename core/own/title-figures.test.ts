import fc from 'fast-check'
import { figuresClash, FittingFigures, statesAsMuch, titleFigures } from './title-figures'

const of = (sizes: string, colours = '', pack = '') => titleFigures(`${sizes}\u0001${colours}\u0001${pack}`)

test('figures clash where each states something of one sort that the other does not', () => {
  expect(figuresClash(of('300mm'), of('400mm'))).toBe(true)
  expect(figuresClash(of('9#,116#'), of('10#,116#'))).toBe(true)
  expect(figuresClash(of('', 'red'), of('', 'blue'))).toBe(true)
  // one that says more, or something of another sort, says nothing against it
  expect(figuresClash(of('9#,116#'), of('9#'))).toBe(false)
  expect(figuresClash(of('9#'), of('9#,116#'))).toBe(false)
  expect(figuresClash(of('300mm'), of('500g', 'red'))).toBe(false)
  expect(figuresClash(of(''), of('300mm', 'red'))).toBe(false)
})

test('as much is said where the same sorts are, each as often; a pack that is not said is one', () => {
  expect(statesAsMuch(of('300mm', 'red'), of('400mm', 'blue'))).toBe(true)
  expect(statesAsMuch(of('300mm'), of('300mm', 'red'))).toBe(false)
  expect(statesAsMuch(of('9#,116#'), of('9#'))).toBe(false)
  expect(statesAsMuch(of('300mm'), of('500g'))).toBe(false)
  expect([of('').pack, of('', '', '6').pack]).toEqual(['1', '6'])
})

test('those that fit are found as if all were compared with all', () => {
  const figures = fc
    .record({
      sizes: fc.uniqueArray(fc.constantFrom('1#', '2#', '3#', '300mm', '400mm', '500g'), { maxLength: 3 }),
      colours: fc.uniqueArray(fc.constantFrom('red', 'blue', 'grey'), { maxLength: 2 }),
    })
    .map(({ sizes, colours }) => of(sizes.join(), colours.join()))
  fc.assert(
    fc.property(fc.array(figures, { maxLength: 20 }), figures, (list, wanted) => {
      const found = new FittingFigures(list).find(wanted).sort((a, b) => a - b)
      expect(found).toEqual(list.flatMap((f, at) => (figuresClash(wanted, f) ? [] : at)))
    }),
  )
})

test('what none of the others states is all one to them, and of two that they see alike the same ones fit', () => {
  const theirs = new FittingFigures([of('30cm,2l'), of('40cm'), of('')])
  const seen = (sizes: string) => theirs.seen(of(sizes))
  expect(seen('30cm,17model')).toBe(seen('30cm,18model'))
  expect(seen('31cm')).toBe(seen('32cm'))
  expect(seen('30cm,31cm')).toBe(seen('30cm,7cm'))
  expect(new Set(['30cm', '31cm', '', '30cm,2l', '30cm,31cm', '40cm'].map(seen)).size).toBe(6)
  expect(theirs.find(of('31cm'))).toEqual(theirs.find(of('99cm,5model')))
  expect(theirs.find(of('31cm'))).toEqual([2])
})
