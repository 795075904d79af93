import { titleSignature } from '../goods'
import { tableOf } from '../records/table-of'
import { likenessParts, mergeOffers, OfferFinder, type Offer, type Wanted } from '.'

const wanted: Wanted = {
  title: 'Hanging bird bath, copper, 26 cm',
  gtin: '04006381333931',
  brand: null,
  pack: 1,
  pieceE4: 240_000,
}

function partsOf(
  offer: Partial<Offer> & { title: string },
  as = { pack: 1, pieceE4: 60_000 as number | null },
  more = {},
) {
  const row = { supplier: 'S', id: '1', tiers: '1:60000', ...offer, title: offer.title }
  const [made] = mergeOffers([
    { id: 'o', kind: 'offers', capturedOn: 1, windowDays: 30, table: tableOf('offers', [row as never]) },
  ]) as [Offer]
  const match = new OfferFinder([made]).find(titleSignature(wanted.title), null)[0]
  if (!match) throw new Error('not found')
  return Object.fromEntries(likenessParts({ ...wanted, ...more }, match, as).map(({ part, ...told }) => [part, told]))
}

test('what both say, and what only either says, in the words of the titles', () => {
  const { words, figures } = partsOf({ title: 'Copper bird bath hanging, 26cm, deep' })
  expect(words).toEqual({ speaksFor: true, both: ['hanging', 'bird', 'bath'], mine: [], theirs: ['deep'] })
  expect(figures).toEqual({ speaksFor: true, both: ['260mm', 'copper'], mine: [], theirs: [] })
})
test('a figure that is another on either side speaks against it', () => {
  expect(partsOf({ title: 'Hanging bird bath, copper, 40 cm' }).figures).toEqual({
    speaksFor: false,
    both: ['copper'],
    mine: ['260mm'],
    theirs: ['400mm'],
  })
  expect(partsOf({ title: 'Hanging bird bath' }).figures?.speaksFor).toBeNull()
})
test('words on either side alone tell nothing surely', () => {
  expect(partsOf({ title: 'Bird bath tray, copper, 26 cm' }).words).toMatchObject({
    speaksFor: null,
    mine: ['hanging'],
    theirs: ['tray'],
  })
})
test('barcode and brand speak where both are known', () => {
  const title = wanted.title
  expect(partsOf({ title, gtin: '04006381333931' }).barcode?.speaksFor).toBe(true)
  expect(partsOf({ title, gtin: '00036000291452' }).barcode).toMatchObject({
    speaksFor: false,
    mine: ['04006381333931'],
    theirs: ['00036000291452'],
  })
  expect(partsOf({ title }).barcode).toMatchObject({ speaksFor: null, mine: ['04006381333931'], theirs: [] })
  expect(partsOf({ title, brand: 'tern ' }, undefined, { brand: 'Tern' }).brand?.speaksFor).toBe(true)
  expect(partsOf({ title, brand: 'Wren' }, undefined, { brand: 'Tern' }).brand?.speaksFor).toBe(false)
})
test('another pack speaks against nothing; a piece that is dearer than it sells for does', () => {
  const title = wanted.title
  expect(partsOf({ title }, { pack: 4, pieceE4: 15_000 }).pack).toMatchObject({
    speaksFor: null,
    mine: ['1'],
    theirs: ['4'],
  })
  expect(partsOf({ title }).pack?.speaksFor).toBe(true)
  expect(
    [60_000, 240_100, 7_000, null].map((pieceE4) => partsOf({ title }, { pack: 1, pieceE4 }).price?.speaksFor),
  ).toEqual([true, false, false, null])
})
