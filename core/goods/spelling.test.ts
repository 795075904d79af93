import { asShade, isColour, spelled } from './spelling'

test.each([
  ['berries', 'berry'],
  ['pies', 'pie'],
  ['boxes', 'box'],
  ['axes', 'axe'],
  ['brushes', 'brush'],
  ['glasses', 'glass'],
  ['dishes', 'dish'],
  ['pots', 'pot'],
  ['bus', 'bus'],
  ['gas', 'gas'],
  ['glass', 'glass'],
  ['cactus', 'cactus'],
  ['iris', 'iris'],
  ['moistener', 'moistener'],
  ['equaliser', 'equaliser'],
  ['equalizer', 'equaliser'],
  ['wiser', 'wiser'],
  ['sizer', 'sizer'],
  ['hanging', 'hang'],
  ['padded', 'pad'],
  ['swimming', 'swim'],
  ['rolling', 'roll'],
  ['galvanized', 'galvanis'],
  ['galvanised', 'galvanis'],
  ['expandable', 'expand'],
  ['expanding', 'expand'],
  ['portable', 'portable'],
  ['lenses', 'lens'],
  ['lens', 'lens'],
  ['nordica', 'nordic'],
  ['leinwande', 'leinwand'],
  ['modernes', 'modern'],
  ['opvouwbare', 'fold'],
  ['wettbewerbe', 'wettbewerb'],
  ['string', 'string'],
  ['ring', 'ring'],
  ['red', 'red'],
  ['grinder', 'grinder'],
])('%s is spelled %s', (word, as) => expect(spelled(word)).toBe(as))

test.each([
  ['schwarz', 'black'],
  ['noire', 'black'],
  ['gray', 'grey'],
  ['schwarzes', 'black'],
  ['hellgrau', 'light grey'],
  ['lichtgrijs', 'light grey'],
  ['dunkelblau', 'dark blue'],
  ['bicycles', 'bike'],
  ['folding', 'fold'],
  ['tires', 'tyre'],
  ['cups', 'mug'],
  ['uhren', 'watch'],
  ['lampen', 'light'],
  ['pads', 'mat'],
  ['weisse', 'white'],
])('%s and %s are one word', (word, as) => expect(spelled(word)).toBe(as))

test('a shade is one by itself, and a colour in any of eight languages; what merely begins like one is none', () => {
  expect(['hell', 'donker', 'light', 'bright'].map(asShade)).toEqual(['light', 'dark', 'light', null])
  expect(['rot', 'rojo', 'navy', 'beige', 'pot'].map(isColour)).toEqual([true, true, true, true, false])
  // 'hello' is a greeting; 'lightbox' a box
  expect(spelled('hello')).toBe('hello')
  expect(spelled('lightbox')).toBe('lightbox')
  // a word and what an ending makes of it: 'potes' is no colour
  expect(spelled('poter')).toBe('poter')
})
