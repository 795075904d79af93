import { areSame, differenceOf, isSaidOtherwise, lacksHead, likenessOf, tells } from './difference'

const one = () => 1
const words = (text: string) => text.split(' ')
const differ = (a: string, b: string) => differenceOf(words(a), words(b), one)

test('what is written otherwise is shared: in one word or two, with another ending, in another language', () => {
  expect(differ('foldable sunshade', 'sun shade foldable')).toEqual({ shared: 2, alone: [0, 0], clashes: [] })
  expect(differ('egg poacher', 'egg poach')).toEqual({ shared: 2, alone: [0, 0], clashes: [] })
  expect(differ('hund napf', 'dog napf')).toEqual({ shared: 2, alone: [0, 0], clashes: [] })
  // a short beginning is no root, and a part alone is no compound
  expect(differ('car mat', 'cardigan mat').alone).toEqual([1, 1])
  expect(differ('sunshade', 'sun lamp').alone).toEqual([1, 2])
  expect(differ('x200 case', 'x201 case').alone).toEqual([1, 1])
})

test('words of one sort that mean other things set goods apart, as two models do', () => {
  expect(differ('oak shelf', 'walnut shelf').clashes).toEqual(['oak / walnut'])
  expect(differ('dog bowl', 'cat bowl').clashes).toEqual(['dog / cat'])
  expect(differ('k7 glass', 'k9 glass').clashes).toEqual(['k7 / k9'])
  // one that names none does not contradict
  expect(differ('oak shelf', 'shelf').clashes).toEqual([])
  expect(differ('oak shelf', 'cotton shelf').clashes).toEqual([])
})

test('a thing that one comes with is not the thing that the other is', () => {
  expect(differ('kettle +lid', 'kettle lid').clashes).toEqual([])
  expect(differ('kettle +lid', '!lid kettle').clashes).toEqual(['+lid / !lid'])
  expect(isSaidOtherwise(['+lid'], ['!lid'])).toBe(false)
  expect(isSaidOtherwise(['holder'], ['+mount', 'grey'])).toBe(true)
})

test('the same goods: one title says no more than the other, and they share half of what both say', () => {
  expect(areSame({ shared: 3, alone: [0, 3], clashes: [] })).toBe(true)
  expect(areSame({ shared: 3, alone: [0, 3.1], clashes: [] })).toBe(false)
  expect(areSame({ shared: 9, alone: [1.09, 1.11], clashes: [] })).toBe(false)
  // words that half of all titles have say nothing
  expect(areSame({ shared: 9, alone: [1.09, 1.09], clashes: [] })).toBe(true)
  expect(areSame({ shared: 9, alone: [0, 0], clashes: ['a / b'] })).toBe(false)
  expect(likenessOf({ shared: 3, alone: [1, 2], clashes: [] })).toBe(0.5)
  expect(likenessOf({ shared: 0, alone: [0, 0], clashes: [] })).toBe(0)
  // what both have weighs by its own weight, the heavier side first
  expect(differenceOf(['a', 'b', 'b'], ['b', 'c'], (w) => ({ a: 2, b: 3, c: 5 })[w] ?? 0)).toEqual({
    shared: 3,
    alone: [2, 5],
    clashes: [],
  })
})

test('words that mean what others mean are known as such', () => {
  expect(['+lid', 'deckel', 'oak', 'lite', 'ersatz'].map(tells)).toEqual([true, true, true, true, true])
  expect(['robin', 'kettle', '!robin'].map(tells)).toEqual([false, false, false])
})

test('a head is named as it is, with another ending, within a compound, or by a word that means the same', () => {
  expect(lacksHead(['cushion'], ['garden', 'bench'])).toBe(true)
  expect(lacksHead(['cushion'], ['bench', 'cushion'])).toBe(false)
  expect(lacksHead(['cushion', 'bench'], ['bench'])).toBe(false)
  expect(lacksHead(['cover'], ['covering', 'bench'])).toBe(false)
  expect(lacksHead(['halterung'], ['handyhalterung'])).toBe(false)
  // four letters are found in too many words
  expect(lacksHead(['seil'], ['springseil'])).toBe(true)
  expect(lacksHead(['kette'], ['fahrradkette'])).toBe(false)
  expect(lacksHead(['!lid'], ['lid'])).toBe(false)
  expect(lacksHead([], ['bench'])).toBe(false)
  expect(lacksHead(['cushion'], [])).toBe(true)
})
